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

/** A permit that widens what may be done: brass at the press. */
function brass(array $with = []): array
{
    return [
        'stage' => 5, 'held' => false, 'lapsed' => null, 'scope' => [
            'materials' => ['brass'],
            'operations' => ['drill'],
            'max_diameter_mm' => 8,
        ],
        'about' => ['materials' => ['brass'], 'operations' => ['drill'], 'max_diameter_mm' => 10], ...$with,
    ];
}

/** At the press that takes the permit for steel, with others that widen it. */
function at_press(array $request, array $further, array $with = [], array $steel = []): array
{
    $scope = ['materials' => ['steel'], 'operations' => ['drill'], 'max_diameter_mm' => 10];

    return access([
        'permits' => [['stage' => 5, 'held' => false, 'lapsed' => null, 'scope' => $scope, 'about' => $scope, ...$steel]],
        'further' => $further, 'request' => ['operation' => 'drill', 'diameter_mm' => 6, ...$request],
        'presence' => ['supervisor' => false, 'companion' => false], ...$with,
    ]);
}

it('lets a further permit widen what may be done, and no more than it was signed for', function (): void {
    expect(at_press(['material' => 'brass'], [brass()])['decision'])->toBe('alone')
        ->and(at_press(['material' => 'brass', 'diameter_mm' => 9], [brass()]))
        ->toMatchArray(['decision' => 'no', 'reasons' => ['outside_scope_material', 'outside_scope_diameter', 'supervisor_absent']])
        ->and(at_press(['material' => 'brass', 'diameter_mm' => 12], [brass()])['reasons'][0])->toBe('outside_scope_material')
        ->and(at_press(['material' => 'steel'], [brass(['stage' => 0, 'scope' => []])])['decision'])->toBe('alone');
});

it('never gives by a further permit what the machine itself is not given for', function (): void {
    expect(at_press(['material' => 'brass'], [brass()], [], ['stage' => 4])['decision'])->toBe('no')
        ->and(at_press(['material' => 'brass'], [brass()], [], ['held' => true])['reasons'])->toBe(['held'])
        ->and(at_press(
            ['material' => 'brass'],
            [brass()],
            [],
            ['lapsed' => 'recency', 'stage' => 4],
        )['reasons'])->toContain('lapsed_recency')
        ->and(at_press(['material' => 'brass'], [brass(['held' => true])])['reasons'])->toContain('held')
        ->and(at_press(['material' => 'brass'], [brass(['stage' => 4, 'lapsed' => 'prerequisite'])])['reasons'])
        ->toContain('lapsed_prerequisite');
});

it('asks the check of a further permit before anybody is watched at its work', function (): void {
    $watched = ['presence' => ['supervisor' => true, 'companion' => false]];
    expect(at_press(['material' => 'brass'], [brass(['stage' => 1, 'scope' => []])], $watched))
        ->toMatchArray(['decision' => 'no', 'reasons' => ['outside_scope_material', 'safety_check_not_passed']])
        ->and(at_press(['material' => 'brass'], [brass(['stage' => 2, 'scope' => []])], $watched))
        ->toMatchArray(['decision' => 'supervised', 'reasons' => ['outside_scope_material', 'not_signed_off']])
        // Before the press's own signature too: its permit is for steel.
        ->and(at_press(
            ['material' => 'brass'],
            [brass(['stage' => 1, 'scope' => []])],
            $watched,
            ['stage' => 3, 'scope' => []],
        )['decision'])
        ->toBe('no')
        ->and(at_press(
            ['material' => 'steel'],
            [brass(['stage' => 1, 'scope' => []])],
            $watched,
            ['stage' => 3, 'scope' => []],
        )['decision'])
        ->toBe('supervised');
});

it('takes the further permit that gives most, and the companion that any of them asks for', function (): void {
    $alone = ['materials' => ['brass'], 'operations' => ['drill'], 'companion' => true];
    expect(at_press(['material' => 'brass'], [brass(['stage' => 1, 'scope' => []]), brass()])['decision'])->toBe('alone')
        ->and(at_press(['material' => 'brass'], [brass(['scope' => $alone])])['reasons'])->toContain('companion_absent')
        ->and(at_press(['material' => 'brass'], [brass(['scope' => $alone])], [
            'presence' => ['supervisor' => false, 'companion' => true],
        ])['decision'])->toBe('alone');
});

it('opens nothing by further permits that the same permits would not open if all of them were needed', function (): void {
    foreach (draws(200, 0, 5, 11) as $i => $draw) {
        $stage = (int) floor($draw);
        $further = [brass([
            'stage' => $stage, 'held' => $i % 7 === 0, 'lapsed' => $stage === 4 && $i % 3 === 0 ? 'expired' : null,
            'scope' => $stage === 5 ? brass()['scope'] : [],
        ])];
        $given = at_press(['material' => 'brass', 'diameter_mm' => 4 + $i % 8], $further)['decision'];
        $needed = access([
            'permits' => [['stage' => 5, 'held' => false, 'lapsed' => null], ...$further],
            'request' => ['material' => 'brass', 'operation' => 'drill', 'diameter_mm' => 4 + $i % 8],
            'presence' => ['supervisor' => false, 'companion' => false],
        ])['decision'];
        // Past what the permit is for it is the press's own scope that refuses.
        expect($given === 'alone')->toBe($needed === 'alone' && 4 + $i % 8 <= 8, "draw $i");
    }
});
