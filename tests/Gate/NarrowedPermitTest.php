<?php

declare(strict_types=1);

use App\Competency\DefinePermit;
use App\Gate\MachineSession;
use App\People\Role;

beforeEach(function (): void {
    at_a_gate($this);
    $this->narrow = function (array $with = []): void {
        $permit = $this->permit();
        app(DefinePermit::class)([
            'code' => $permit->code, 'name' => $permit->name, 'requirement' => $permit->requirement,
            'scope' => $permit->scope, 'validity_days' => $permit->validity_days,
            'statement' => $permit->statementInForce()->body, ...$with,
        ]);
    };
});

/** What is narrowed, what the turn's reasons are then. */
dataset('narrowed', [
    'material' => [['materials' => ['aluminium_6000']], ['outside_scope_material', 'supervisor_absent']],
    'size' => [['max_diameter_mm' => 8], ['outside_scope_diameter', 'supervisor_absent']],
    'thickness' => [['min_thickness_mm' => 9], ['outside_scope_thickness', 'supervisor_absent']],
    'operation' => [['operations' => ['countersink']], ['outside_scope_operation', 'supervisor_absent']],
    'companion' => [['companion' => true], ['companion_absent', 'supervisor_absent']],
]);

it('ends a turn outside of the permit of today, whatever was signed, and gives no power at the next badge', function (
    array $scope,
    array $reasons,
): void {
    hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
    ($this->narrow)(['scope' => [...$this->permit()->scope, ...$scope]]);
    // Ended by the event itself, before any screen asks again.
    expect(MachineSession::query()->sole()->end_reasons)->toBe($reasons);
    screen($this)->assertJson(['interlock' => 'off', 'ended' => ['because' => 'revoked', 'reasons' => $reasons]]);
    hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'off', 'reasons' => $reasons]);
})->with('narrowed');

it('ends a turn that never said what the permit limits now', function (): void {
    $permit = $this->permit();
    $permit->update(['scope' => (object) []]);
    app(App\Competency\RecordEntry::class)($this->learner, $permit, 'signed_off', [
        'statement_version' => 1, 'valid_until' => now()->addYear()->toIso8601ZuluString(), 'scope' => (object) [],
    ], $this->by);
    hold_badge($this, 'LEARNER', ['request' => null])->assertJson(['interlock' => 'on']);
    ($this->narrow)(['scope' => ['max_diameter_mm' => 10]]);
    screen($this)->assertJson(['interlock' => 'off', 'ended' => ['reasons' => ['request_unsaid']]]);
    hold_badge($this, 'LEARNER', ['request' => null])->assertJson(['interlock' => 'off', 'asks' => ['diameter']]);
});

it('ends a turn at a machine that the permit no longer is for', function (): void {
    hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
    ($this->narrow)(['machines' => []]);
    screen($this)->assertJson(['interlock' => 'off', 'ended' => ['reasons' => ['no_permit_defined']]]);
});

it('leaves a turn within the narrower permit alone', function (): void {
    hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
    ($this->narrow)(['scope' => [...$this->permit()->scope, 'max_diameter_mm' => 9, 'materials' => ['mild_steel']]]);
    screen($this)->assertJson(['interlock' => 'on']);
    expect(hold_badge($this, 'LEARNER', ['request' => [...STEEL, 'diameter_mm' => 9.5]])->json('scopes.0'))
        ->toMatchArray(['max_diameter_mm' => 9, 'materials' => ['mild_steel']]);
});

it('says before it is in force who loses what, and which turns end; the same then happens', function (
    array $scope,
    array $reasons,
): void {
    $other = $this->person();
    bring($other, 4, $this->by);
    $read = hold_badge($this, 'LEARNER');
    $permit = $this->permit();
    $lead = $this->person(Role::Lead);
    $given = [
        'name' => $permit->name, 'validity_days' => 365, 'statement' => $permit->statementInForce()->body,
        'requirement' => array_filter($permit->requirement, fn ($value): bool => $value !== null),
        'scope' => [
            'materials' => $permit->scope['materials'], 'operations' => $permit->scope['operations'],
            'max_diameter' => (string) ($scope['max_diameter_mm'] ?? 10), 'min_thickness' => (string) ($scope['min_thickness_mm'] ?? 3),
            ...array_diff_key($scope, ['max_diameter_mm' => 0, 'min_thickness_mm' => 0]),
        ],
        'machines' => $permit->machines->modelKeys(), 'signers' => [],
    ];
    app('auth')->forgetGuards();
    $seen = $this->flushHeaders()->actingAs($lead)->putJson('/api/competency/permits/drill-through-10', [...$given, 'preview' => true])
        ->assertOk()->assertJson(['faults' => []]);
    expect($seen->json('loses'))->toHaveCount(1)
        ->and($seen->json('loses.0.name'))->toBe($this->learner->name)
        ->and(array_keys($seen->json('loses.0.lost')))->toBe(array_keys($scope))
        ->and($seen->json('turns'))->toHaveCount(1)
        ->and($seen->json('turns.0.reasons'))->toBe($reasons)
        ->and(MachineSession::query()->whereNull('ended_at')->count())->toBe(1);
    $this->putJson('/api/competency/permits/drill-through-10', $given)->assertOk();
    expect(MachineSession::query()->sole()->end_reasons)->toBe($reasons);
    // What it narrows stands on the learner's page beside the signature.
    expect(array_keys($this->getJson("/api/records/learners/{$this->learner->id}")->json('permits.0.signed_off.narrowed')))
        ->toBe(array_keys($scope));
    expect($read->json('interlock'))->toBe('on');
})->with('narrowed');
