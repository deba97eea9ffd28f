<?php

declare(strict_types=1);

function want($test, array $with = []): Illuminate\Testing\TestResponse
{
    return $test->postJson('/api/planning/hole', [...['machine' => 'bench-drill', 'material' => 'mild_steel', 'thickness' => '8', 'purpose' => 'clearance', 'size' => 'M8', 'through' => true], ...$with]);
}

beforeEach(fn () => $this->actingAs($this->person()));

it('plans with this machine\'s speeds, this crib\'s drills and the policy in force', function (): void {
    $plan = want($this)->assertOk()->assertJson(['ready' => true]);
    $steps = array_column($plan->json('operations'), null, 'kind');
    expect($steps['pilot'])->toMatchArray(['diameter_mm' => 2, 'rpm' => 1400])->and($steps['drill'])->toMatchArray(['diameter_mm' => 9, 'rpm' => 500, 'reading_mm' => 12]);
    App\Workshop\Policy::query()->create(['settings' => ['pilot_school' => 'single', 'clearance_fit' => 'loose'], 'in_force_from' => now()]);
    $steps = array_column(want($this)->json('operations'), null, 'kind');
    expect($steps)->not->toHaveKey('pilot')->and($steps['drill']['diameter_mm'])->toEqual(10);
});

it('takes sizes as they are said', function (): void {
    $plan = want($this, ['purpose' => 'tapped', 'size' => 'm8 x 1.25', 'thickness' => '1 in', 'through' => false, 'depth' => '3/8'])->assertOk();
    expect(array_column($plan->json('operations'), 'kind'))->toContain('tap', 'countersink');
});

it('says what this crib or machine lacks', function (): void {
    expect(implode(want($this, ['purpose' => 'plain', 'size' => '9.2'])->assertOk()->assertJson(['ready' => false])->json('missing')))->toContain('nearest is 9');
    expect(implode(want($this, ['machine' => 'floor-drill'])->assertOk()->json('missing')))->toContain('out of service');
});

it('puts a fault beside its field', function (array $with, string $field): void {
    want($this, $with)->assertUnprocessable()->assertJsonValidationErrors($field);
})->with([
    [['thickness' => 'thick'], 'thickness'], [['purpose' => 'plain', 'size' => 'six'], 'size'], [['size' => 'M99'], 'hole'], [['material' => 'cheese'], 'material'],
    [['through' => false], 'depth'], [['through' => false, 'depth' => '9', 'purpose' => 'plain', 'size' => '5'], 'hole'], [['machine' => 'nowhere'], 'machine'],
]);

it('lists the materials of the core', function (): void {
    expect($this->getJson('/api/workshop/materials')->assertOk()->json())->toHaveCount(20);
});
