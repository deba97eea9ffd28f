<?php

declare(strict_types=1);

namespace App\Learning\Memory;

use App\Learning\Check;
use MillStep\Core\Learning\Memory\Memory;

/** How well one learner still has one question of a check that they passed. */
final readonly class Remembered
{
    public function __construct(public Check $check, public string $question, public string $lesson, public Memory $memory)
    {
    }
}
