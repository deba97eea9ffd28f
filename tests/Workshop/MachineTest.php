<?php

declare(strict_types=1);

use App\People\Role;
use App\Workshop\Machine;

const PRESS = [
    'name' => 'Second drill press', 'kind' => 'bench_drill_press', 'cribs' => ['metric-half'],
    'speeds' => '300, 600, 1200', 'speed_names' => 'low, middle, high', 'speed_change' => 'stopped_and_isolated',
    'scale_unit' => 'in', 'scale_graduation' => '1/16 in', 'scale_travel' => '3 in', 'chuck_max' => '13',
    'reverses' => true,
];

it('writes a machine down as its form has it, lengths as they are typed', function (): void {
    $this->actingAs($this->person(Role::Lead));
    $this->postJson('/api/workshop/machines', PRESS)->assertCreated()->assertJson([
        'slug' => 'second-drill-press',
        'speeds_rpm' => [300, 600, 1200],
        'speed_names' => ['low', 'middle', 'high'],
        'depth_scale' => ['unit' => 'in', 'graduation_mm' => 1.5875, 'travel_mm' => 76.2],
        'chuck_max_mm' => 13,
        'reverses' => true,
        'in_service' => true,
    ]);
    // The plan speaks of its very belts and its very scale.
    $plan = $this->postJson(
        '/api/planning/hole',
        [
            'machine' => 'second-drill-press', 'material' => 'mild_steel', 'thickness' => '8', 'purpose' => 'plain',
            'size' => '9', 'through' => true,
        ],
    )
        ->assertOk();
    expect(
        array_column($plan->json('plan.operations'), null, 'kind')['drill'],
    )->toMatchArray(['rpm' => 600, 'setting' => 'middle', 'scale_reading' => '7/16 in']);
    $this->postJson('/api/workshop/machines', PRESS)->assertCreated()->assertJson(['slug' => 'second-drill-press-2']);
});

it('changes a machine, and forgets what the form no longer says', function (): void {
    $this->actingAs($this->person(Role::Lead));
    $this->putJson(
        '/api/workshop/machines/bench-drill',
        [
            ...PRESS, 'name' => 'Bench drill press', 'speeds' => '', 'speed_names' => '', 'min_rpm' => '200',
            'max_rpm' => '1800', 'chuck_max' => '',
        ],
    )
        ->assertOk()
        ->assertJson([
            'speeds_rpm' => null, 'speed_names' => null, 'min_rpm' => 200, 'max_rpm' => 1800, 'chuck_max_mm' => null,
            'cribs' => [['slug' => 'metric-half']],
        ]);
});

it('puts a fault of a machine beside its field and keeps nothing', function (array $with, string $field): void {
    $this->actingAs($this->person(Role::Lead));
    $count = Machine::query()->count();
    $this->postJson('/api/workshop/machines', [...PRESS, ...$with])->assertUnprocessable()->assertJsonValidationErrors($field);
    expect(Machine::query()->count())->toBe($count);
})->with([
    [['name' => ''], 'name'], [['kind' => 'mill'], 'kind'], [['speeds' => '300, fast'], 'speeds_rpm'],
    [['speeds' => '', 'speed_names' => ''], 'speeds_rpm'], [['speed_names' => 'low'], 'speed_names'],
    [['scale_graduation' => 'fine'], 'scale_graduation'],
    [['speeds' => '', 'speed_names' => '', 'min_rpm' => '900', 'max_rpm' => '300'], 'max_rpm'],
    [['cribs' => ['nowhere']], 'cribs.0'],
    [['taper' => 9], 'taper'],
]);

it('needs no speeds for a bench', function (): void {
    $this->actingAs($this->person(Role::Lead));
    $this->postJson('/api/workshop/machines', ['name' => 'Second bench', 'kind' => 'bench', 'cribs' => []])
        ->assertCreated()
        ->assertJson(['speeds_rpm' => null]);
});

it('lets whoever teaches take a machine out, and only the shop lead put it back; the history stays', function (): void {
    $instructor = $this->instructor();
    $this->actingAs($instructor);
    $id = fake_uuid();
    $out = ['id' => $id, 'in_service' => false, 'reason' => 'Belt guard is cracked'];
    $this->postJson('/api/workshop/machines/bench-drill/service', $out)
        ->assertOk()
        ->assertJson([
            'in_service' => false,
            'service_note' => 'Belt guard is cracked',
            'services' => [['reason' => 'Belt guard is cracked', 'by' => $instructor->name]],
        ]);
    // A tablet that lost its network sends it again.
    $this->postJson('/api/workshop/machines/bench-drill/service', $out)->assertOk()->assertJsonCount(1, 'services');
    $this->postJson('/api/workshop/machines/bench-drill/service', ['id' => fake_uuid(), 'in_service' => true, 'reason' => 'Looks fine'])
        ->assertForbidden();
    $this->actingAs($this->person(Role::Lead));
    $this->postJson(
        '/api/workshop/machines/bench-drill/service',
        ['id' => fake_uuid(), 'in_service' => true, 'reason' => 'New guard fitted'],
    )
        ->assertOk()
        ->assertJson(['in_service' => true, 'service_note' => null])
        ->assertJsonCount(2, 'services');
    $this->postJson('/api/workshop/machines/bench-drill/service', ['id' => fake_uuid(), 'in_service' => false, 'reason' => 'no'])
        ->assertUnprocessable()
        ->assertJsonValidationErrors('reason');
});

it('is read by everybody, written by the shop lead', function (string $method, string $path): void {
    $this->actingAs($this->person());
    $this->getJson('/api/workshop/machines')->assertOk()->assertJsonCount(6);
    $this->json($method, $path, PRESS)->assertForbidden();
    $this->actingAs($this->instructor());
    $this->json($method, $path, PRESS)->assertForbidden();
})->with([
    ['POST', '/api/workshop/machines'],
    ['PUT', '/api/workshop/machines/bench-drill'],
    ['PUT', '/api/workshop/policy'],
    ['POST', '/api/workshop/file'],
    ['PUT', '/api/workshop/materials/x'],
    ['DELETE', '/api/workshop/cribs/dubbed'],
]);
