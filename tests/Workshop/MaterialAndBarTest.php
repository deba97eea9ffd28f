<?php

declare(strict_types=1);

use App\People\Role;

const ALLOY = [
    'name' => 'Tower alloy', 'group' => 'aluminium', 'cutting_speed_m_min' => 40, 'cutting_force_n_mm2' => 950,
    'point_angle_deg' => 118, 'chip_form' => 'short', 'lubricant' => 'light oil', 'grabs' => false, 'edge' => 'normal',
];

it('lists the materials of the core and the shop\'s own, with what is known against their figures', function (): void {
    $this->actingAs($this->person());
    $materials = array_column($this->getJson('/api/workshop/materials')->assertOk()->assertJsonCount(21)->json(), null, 'key');
    expect($materials['mast_alloy']['own'])
        ->toBeTrue()
        ->and($materials['nylon']['unsure'])
        ->toHaveKeys(['cutting_speed_m_min', 'grabs'])
        ->and($materials['mild_steel']['unsure'])
        ->toBe([]);
});

it('writes a row of the shop\'s own, also in the place of one of the table', function (): void {
    $this->actingAs($this->person(Role::Lead));
    $this->putJson('/api/workshop/materials/tower_alloy', ALLOY)->assertOk()->assertJson(['key' => 'tower_alloy', 'own' => true]);
    $this->putJson(
        '/api/workshop/materials/mild_steel',
        [...ALLOY, 'name' => 'Our mild steel', 'group' => 'steel', 'cutting_speed_m_min' => 18],
    )
        ->assertOk();
    $plan = $this->postJson(
        '/api/planning/hole',
        [
            'machine' => 'bench-drill', 'material' => 'mild_steel', 'thickness' => '8', 'purpose' => 'plain',
            'size' => '9', 'through' => true,
        ],
    )
        ->assertOk();
    expect($plan->json('heading.material'))
        ->toBe('Our mild steel')
        ->and(array_column($plan->json('plan.operations'), 'rpm', 'kind')['drill'])
        ->toEqual(500);
    $this->deleteJson('/api/workshop/materials/mild_steel')->assertNoContent();
    $this->getJson('/api/workshop/materials')->assertJsonCount(22);
});

it('makes the key of a new material of its name, and never another\'s', function (string $name, string $key): void {
    $this->actingAs($this->person(Role::Lead));
    $this->postJson('/api/workshop/materials', [...ALLOY, 'name' => $name])
        ->assertCreated()
        ->assertJson(['key' => $key, 'name' => $name, 'own' => true]);
})->with([['Zäher Stahl (C45)', 'zaher_stahl_c45'], ['Mild-steel', 'mild_steel_2'], ['銅', 'own']]);

it('refuses a new material under a name that is there, as when it is sent twice', function (string $name): void {
    $this->actingAs($this->person(Role::Lead));
    $before = $this->getJson('/api/workshop/materials')->json();
    $this->postJson('/api/workshop/materials', [...ALLOY, 'name' => $name])->assertUnprocessable()->assertJsonValidationErrors('name');
    expect($this->getJson('/api/workshop/materials')->json())->toBe($before);
})->with(['Nylon (PA 6 or PA 66)', 'NYLON (pa 6 or PA 66) ']);

it('refuses a row that cannot be planned with', function (array $with, string $field): void {
    $this->actingAs($this->person(Role::Lead));
    $this->putJson('/api/workshop/materials/tower_alloy', [...ALLOY, ...$with])->assertUnprocessable()->assertJsonValidationErrors($field);
})->with([
    [['point_angle_deg' => 10], 'point_angle_deg'],
    [['cutting_speed_m_min' => 0], 'cutting_speed_m_min'],
    [['group' => 'cheese'], 'group'],
    [['name' => ''], 'name'],
]);

it('keeps count of the bars in stock', function (): void {
    $this->actingAs($this->instructor());
    $bar = $this->postJson('/api/workshop/bars', ['material' => 'nylon', 'diameter' => '1 1/8 in', 'length' => '2500', 'count' => 4])
        ->assertOk()
        ->assertJson(['diameter_mm' => 28.575, 'length_mm' => 2500, 'count' => 4])
        ->json('id');
    $this->postJson('/api/workshop/bars', ['material' => 'nylon', 'diameter' => '28.575', 'length' => '2500', 'count' => 3])
        ->assertOk()
        ->assertJson(['id' => $bar, 'count' => 3]);
    $this->postJson('/api/workshop/bars', ['material' => 'cheese', 'diameter' => '28', 'length' => '2500', 'count' => 3])
        ->assertUnprocessable();
    $this->deleteJson("/api/workshop/bars/$bar")->assertNoContent();
    $this->getJson('/api/workshop/bars')->assertOk()->assertJsonCount(5);
});
