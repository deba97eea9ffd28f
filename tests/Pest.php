<?php

declare(strict_types=1);

use Tests\TestCase;

require_once __DIR__.'/gate.php';

pest()
    ->extend(TestCase::class)
    ->in(
        'People',
        'Competency',
        'Content',
        'Language',
        'Learning',
        'Practice',
        'Assessment',
        'Gate',
        'Measure',
        'Planning',
        'Workshop',
        'Demo',
        'Records',
        'Live',
        'Http',
    );
