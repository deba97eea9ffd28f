<?php

declare(strict_types=1);

use App\Workshop\Crib;

/** @param  array<string, mixed>  $tool */
function put_in($test, array $tool, string $crib = 'dubbed'): Illuminate\Testing\TestResponse
{
    return $test->postJson("/api/workshop/cribs/$crib/tools", $tool);
}

beforeEach(fn () => $this->actingAs($this->instructor()));

it('fills a new crib with a standard set in one step', function (string $series, int $count, string $first, string $last): void {
    $slug = $this->postJson('/api/workshop/cribs', ['name' => 'Travelling case', 'note' => 'For the yard'])->assertCreated()->json('slug');
    $tools = $this->postJson("/api/workshop/cribs/$slug/sets", ['series' => $series])->assertOk()->json('tools');
    expect($tools)->toHaveCount($count)->and($tools[0]['designation'])->toBe($first)->and(end($tools)['designation'])->toBe($last);
    // The same set again brings nothing new in.
    $this->postJson("/api/workshop/cribs/$slug/sets", ['series' => $series])->assertOk()->assertJsonCount($count, 'tools');
})->with([
    ['metric_half', 25, '1', '13'],
    ['metric_tenth', 121, '1', '13'],
    ['sixty_fourths', 29, '1/16', '1/2'],
    ['number', 80, '#80', '#1'],
    ['letter', 26, 'A', 'Z'],
]);

it('takes tools as they are said, and calls them by their proper names', function (array $tool, array $expected): void {
    $tools = put_in($this, $tool)->assertOk()->json('tools');
    expect(
        array_values(array_filter($tools, static fn (array $each): bool => $each['designation'] === $expected['designation']))[0],
    )->toMatchArray($expected);
})->with([
    [['kind' => 'drill', 'size' => '#7'], ['designation' => '#7', 'diameter_mm' => 5.1054]],
    [
        ['kind' => 'drill', 'size' => '3/8', 'taper' => 1, 'flute_length' => '100'],
        ['designation' => '3/8', 'diameter_mm' => 9.525, 'taper' => 1, 'flute_length_mm' => 100],
    ],
    [['kind' => 'drill', 'size' => '6.1', 'point_angle' => 135], ['designation' => '6.1', 'point_angle_deg' => 135]],
    [['kind' => 'tap', 'size' => 'm10', 'type' => 'spiral_point'], ['designation' => 'M10x1.5 spiral point', 'diameter_mm' => 10]],
    [['kind' => 'reamer', 'size' => '5/16', 'method' => 'hand'], ['designation' => '5/16 hand', 'diameter_mm' => 7.9375]],
    [['kind' => 'centre_drill', 'size' => '2.5'], ['designation' => '2.5', 'diameter_mm' => 6.3]],
    [['kind' => 'step_drill', 'size' => '6-12 by 3'], ['designation' => '6-12 by 3', 'diameter_mm' => 12]],
    [['kind' => 'gauge', 'size' => 'M6', 'gauge' => 'thread'], ['designation' => 'M6x1 thread']],
    [['kind' => 'parallel', 'size' => '12.7'], ['designation' => '12.7', 'diameter_mm' => 12.7]],
    [['kind' => 'tap', 'size' => 'M6', 'type' => 'insert'], ['designation' => 'M6x1 insert', 'diameter_mm' => 6]],
    [['kind' => 'boring_bar', 'size' => '1/2', 'enters' => '5/8', 'reach' => '3 in'],
        ['designation' => '1/2', 'diameter_mm' => 12.7, 'enters_mm' => 15.875, 'reach_mm' => 76.2]],
    [['kind' => 'hole_saw', 'size' => '32', 'reach' => '30'], ['designation' => '32', 'diameter_mm' => 32, 'reach_mm' => 30]],
]);

it('puts a fault of a tool beside its field', function (array $tool, string $field): void {
    put_in($this, $tool)->assertUnprocessable()->assertJsonValidationErrors($field);
})->with([
    [['kind' => 'drill', 'size' => 'big'], 'size'],
    [['kind' => 'tap', 'size' => 'M6'], 'type'],
    [['kind' => 'tap', 'size' => 'M99', 'type' => 'taper'], 'size'],
    [['kind' => 'centre_drill', 'size' => '7'], 'size'],
    [['kind' => 'step_drill', 'size' => '4 to 20'], 'size'],
    [['kind' => 'boring_bar', 'size' => '12', 'enters' => '12'], 'enters'],
    [['kind' => 'boring_bar', 'size' => '12', 'reach' => 'far'], 'reach'],
    [['kind' => 'hole_saw', 'size' => '32', 'reach' => '-1'], 'reach'],
    [['kind' => 'spoon', 'size' => '4'], 'kind'],
    [['kind' => 'drill', 'size' => '4', 'taper' => 9], 'taper'],
    [['kind' => 'drill', 'size' => '4', 'point_angle' => 5], 'point_angle'],
    [['kind' => 'drill', 'size' => '4', 'flute_length' => 'long'], 'flute_length'],
    [['kind' => 'drill', 'size' => '4', 'flute_length' => '0'], 'flute_length'],
]);

it('plans without what is dull or lost', function (): void {
    $nine = Crib::query()->where('slug', 'metric-half')->firstOrFail()->tools()->where('designation', '9')->firstOrFail();
    $want = [
        'machine' => 'bench-drill', 'material' => 'mild_steel', 'thickness' => '8', 'purpose' => 'plain', 'size' => '9',
        'through' => true,
    ];
    $this->postJson('/api/planning/hole', $want)->assertJson(['plan' => ['ready' => true]]);
    foreach (['dull', 'regrind', 'worn_out', 'lost'] as $condition) {
        $this->patchJson("/api/workshop/tools/{$nine->id}", ['condition' => $condition])->assertOk();
        $plan = $this->postJson('/api/planning/hole', $want)->assertJson(['plan' => ['ready' => false]])->json('plan');
        expect(json_encode($plan['warnings']))->toContain('planning.warns.only_aside', "planning.condition.{$condition}");
    }
    $this->patchJson("/api/workshop/tools/{$nine->id}", ['condition' => 'sharpish'])->assertUnprocessable();
    $this->deleteJson("/api/workshop/tools/{$nine->id}")->assertOk();
    // A slip of the finger is taken back, as often as it is sent.
    foreach ([1, 2] as $_) {
        $back = $this->postJson("/api/workshop/tools/{$nine->id}/restore")->assertOk()->json('tools');
        expect(array_column($back, 'id'))->toContain($nine->id);
    }
    $this->deleteJson("/api/workshop/tools/{$nine->id}")->assertOk();
    expect(App\Workshop\Tool::query()->find($nine->id))->toBeNull();
});

it('is read by learners and minded by whoever teaches', function (): void {
    $this->actingAs($this->person());
    $this->getJson('/api/workshop/cribs')->assertOk()->assertJsonCount(13);
    put_in($this, ['kind' => 'drill', 'size' => '4'])->assertForbidden();
    $this->getJson('/api/workshop/bars')->assertForbidden();
});

it('renames a crib, and lets the shop lead remove it', function (): void {
    $this->putJson('/api/workshop/cribs/dubbed', ['name' => 'Blue shanks'])->assertOk()->assertJson(['name' => 'Blue shanks']);
    $this->putJson('/api/workshop/cribs/dubbed', ['name' => 'Hand taps'])->assertUnprocessable();
    $this->actingAs($this->person(App\People\Role::Lead));
    $this->deleteJson('/api/workshop/cribs/dubbed')->assertNoContent();
    expect(Crib::query()->where('slug', 'dubbed')->exists())->toBeFalse();
});
