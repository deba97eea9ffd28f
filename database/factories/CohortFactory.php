<?php

declare(strict_types=1);

namespace Database\Factories;

use App\People\Cohort;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Str;

/**
 * A class that has begun.
 *
 * @extends Factory<Cohort>
 */
final class CohortFactory extends Factory
{
    protected $model = Cohort::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return ['name' => 'Masts '.Str::random(5), 'starts_on' => '2026-09-01'];
    }
}
