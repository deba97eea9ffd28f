<?php

declare(strict_types=1);

use App\Support\DatabaseFunctions;
use Illuminate\Database\Migrations\Migration;

/** Of a machine that is off a screen is told without rules and records; of one that is on, only what its own permits ask for is read. */
return new class extends Migration
{
    public function up(): void
    {
        DatabaseFunctions::lay('competency_since_fold', 'gate_moment', 'gate_again');
    }
};
