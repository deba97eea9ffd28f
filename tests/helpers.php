<?php

declare(strict_types=1);

use App\Competency\Permit;
use App\Competency\RecordEntry;
use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\ShopSeeder;

/** Writes what brings a learner to a stage, as it would have happened. */
function bring(
    User $learner,
    int $stage,
    User $by,
    ?CarbonImmutable $signedAt = null,
    string $code = 'drill-through-10',
): void {
    $permit = Permit::query()->with('statements')->where('code', $code)->firstOrFail();
    // What it builds on was signed before.
    foreach ($stage >= 4 ? $permit->requirement['prerequisites'] ?? [] : [] as $below) {
        Permit::query()->where('code', $below)->exists() && bring($learner, 5, $by, $signedAt, $below);
    }
    $record = app(RecordEntry::class);
    $at = ($signedAt ?? CarbonImmutable::now())->subDays(10);
    $entries = [
        1 => array_map(
            static fn (string $code): array => [null, 'lesson_completed', ['lesson' => $code, 'version' => 1]],
            $permit->requirement['lessons'],
        ),
        2 => array_map(
            static fn (string $check): array => [null, 'check_attempted', ['check' => $check, 'passed' => true]],
            $permit->requirement['checks'],
        ),
        3 => [
            ...array_fill(0, 3, [$permit, 'practice_confirmed', ['minutes' => 40]]),
            ...array_map(
                static fn (string $code): array => [null, 'lesson_completed', ['lesson' => $code, 'version' => 1]],
                $permit->requirement['guided'] ?? [],
            ),
        ],
        4 => [
            ...array_map(
                static fn (string $sheet): array => [null, 'assessment_concluded', ['assessment' => $sheet, 'outcome' => 'passed']],
                $permit->requirement['assessments'],
            ),
            ...$permit->machines()->pluck('slug')->map(
                static fn (string $slug): array => [null, 'familiarised', ['machine' => $slug, 'because' => 'used_before']],
            )->all(),
        ],
        5 => [
            [
                $permit,
                'signed_off',
                [
                    'statement_version' => 1,
                    'valid_until' => $at->addYear()->toIso8601ZuluString(),
                    'scope' => (object) ($code !== 'drill-through-10' ? $permit->scope : [
                        'materials' => ['mild_steel'],
                        'operations' => ['drill'],
                        'max_diameter_mm' => 10,
                        'min_thickness_mm' => 3,
                    ]),
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

/** The shop with all twelve permits, each on the machines that it is for, as the demo has it. */
function all_permits(): void
{
    foreach (ShopSeeder::$others as $table => $rows) {
        DB::table($table)->insert($rows);
    }
    $permit = Permit::query()->where('code', 'drill-through-10')->firstOrFail();
    $permit->update(['requirement' => [...$permit->requirement, 'prerequisites' => ['bench-marking']]]);
}

/** Brings a learner to where these sheets are next, and lets somebody assess on them. */
function piloted(User $learner, User $by, string ...$sheets): void
{
    foreach ($sheets as $sheet) {
        foreach (Permit::query()->whereJsonContains('requirement->assessments', $sheet)->get() as $permit) {
            $by->signsFor()->syncWithoutDetaching([$permit->id]);
            bring($learner, 3, $by, code: $permit->code);
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
