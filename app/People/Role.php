<?php

declare(strict_types=1);

namespace App\People;

enum Role: string
{
    case Lead = 'lead';
    case Instructor = 'instructor';
    case Learner = 'learner';
    case Auditor = 'auditor';
}
