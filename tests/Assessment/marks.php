<?php

declare(strict_types=1);

use App\Assessment\SheetAttempt;

/** Makes a mark as the tablet does; a measured criterion by a reading. */
function put($test, string $criterion, array $mark, string $seat = 'assessor'): Illuminate\Testing\TestResponse
{
    return $test->postJson("/api/assessment/attempts/{$test->attempt}/marks", [
        'id' => fake_uuid(), 'criterion' => $criterion, 'seat' => $seat, 'made_at' => now()->toIso8601ZuluString('millisecond'), ...$mark,
    ]);
}

/** The learner first, and whoever assesses after them. */
function measure($test, string $criterion, array $reading, ?array $theirs = null): Illuminate\Testing\TestResponse
{
    put($test, $criterion, ['reading' => $theirs ?? $reading], 'learner')->assertOk();

    return put($test, $criterion, ['reading' => $reading]);
}

/** What somebody answered to a reason that was asked for. */
function said_why($test, string $criterion, string $words = 'It would turn with it'): Illuminate\Testing\TestResponse
{
    return $test->postJson("/api/assessment/attempts/{$test->attempt}/notes", [
        'id' => fake_uuid(), 'criterion' => $criterion, 'text' => $words, 'made_at' => now()->toIso8601ZuluString('millisecond'),
    ]);
}

/** @return list<string> the reasons that were drawn for it */
function reasons($test): array
{
    $lines = SheetAttempt::query()->with('sheet.part')->findOrFail($test->attempt)->criteria();

    return array_column(array_filter($lines, static fn (array $line): bool => $line['group'] === 'why'), 'id');
}

function fillSheet($test): void
{
    foreach (SheetAttempt::query()->with('sheet.part')->findOrFail($test->attempt)->criteria() as $criterion) {
        isset($criterion['follow_ups']) && said_why($test, $criterion['id'])->assertSuccessful();
        ($criterion['kind'] === 'observed' ? put($test, $criterion['id'], ['result' => 'met'])
            : measure($test, $criterion['id'], match (true) {
                $criterion['measure'] === 'position' => ['dx' => '0.1', 'dy' => '-0.1'],
                default => ['value' => $criterion['hole'] === 'M' ? '10.1' : '9.1'],
            }))->assertOk();
    }
}

/** One criterion of an answer. */
function criterion(Illuminate\Testing\TestResponse $response, string $id): array
{
    return collect($response->json('criteria') ?? [$response->json('criterion')])->firstWhere('id', $id);
}
