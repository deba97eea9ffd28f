<?php

declare(strict_types=1);

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\AccessDecision;
use MillStep\Core\Competency\Decision;

/**
 * @param  array<string, mixed>  $change
 * @return array<string, mixed>
 */
function access(array $change = []): array
{
    return compute('access_decision', [
        'now' => '2031-05-02T10:00:00Z', 'badge_known' => true, 'person_active' => true,
        'machine' => ['in_service' => true], 'hours_open' => true,
        'permits' => [['stage' => 5, 'held' => false, 'lapsed' => null]],
        'request' => [],
        'presence' => ['supervisor' => true, 'companion' => false],
        'policy' => [],
        ...$change,
    ]);
}

it('says no with every reason of the first four rules', function (): void {
    expect(
        access([
            'machine' => ['in_service' => false],
            'person_active' => false,
            'hours_open' => false,
            'permits' => [['stage' => 5, 'held' => true, 'lapsed' => null]],
        ]),
    )
        ->toBe(['decision' => 'no', 'reasons' => ['machine_out_of_service', 'person_inactive', 'held', 'outside_hours'], 'asks' => []]);
});

it('knows nothing about an unknown badge but that', function (): void {
    expect(
        access(['badge_known' => false, 'person_active' => false, 'permits' => []]),
    )->toBe(['decision' => 'no', 'reasons' => ['badge_unknown'], 'asks' => []]);
});

it('never grants on no permits at all', function (): void {
    expect(access(['permits' => []])['error']['code'])->toBe('invalid_input');
});

it('gives every reason why not alone, in order, each once', function (): void {
    $permit = [
        'stage' => 4,
        'held' => false,
        'lapsed' => 'recency',
        'scope' => ['materials' => ['mild_steel'], 'max_diameter_mm' => 6, 'operations' => ['drill'], 'companion' => true],
    ];
    $answer = access([
        'permits' => [$permit, $permit, ['stage' => 3, 'held' => false, 'lapsed' => null]],
        'request' => ['material' => 'acrylic', 'operation' => 'tap', 'diameter_mm' => 6.01],
        'presence' => ['supervisor' => false, 'companion' => false],
    ]);
    expect($answer)->toBe(['decision' => 'no', 'reasons' => [
        'not_signed_off', 'lapsed_recency', 'outside_scope_material', 'outside_scope_diameter',
        'outside_scope_operation', 'companion_absent', 'supervisor_absent',
    ], 'asks' => []]);
});

it('takes a diameter at the scope\'s edge as within it', function (): void {
    $permit = ['stage' => 5, 'held' => false, 'lapsed' => null, 'scope' => ['max_diameter_mm' => 9.525]];
    expect(access(['permits' => [$permit], 'request' => ['diameter_mm' => 9.5255]])['decision'])->toBe('alone')
        ->and(access(['permits' => [$permit], 'request' => ['diameter_mm' => 9.526]])['decision'])->toBe('supervised');
});

it('is never more generous for having less', function (): void {
    $rank = ['no' => 0, 'supervised' => 1, 'alone' => 2];
    foreach ([0, 1, 2, 3, 4, 5] as $stage) {
        foreach ([true, false] as $supervisor) {
            foreach ([null, 'expired'] as $lapsed) {
                $base = [
                    'permits' => [['stage' => $stage, 'held' => false, 'lapsed' => $lapsed]],
                    'presence' => ['supervisor' => $supervisor, 'companion' => true],
                ];
                $given = $rank[access($base)['decision']];
                foreach ([['hours_open' => false], ['machine' => ['in_service' => false]], ['person_active' => false],
                    ['policy' => ['companion_required' => true], 'presence' => ['supervisor' => $supervisor,
                        'companion' => false]]] as $less) {
                    expect($rank[access([...$base, ...$less])['decision']])->toBeLessThanOrEqual($given);
                }
            }
        }
    }
});

it('asks what a scope limits and nobody has said, and gives no power until then', function (): void {
    $scope = ['materials' => ['mild_steel'], 'operations' => ['drill'], 'max_diameter_mm' => 10, 'min_thickness_mm' => 3];
    $permit = ['stage' => 5, 'held' => false, 'lapsed' => null, 'scope' => $scope];
    $said = ['material' => 'mild_steel', 'thickness_mm' => 3, 'operation' => 'drill', 'diameter_mm' => 10];
    expect(access(['permits' => [$permit], 'request' => []]))->toBe([
        'decision' => 'alone',
        'reasons' => [],
        'asks' => ['material', 'thickness', 'operation', 'diameter'],
    ])
        ->and(access(['permits' => [$permit], 'request' => $said])['asks'])->toBe([])
        ->and(access(['permits' => [$permit], 'request' => ['thickness_mm' => 2.9] + $said])['reasons'])
        ->toContain('outside_scope_thickness');
    foreach (array_keys($said) as $left) {
        $rest = array_diff_key($said, [$left => 1]);
        expect(access(['permits' => [$permit], 'request' => $rest])['asks'])->toHaveCount(1);
        $fields = [
            'now' => '2031-05-02T10:00:00Z', 'badge_known' => true, 'person_active' => true,
            'machine' => ['in_service' => true], 'hours_open' => true, 'permits' => [$permit], 'request' => $rest,
        ];
        expect(AccessDecision::fromFields(Fields::of($fields))->compute()->givesPower())->toBeFalse();
    }
});

it('asks for the companion where nothing but the companion is missing', function (): void {
    $permit = static fn (array $with): array => [
        'stage' => 5,
        'held' => false,
        'lapsed' => null,
        'scope' => ['companion' => true],
        ...$with,
    ];
    $alone = ['supervisor' => false, 'companion' => false];
    expect(access(['permits' => [$permit([])], 'presence' => $alone]))->toBe([
        'decision' => 'no',
        'reasons' => ['companion_absent', 'supervisor_absent'],
        'asks' => ['companion'],
    ])
        ->and(access(['permits' => [$permit(['lapsed' => 'expired', 'stage' => 4])], 'presence' => $alone])['asks'])->toBe([])
        ->and(access(['permits' => [$permit([])], 'presence' => ['supervisor' => false, 'companion' => true]])['decision'])->toBe('alone');
});

it('lets one person have one machine at a time, or as many as the shop says', function (): void {
    expect(access(['turns_elsewhere' => 1]))->toBe(['decision' => 'no', 'reasons' => ['at_another_machine'], 'asks' => []])
        ->and(access(['turns_elsewhere' => 1, 'policy' => ['machines_at_once' => 2]])['decision'])->toBe('alone')
        ->and(access(['turns_elsewhere' => 2, 'policy' => ['machines_at_once' => 2]])['decision'])->toBe('no');
});

it('keeps the power of a turn only while as much is allowed as was given', function (): void {
    $now = static fn (string $decision, array $asks = []): MillStep\Core\Competency\Access => new MillStep\Core\Competency\Access(
        Decision::from($decision),
        [],
        $asks,
    );
    expect($now('alone')->keepsPower(Decision::Alone))->toBeTrue()->and($now('alone')->keepsPower(Decision::Supervised))->toBeTrue()
        ->and($now('supervised')->keepsPower(Decision::Supervised))
        ->toBeTrue()
        ->and($now('supervised')->keepsPower(Decision::Alone))
        ->toBeFalse()
        ->and($now('no')->keepsPower(Decision::Supervised))
        ->toBeFalse()
        ->and($now('alone', ['material'])->keepsPower(Decision::Alone))
        ->toBeFalse();
});
