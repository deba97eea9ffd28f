<?php

declare(strict_types=1);

/**
 * @param  list<array<string, mixed>>  $ledger
 * @param  array<string, mixed>  $requirement
 * @return array<string, mixed>
 */
function standing(array $ledger, array $requirement = [], string $now = '2031-06-01T12:00:00Z', array $prerequisites = []): array
{
    return compute('standing', [
        'now' => $now,
        'requirement' => [
            'lessons' => ['L1', 'L2'], 'checks' => ['C1'], 'practice_count' => 2, 'practice_minutes' => 60,
            'assessments' => ['A1'], 'prerequisites' => [], 'statement_version' => 1, ...$requirement,
        ],
        'ledger' => $ledger,
        'prerequisites' => $prerequisites,
    ]);
}

function climb(): array
{
    return [
        ['type' => 'lesson_completed', 'lesson' => 'L1', 'at' => '2031-01-01T10:00:00Z'],
        ['type' => 'lesson_completed', 'lesson' => 'L2', 'at' => '2031-01-02T10:00:00Z'],
        ['type' => 'check_attempted', 'check' => 'C1', 'passed' => true, 'at' => '2031-01-03T10:00:00Z'],
        ['type' => 'practice_confirmed', 'minutes' => 35, 'at' => '2031-01-04T10:00:00Z'],
        ['type' => 'practice_confirmed', 'minutes' => 30, 'at' => '2031-01-05T10:00:00Z'],
        ['type' => 'assessment_concluded', 'assessment' => 'A1', 'outcome' => 'passed', 'at' => '2031-01-06T10:00:00Z'],
        [
            'type' => 'signed_off',
            'statement_version' => 1,
            'valid_until' => '2031-12-31T23:59:59Z',
            'scope' => [],
            'at' => '2031-01-07T10:00:00Z',
        ],
    ];
}

it('climbs one stage after the other', function (): void {
    $stages = array_map(static fn (int $count): int => standing(array_slice(climb(), 0, $count))['stage'], range(0, 7));
    expect($stages)->toBe([0, 0, 1, 2, 2, 3, 4, 5]);
});

it('says what the next stage still needs', function (): void {
    expect(standing(array_slice(climb(), 0, 1))['next'])->toBe(['lesson:L2'])
        ->and(standing(array_slice(climb(), 0, 4))['next'])->toBe(['practice:count:1', 'practice:minutes:25'])
        ->and(standing(climb())['next'])->toBe([]);
});

it('falls back when the latest attempt failed', function (): void {
    $failed = ['type' => 'check_attempted', 'check' => 'C1', 'passed' => false, 'at' => '2031-02-01T10:00:00Z'];
    expect(standing([...climb(), $failed]))->toMatchArray(['stage' => 1, 'next' => ['check:C1']]);
});

it('does not count what happens later', function (): void {
    expect(standing(climb(), now: '2031-01-04T10:00:00Z')['stage'])->toBe(2)
        ->and(standing(climb(), now: '2031-01-07T09:59:59Z')['stage'])->toBe(4);
});

it('lapses, the first cause named', function (array $requirement, string $now, ?string $lapsed): void {
    expect(standing(climb(), $requirement, $now))->toMatchArray(['lapsed' => $lapsed, 'stage' => $lapsed === null ? 5 : 4]);
})->with([
    'on the last second' => [[], '2031-12-31T23:59:59Z', null],
    'expired' => [['recency_days' => 1], '2032-01-01T00:00:00Z', 'expired'],
    'statement before recency' => [['statement_version' => 2, 'recency_days' => 1], '2031-06-01T00:00:00Z', 'statement'],
    'within grace' => [['statement_version' => 2, 'statement_grace_until' => '2031-07-01T00:00:00Z'], '2031-06-01T00:00:00Z', null],
    'recency' => [['recency_days' => 60], '2031-06-01T00:00:00Z', 'recency'],
    'recent enough' => [['recency_days' => 60], '2031-03-08T10:00:00Z', null],
    'prerequisite not known' => [['prerequisites' => ['P']], '2031-06-01T00:00:00Z', 'prerequisite'],
]);

it('holds until reinstated, and a revocation until a new sign-off', function (): void {
    $entry = static fn (string $type, string $at): array => ['type' => $type, 'at' => "2031-0$at-01T10:00:00Z"];
    expect(standing([...climb(), $entry('incident_hold', '2')]))->toMatchArray(['held' => true, 'stage' => 5])
        ->and(standing([...climb(), $entry('incident_hold', '2'), $entry('reinstated', '3')])['held'])->toBeFalse()
        ->and(standing([...climb(), $entry('revoked', '2'), $entry('reinstated', '3')]))
        ->toMatchArray(['held' => true, 'stage' => 4, 'lapsed' => null])
        ->and(standing([...climb(), $entry('revoked', '2'), [...climb()[6], 'at' => '2031-03-01T10:00:00Z']]))
        ->toMatchArray(['held' => false, 'stage' => 5]);
});

it('lets a correction take an entry back, and a correction of it bring it back', function (): void {
    $correct = static fn (int $entry, string $at): array => ['type' => 'corrected', 'entry' => $entry, 'at' => "2031-0$at-01T10:00:00Z"];
    expect(standing([...climb(), $correct(5, '2')])['stage'])->toBe(3)
        ->and(standing([...climb(), $correct(5, '2'), $correct(7, '3')])['stage'])->toBe(5)
        ->and(standing([...climb(), $correct(99, '2')])['error']['field'])->toBe('ledger')
        ->and(standing([...climb(), $correct(7, '2')])['error']['code'])->toBe('invalid_input');
});
