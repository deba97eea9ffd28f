<?php

declare(strict_types=1);

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\LadderPlace;
use MillStep\Core\Competency\Record;
use MillStep\Core\Competency\Requirement;
use MillStep\Core\Competency\Scope;
use MillStep\Core\Competency\Signature;
use MillStep\Core\Competency\SignOffReadiness;
use MillStep\Core\Competency\Stage;

function scope(array $scope): Scope
{
    return Scope::fromFields(Fields::of($scope));
}

/** @param  array<string, mixed>  $with */
function readiness(array $with = []): SignOffReadiness
{
    $record = new Record(
        [],
        [],
        3,
        90,
        0,
        [],
        $with['acknowledged'] ?? 2,
        null,
        $with['suspended'] ?? false,
        $with['revoked'] ?? false,
        null,
    );

    return new SignOffReadiness(
        new LadderPlace(Stage::from($with['stage'] ?? 4), false, null, []),
        $record,
        2,
        $with['prerequisites'] ?? [],
        $with['own'] ?? false,
        $with['authorised'] ?? true,
        $with['guardian'] ?? false,
        $with['active'] ?? true,
        scope([
            'materials' => ['mild_steel', 'aluminium_6000'],
            'operations' => ['drill'],
            'max_diameter_mm' => 10,
            'min_thickness_mm' => 3,
        ]),
        new DateTimeImmutable('2031-05-02T10:00:00Z'),
        new DateTimeImmutable('2032-05-01T22:59:59Z'),
        $with['stale'] ?? [],
    );
}

it(
    'may be signed when nothing speaks against it',
    fn () => expect(readiness()->reasons())->toBe([])->and(readiness()->acknowledged())->toBeTrue(),
);

it('says everything that speaks against it', function (array $with, array $reasons): void {
    expect(readiness($with)->reasons())->toBe($reasons);
})->with([
    'below the assessment' => [['stage' => 3], ['not_ready']],
    'a renewal' => [['stage' => 5], []],
    'held' => [['suspended' => true], ['held']],
    'revoked: a new signature is what ends it' => [['revoked' => true], []],
    'revoked and held' => [['revoked' => true, 'suspended' => true], ['held']],
    'a check passed too long ago for a renewal' => [['stale' => ['SC1']], ['check_stale']],
    'an old statement acknowledged' => [['acknowledged' => 1], ['not_acknowledged']],
    'a permit that it builds on does not carry' => [['prerequisites' => ['bench']], ['prerequisite_missing']],
    'one\'s own' => [['own' => true], ['own_record']],
    'not authorised' => [['authorised' => false], ['not_authorised']],
    'under age' => [['guardian' => true], ['guardian_missing']],
    'gone' => [['active' => false], ['learner_inactive']],
    'all at once' => [['stage' => 0, 'own' => true, 'authorised' => false, 'suspended' => true, 'prerequisites' => ['p'],
        'acknowledged' => 1, 'guardian' => true, 'active' => false],
        [
            'own_record', 'not_authorised', 'learner_inactive', 'not_ready', 'held', 'prerequisite_missing',
            'not_acknowledged', 'guardian_missing',
        ]],
]);

it('never says more than the permit', function (array $wanted, string $until, array $excesses): void {
    expect(readiness()->excesses(scope($wanted), new DateTimeImmutable($until)))->toBe($excesses);
})->with([
    'as the permit has it' => [
        ['materials' => ['mild_steel', 'aluminium_6000'], 'operations' => ['drill'], 'max_diameter_mm' => 10, 'min_thickness_mm' => 3],
        '2032-05-01T22:59:59Z',
        [],
    ],
    'nothing said' => [[], '2031-06-01T00:00:00Z', []],
    'one material more' => [['materials' => ['mild_steel', 'acrylic']], '2031-06-01T00:00:00Z', ['scope_material']],
    'any operation' => [['operations' => ['drill', 'ream']], '2031-06-01T00:00:00Z', ['scope_operation']],
    '50 mm' => [['max_diameter_mm' => 50], '2031-06-01T00:00:00Z', ['scope_diameter']],
    'thinner' => [['min_thickness_mm' => 2.9], '2031-06-01T00:00:00Z', ['scope_thickness']],
    'five years' => [[], '2036-05-01T00:00:00Z', ['valid_too_long']],
    'a second too long' => [[], '2032-05-01T23:00:00Z', ['valid_too_long']],
    'over already' => [[], '2031-05-02T10:00:00Z', ['valid_past']],
]);

it('signs the permit\'s own limits where nothing narrower is wanted', function (): void {
    expect(readiness()->signedScope(scope([]))->toArray())->toBe([
        'materials' => ['mild_steel', 'aluminium_6000'],
        'operations' => ['drill'],
        'max_diameter_mm' => 10.0,
        'min_thickness_mm' => 3.0,
    ])
        ->and(readiness()->signedScope(scope(['materials' => ['mild_steel'], 'max_diameter_mm' => 6.5, 'companion' => true]))->toArray())
        ->toBe([
            'materials' => ['mild_steel'],
            'operations' => ['drill'],
            'max_diameter_mm' => 6.5,
            'min_thickness_mm' => 3.0,
            'companion' => true,
        ]);
});

it('is never widened by signing: whatever is covered by the signature is covered by the permit', function (): void {
    $random = new Random\Randomizer(new Random\Engine\Mt19937(3));
    $materials = ['mild_steel', 'aluminium_6000', 'acrylic', 'bronze'];
    for ($n = 0; $n < 10_000; $n++) {
        $pick = static fn (): array => array_filter([
            'materials' => $random->getInt(0, 1) === 1 ? array_slice($random->shuffleArray($materials), 0, $random->getInt(1, 4)) : null,
            'operations' => $random->getInt(0, 1) === 1
                ? array_slice($random->shuffleArray(['drill', 'ream', 'tap']), 0, $random->getInt(1, 3))
                : null,
            'max_diameter_mm' => $random->getInt(0, 1) === 1 ? $random->getInt(1, 20) : null,
            'min_thickness_mm' => $random->getInt(0, 1) === 1 ? $random->getInt(1, 8) : null,
            'companion' => $random->getInt(0, 1) === 1 ? true : null,
        ], static fn ($limit): bool => $limit !== null);
        [$permit, $wanted] = [scope($pick()), scope($pick())];
        if ($permit->exceededBy($wanted) !== []) {
            continue;
        }
        $signed = $permit->narrowedTo($wanted);
        foreach (['mild_steel', 'aluminium_6000', 'acrylic', 'bronze'] as $material) {
            expect(! $signed->coversMaterial($material) || $permit->coversMaterial($material))->toBeTrue();
        }
        foreach ([1, 5, 10, 15, 20] as $mm) {
            $length = MillStep\Core\Border\Length::mm($mm);
            expect(! $signed->coversDiameter($length) || $permit->coversDiameter($length))->toBeTrue()
                ->and(! $signed->coversThickness($length) || $permit->coversThickness($length))->toBeTrue();
        }
        expect($permit->companion && ! $signed->companion)->toBeFalse();
    }
});

it('wants the checks passed lately enough, of a renewal alone', function (array $with, array $stale): void {
    $fields = ['lessons' => [], 'checks' => ['SC1', 'SC2'], 'practice_count' => 0, 'practice_minutes' => 0, 'assessments' => [],
        'statement_version' => 1, ...isset($with['days']) ? ['renewal_check_days' => $with['days']] : []];
    $at = static fn (string $instant): DateTimeImmutable => new DateTimeImmutable($instant);
    $signature = new Signature('s', $at('2030-05-01T00:00:00Z'), 1, $at('2031-05-01T00:00:00Z'), scope([]));
    $record = new Record([], ['SC1' => true, 'SC2' => true], 0, 0, 0, [], null, $with['signed'] ?? true ? $signature : null, false,
        $with['revoked'] ?? false, null, array_map($at, $with['passed']));
    expect(Requirement::fromFields(Fields::of($fields))->staleChecks($record, $at('2031-05-02T10:00:00Z')))->toBe($stale);
})->with([
    'both lately' => [['days' => 30, 'passed' => ['SC1' => '2031-05-01T00:00:00Z', 'SC2' => '2031-04-02T10:00:00Z']], []],
    'one a second too long ago' => [
        ['days' => 30, 'passed' => ['SC1' => '2031-05-01T00:00:00Z', 'SC2' => '2031-04-02T09:59:59Z']],
        ['SC2'],
    ],
    'nobody knows when' => [['days' => 30, 'passed' => []], ['SC1', 'SC2']],
    'the first signature' => [['days' => 30, 'signed' => false, 'passed' => []], []],
    'after a revocation' => [['days' => 30, 'signed' => false, 'revoked' => true, 'passed' => []], ['SC1', 'SC2']],
    'not asked for' => [['passed' => []], []],
]);
