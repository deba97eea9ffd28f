<?php

declare(strict_types=1);

use Tests\TestCase;

pest()->extend(TestCase::class)->in('People', 'Competency', 'Learning', 'Practice', 'Assessment', 'Gate', 'Measure', 'Planning', 'Workshop', 'Demo');
