<?php

declare(strict_types=1);

use App\People\Role;
use App\Policy\Policy;
use App\Workshop\Machine;
use Illuminate\Testing\TestResponse;

/** @param  array<string, mixed>  $with */
function want($test, array $with = [], string $path = ''): TestResponse
{
    return $test->postJson(
        "/api/planning/hole$path",
        [
            ...[
                'machine' => 'bench-drill', 'cribs' => [], 'material' => 'mild_steel', 'thickness' => '8',
                'purpose' => 'clearance', 'size' => 'M8', 'through' => true,
            ],
            ...$with,
        ],
    );
}

/** @return array<string, mixed> operations by kind */
function steps(TestResponse $answer): array
{
    return array_column($answer->json('plan.operations'), null, 'kind');
}

beforeEach(fn () => $this->actingAs($this->person()));

it('plans with this machine\'s speeds, this crib\'s drills and the policy in force', function (): void {
    $steps = steps(
        want($this)
            ->assertOk()
            ->assertJson([
                'plan' => ['ready' => true],
                'heading' => ['what' => ['code' => 'planning.hole.through'], 'material' => ['code' => 'workshop.material.mild_steel']],
            ]),
    );
    expect($steps['pilot'])
        ->toMatchArray(['diameter_mm' => 2, 'rpm' => 1400, 'setting' => 'belt 4'])
        ->and($steps['drill'])
        ->toMatchArray(['diameter_mm' => 9, 'rpm' => 500, 'reading_mm' => 12, 'scale_reading' => '12 mm']);
    Policy::query()->create(['settings' => ['pilot_school' => 'single', 'clearance_fit' => 'loose'], 'in_force_from' => now()]);
    $steps = steps(want($this));
    expect($steps)->not->toHaveKey('pilot')->and($steps['drill']['diameter_mm'])->toEqual(10);
});

it('takes sizes as they are said, in the units of the person who says them', function (): void {
    $plan = want(
        $this,
        ['purpose' => 'tapped', 'size' => 'm8 x 1.25', 'thickness' => '1 in', 'through' => false, 'depth' => '3/8'],
    )->assertOk();
    expect(array_column($plan->json('plan.operations'), 'kind'))->toContain('tap', 'countersink');
    expect(in_words(want($this, ['purpose' => 'reamed', 'size' => '8 H7', 'thickness' => '20'])->json('heading.what')))
        ->toBe('⌀ 8 mm H7 reamed through');
    $this->actingAs($this->person(Role::Learner, ['units' => 'in']));
    expect(
        steps(want($this, ['purpose' => 'plain', 'size' => '.25', 'thickness' => '.5', 'machine' => 'inch-lathe']))['drill'],
    )->toMatchArray(['diameter_mm' => 6.35]);
});

it('lays other cribs beside the machine when they are chosen', function (): void {
    expect(
        in_words(want($this, ['purpose' => 'plain', 'size' => '9.2'])->assertJson(['plan' => ['ready' => false]])->json('plan.missing')),
    )->toContain('nearest is 9');
    want($this, ['purpose' => 'plain', 'size' => '9.2', 'cribs' => ['metric-tenth']])->assertJson([
        'plan' => ['ready' => true],
        'heading' => ['cribs' => 'Metric set by 0.1'],
    ]);
    want($this, ['cribs' => ['marking-out']])->assertUnprocessable()->assertJsonValidationErrors('cribs');
    want($this, ['machine' => 'marking-table'])->assertUnprocessable()->assertJsonValidationErrors('machine');
});

it('says what this machine lacks', function (): void {
    expect(
        in_words(want($this, ['machine' => 'floor-drill', 'purpose' => 'plain', 'size' => '5'])->assertOk()->json('plan.missing')),
    )->toContain('out of service');
});

it('plans in a material of the shop\'s own', function (): void {
    expect(
        steps(
            want($this, ['material' => 'mast_alloy'])->assertJson(['heading' => ['material' => "Mast alloy (shop's own)"]]),
        )['drill']['lubricant'],
    )->toBe('light oil');
});

it('puts a fault beside its field', function (array $with, string $field): void {
    want($this, $with)->assertUnprocessable()->assertJsonValidationErrors($field);
})->with([
    [['thickness' => 'thick'], 'thickness'], [['purpose' => 'plain', 'size' => 'six'], 'size'],
    [['size' => 'M99'], 'hole'], [['material' => 'cheese'], 'material'],
    [['through' => false], 'depth'],
    [['through' => false, 'depth' => '9', 'purpose' => 'plain', 'size' => '5'], 'hole'],
    [['machine' => 'nowhere'], 'machine'],
    [['position_tolerance' => 'close'], 'position_tolerance'],
    [['purpose' => 'reamed', 'size' => '8 K9'], 'size'],
    [['support' => 'rope'], 'support'],
]);

it('asks a learner for the figures and gives none away', function (): void {
    $asked = want($this, path: '/questions')->assertOk();
    expect(array_column($asked->json('questions'), 'key'))
        ->toContain('6.rpm')
        ->and($asked->getContent())->not
        ->toContain('500')->not
        ->toContain('"9 mm');
});

it('judges answers one by one, and shows the working when one is right or given up', function (): void {
    want($this, ['key' => '6.rpm', 'answer' => '850'], '/answers')->assertOk()->assertExactJson(['right' => false, 'figure' => null]);
    want($this, ['key' => '6.rpm', 'answer' => '500'], '/answers')
        ->assertOk()
        ->assertJson(['right' => true, 'figure' => ['value' => 500, 'unit' => 'rpm']]);
    want($this, ['key' => '6.reading_mm', 'give_up' => true], '/answers')
        ->assertOk()
        ->assertJson(['right' => false, 'figure' => ['value' => 12]]);
    want($this, ['key' => '6.rpm', 'answer' => 'fast'], '/answers')->assertUnprocessable()->assertJsonValidationErrors('answer');
    want($this, ['key' => '0.rpm', 'answer' => '5'], '/answers')->assertUnprocessable()->assertJsonValidationErrors('key');
});

it('is for those who are signed in', function (): void {
    auth()->logout();
    want($this)->assertUnauthorized();
});

it('takes flutes and point from the crib\'s drill, and says which', function (): void {
    $this->actingAs($this->instructor());
    $this->postJson('/api/workshop/cribs/metric-half/tools', [
        'kind' => 'drill', 'size' => '6.1', 'flute_length' => '12', 'point_angle' => 135,
    ])->assertOk();
    $answer = want($this, ['purpose' => 'plain', 'size' => '6.1', 'thickness' => '20', 'cribs' => ['metric-half']])->assertOk();
    expect(steps($answer)['drill']['tool']['code'])->toBe('planning.tool.pointed')
        ->and(array_column($answer->json('plan.missing'), 'code'))->toContain('planning.lacks.flutes');
});

it('seats a screw\'s head, and names a head that there is not', function (): void {
    $answer = want($this, ['purpose' => 'counterbored', 'size' => 'M8', 'thickness' => '20', 'lever' => '80'])->assertOk();
    expect(steps($answer)['counterbore'])->toMatchArray(['diameter_mm' => 15, 'total_depth_mm' => 8.6])
        ->and($answer->json('plan.holding'))->toMatchArray(['lever_mm' => 80, 'lever_taken' => false]);
    $sunk = want($this, ['purpose' => 'countersunk', 'size' => 'M6', 'thickness' => '20', 'head' => 'flat_socket'])->assertOk();
    expect(steps($sunk)['countersink']['diameter_mm'])->toEqual(13.44);
    want($this, ['purpose' => 'countersunk', 'size' => 'M2', 'thickness' => '20'])->assertUnprocessable();
    want($this, ['purpose' => 'countersunk', 'size' => 'M6', 'head' => 'round'])
        ->assertUnprocessable()->assertJsonValidationErrorFor('head');
    want($this, ['purpose' => 'counterbored', 'size' => 'M8', 'lever' => str_repeat('8', 40)])
        ->assertUnprocessable()->assertJsonValidationErrorFor('lever');
});

it('says nothing in figures of what a hand resists', function (): void {
    $answer = want($this, ['holding' => 'hand_bare'])->assertOk();
    expect($answer->json('plan.holding'))->toMatchArray(['verdict' => 'never', 'capacity_nm' => null, 'resisting_force_n' => null]);
});

it('bores on the lathe with the bars beside it, taps by a spindle that reverses, and seats a washer on a slope', function (): void {
    $bored = want($this, ['machine' => 'metric-lathe', 'cribs' => [], 'purpose' => 'bored', 'size' => '25', 'thickness' => '30',
        'work_diameter' => '60'])->assertOk();
    expect(array_column($bored->json('plan.missing'), 'code'))->toBe([])
        ->and(steps($bored)['bore']['tool']['terms'])->toMatchArray(['bar_mm' => 12])
        ->and(steps($bored)['bore']['dial_reading'])->not->toBeNull();
    Machine::query()->where('slug', 'floor-drill')->update(['in_service' => true]);
    $tapped = ['machine' => 'floor-drill', 'cribs' => [], 'purpose' => 'tapped', 'size' => 'M6', 'thickness' => '12', 'tapping' => 'power'];
    expect(steps(want($this, $tapped)->assertOk())['tap']['rpm'])->toBeGreaterThan(180);
    Machine::query()->where('slug', 'floor-drill')->update(['reverses' => null]);
    expect(array_column(want($this, $tapped)->json('plan.missing'), 'code'))->toContain('planning.lacks.reversing_spindle');
    $seat = want($this, ['purpose' => 'spotfaced', 'size' => 'M8', 'thickness' => '20', 'slope' => '3', 'lever' => '100'])->assertOk();
    expect(steps($seat)['spotface']['total_depth_mm'])->toEqualWithDelta(0.5 + 20 * tan(deg2rad(3)), 1e-9);
});

it('refuses ways, slopes and widths that nobody has', function (array $with, string $field): void {
    want($this, $with)->assertUnprocessable()->assertJsonValidationErrorFor($field);
})->with([
    [['purpose' => 'tapped', 'size' => 'M6', 'tapping' => 'by magic'], 'tapping'],
    [['purpose' => 'spotfaced', 'size' => 'M8', 'slope' => '45'], 'slope'],
    [['purpose' => 'spotfaced', 'size' => 'M8', 'slope' => '-1'], 'slope'],
    [['purpose' => 'spotfaced', 'size' => 'M8', 'slope' => str_repeat('9', 40)], 'slope'],
    [['work_width' => 'broad'], 'work_width'],
    [['work_width' => '0'], 'work_width'],
]);
