<?php

declare(strict_types=1);

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Planning\Plan\HolePlan;
use MillStep\Core\Planning\Plan\PlanChanges;
use MillStep\Core\Planning\Plan\PlanQuestions;
use MillStep\Core\Planning\Stock\ClassBars;

require_once __DIR__.'/helpers.php';

/** @return array<string, mixed> */
function changes(array $before, array $after): array
{
    return json_decode(json_encode(PlanChanges::between($before, $after)), true);
}

function questions(array $with = []): PlanQuestions
{
    $wanted = HolePlan::fromFields(
        Fields::of([
            'material' => 'mild_steel',
            'thickness_mm' => 8,
            'hole' => ['purpose' => 'clearance', 'fastener' => 'M8', 'through' => true],
            'machine' => bench(),
            'crib' => ['drills' => crib(0.5)],
            ...$with,
        ]),
    );

    return new PlanQuestions($wanted->compute(), $wanted->machine);
}

it('finds nothing between a plan and itself', function (): void {
    $plan = hole(['purpose' => 'tapped', 'thread' => 'M8']);
    expect(changes($plan, $plan)['count'])
        ->toBe(0)
        ->and(array_unique(array_column(changes($plan, $plan)['operations'], 'state')))
        ->toBe(['same']);
});

it('says which operation came, went or changed, and in what', function (): void {
    $web = hole(['purpose' => 'plain', 'diameter_mm' => 12]);
    $single = hole(['purpose' => 'plain', 'diameter_mm' => 12], ['policy' => ['pilot_school' => 'single']]);
    $lines = array_column(changes($web, $single)['operations'], null, 'kind');
    expect($lines['pilot'])->toMatchArray(['state' => 'removed', 'after' => null])
        ->and($lines['drill']['state'])->toBe('changed')
        ->and(array_column(changes($single, $web)['operations'], null, 'kind')['pilot']['state'])->toBe('added');
    $capped = hole(['purpose' => 'plain', 'diameter_mm' => 12], ['policy' => ['learner_cap_rpm' => 400]]);
    $fields = array_column(array_column(changes($web, $capped)['operations'], null, 'kind')['drill']['changes'], null, 'field');
    expect($fields['rpm'])
        ->toMatchArray(['before' => 500, 'after' => 280])
        ->and($fields)
        ->toHaveKey('setting')->not
        ->toHaveKey('diameter_mm');
});

it('says what only one of them lacks', function (): void {
    $ready = hole(['purpose' => 'plain', 'diameter_mm' => 9]);
    $lacking = hole(['purpose' => 'plain', 'diameter_mm' => 9], ['machine' => bench(['in_service' => false])]);
    expect(told(changes($ready, $lacking)['missing_after']))
        ->toContain('planning.lacks.out_of_service')
        ->and(changes($lacking, $ready)['missing_before'])
        ->toHaveCount(1);
});

it('asks for every figure that a learner can work out, and gives none of them away', function (): void {
    $asked = questions();
    $keys = array_column($asked->all(), 'key');
    expect($keys)->toContain('5.diameter_mm', '5.rpm', '5.total_depth_mm', '5.reading_mm', '6.diameter_mm')
        ->and(json_encode($asked->shown()))->not->toContain('500')->not->toContain('9 mm');
});

it('judges an answer as the machine would', function (string $key, string $typed, bool $right, string $units = 'mm'): void {
    expect(questions()->judge($key, $typed, $units))->toBe($right);
})->with([
    ['6.diameter_mm', '9', true], ['6.diameter_mm', '9.01', false], ['6.diameter_mm', '0.3543 in', true],
    ['6.diameter_mm', '.3543', true, 'in'],
    ['6.rpm', '500', true], ['6.rpm', '500 rpm', true], ['6.rpm', '850', false],
    ['6.total_depth_mm', '11.7', true], ['6.total_depth_mm', '11.9', false],
    ['6.reading_mm', '12', true], ['6.reading_mm', '13', true], ['6.reading_mm', '14', false],
]);

it('takes a speed nearby on a machine that has all of them', function (): void {
    $asked = questions(['machine' => array_filter(bench(['speeds_rpm' => null, 'min_rpm' => 100, 'max_rpm' => 3000]))]);
    $right = $asked->figure('6.rpm')->value;
    expect($asked->judge('6.rpm', (string) round($right * 1.04), 'mm'))
        ->toBeTrue()
        ->and($asked->judge('6.rpm', (string) round($right * 1.07), 'mm'))
        ->toBeFalse();
});

it('says what it cannot understand', function (string $key, string $typed, string $field): void {
    try {
        questions()->judge($key, $typed, 'mm');
        $this->fail('It was understood.');
    } catch (InvalidInput $fault) {
        expect($fault->field)->toBe($field);
    }
})->with([['6.rpm', 'fast', 'answer'], ['6.diameter_mm', 'nine', 'answer'], ['6.why', '9', 'key'], ['99.rpm', '9', 'key']]);

it('cuts blanks for a class from the bars in stock, the least waste first, enough before too few', function (): void {
    $bars = json_decode(
        json_encode(
            ClassBars::of(
                Length::mm(90),
                9,
                Length::mm(2),
                [
                    ['length_mm' => 1000, 'count' => 1],
                    ['length_mm' => 500, 'count' => 3],
                    ['length_mm' => 80, 'count' => 50],
                    ['length_mm' => 300, 'count' => 1],
                ],
            ),
        ),
        true,
    );
    expect(array_column($bars['stock'], 'length_mm'))->toEqual([1000, 500, 300, 80])
        ->and($bars['stock'][0])->toMatchArray(['bars' => 1, 'enough' => true])->and($bars['stock'][3]['fault']['code'])
        ->toBe('planning.piece_too_long')
        ->and(array_sum(array_map(count(...), $bars['stock'][0]['layout'])))->toBe(9);
});
