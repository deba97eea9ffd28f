<?php

declare(strict_types=1);

use App\Competency\Permit;
use App\Competency\RecordEntry;
use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;

/** Writes what brings a learner to a stage, as it would have happened. */
function bring(User $learner, int $stage, User $by, ?CarbonImmutable $signedAt = null): void
{
    $permit = Permit::query()->with('statements')->firstOrFail();
    $record = app(RecordEntry::class);
    $at = ($signedAt ?? CarbonImmutable::now())->subDays(10);
    $entries = [
        1 => array_map(
            static fn (string $code): array => [null, 'lesson_completed', ['lesson' => $code, 'version' => 1]],
            $permit->requirement['lessons'],
        ),
        2 => [[null, 'check_attempted', ['check' => 'SC-through-holes', 'passed' => true]]],
        3 => [
            ...array_fill(0, 3, [$permit, 'practice_confirmed', ['minutes' => 40]]),
            ...array_map(
                static fn (string $code): array => [null, 'lesson_completed', ['lesson' => $code, 'version' => 1]],
                $permit->requirement['guided'],
            ),
        ],
        4 => [[null, 'assessment_concluded', ['assessment' => 'PS-through-holes', 'outcome' => 'passed']]],
        5 => [
            [
                $permit,
                'signed_off',
                [
                    'statement_version' => 1,
                    'valid_until' => $at->addYear()->toIso8601ZuluString(),
                    'scope' => (object) [
                        'materials' => ['mild_steel'],
                        'operations' => ['drill'],
                        'max_diameter_mm' => 10,
                        'min_thickness_mm' => 3,
                    ],
                ],
            ],
        ],
    ];
    foreach (array_slice($entries, 0, $stage) as $level) {
        foreach ($level as [$for, $type, $data]) {
            $at = $at->addMinute();
            $record($learner, $for, $type, $data, $by, $type === 'signed_off' ? $signedAt ?? $at : $at);
        }
    }
}

function fake_uuid(): string
{
    return (string) Str::uuid7();
}

/** What the core meant, in English: codes and terms as they crossed the border, with their sentences. */
function in_words(mixed $said): string
{
    return App\Language\Sentences::in('en')->term($said, 'sentences');
}
