<?php

declare(strict_types=1);

use App\People\Role;
use App\Policy\Policy;
use MillStep\Core\Policy\PolicySettings;

it('says what can be set, what is set, and what was changed by whom and why', function (): void {
    $lead = $this->person(Role::Lead);
    $this->actingAs($lead);
    $policy = $this->getJson('/api/workshop/policy')->assertOk()->json();
    expect(array_column($policy['catalogue'], 'key'))
        ->toBe(array_keys(PolicySettings::all()))
        ->and($policy['settings']['pilot_school'])
        ->toBe('web');
    $this->putJson(
        '/api/workshop/policy',
        ['settings' => [...$policy['settings'], 'pilot_school' => 'stepped'], 'note' => 'Fewer snatched drills in the evening group'],
    )
        ->assertOk()
        ->assertJson([
            'settings' => ['pilot_school' => 'stepped'],
            'changes' => [['by' => $lead->name, 'note' => 'Fewer snatched drills in the evening group']],
        ]);
    expect(Policy::query()->count())->toBe(2)->and(Policy::inForce()->pilotSchool->value)->toBe('stepped');
});

it('is one change however often it is sent', function (): void {
    $this->actingAs($this->person(Role::Lead));
    $settings = [...Policy::settingsInForce(), 'learner_cap_rpm' => 1200];
    $this->putJson('/api/workshop/policy', ['settings' => $settings, 'note' => 'Slower for now'])->assertOk();
    $this->putJson('/api/workshop/policy', ['settings' => $settings, 'note' => 'Slower for now'])->assertOk();
    expect(Policy::query()->count())->toBe(2);
});

it('names every setting that is at fault, and changes nothing', function (): void {
    $this->actingAs($this->person(Role::Lead));
    $this->putJson(
        '/api/workshop/policy',
        ['settings' => ['pilot_school' => 'guess', 'web_ratio' => 3, 'colour' => 'blue'], 'note' => 'A try at it'],
    )
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['pilot_school', 'web_ratio', 'colour']);
    $this->putJson('/api/workshop/policy', ['settings' => ['pilot_school' => 'web'], 'note' => ''])
        ->assertUnprocessable()
        ->assertJsonValidationErrors('note');
    expect(Policy::query()->count())->toBe(1);
});

it('takes a length as it is written in the shop, in the writer\'s units', function (): void {
    $lead = $this->person(Role::Lead, ['units' => 'in']);
    $this->actingAs($lead);
    $set = fn (string $text) => $this->putJson(
        '/api/workshop/policy',
        ['settings' => ['breakthrough_mm' => $text], 'note' => 'As we write it'],
    );
    foreach (['1/16' => 1.5875, '40 thou' => 1.016, '0.25' => 6.35, '2 mm' => 2.0, '0' => 0.0] as $text => $mm) {
        $set((string) $text)->assertOk();
        expect(Policy::settingsInForce()['breakthrough_mm'])->toEqual($mm);
    }
    $set('a bit')->assertJsonValidationErrors('breakthrough_mm');
    $set('3 in')->assertJsonValidationErrors('breakthrough_mm');
    $set('-1')->assertJsonValidationErrors('breakthrough_mm');
});

it('has a careful value for every setting that can stand', function (): void {
    foreach (PolicySettings::all() as $key => $setting) {
        if ($setting['default'] !== null) {
            expect(MillStep\Core\Policy\ShopPolicy::faults(MillStep\Core\Border\Fields::of([$key => $setting['default']])))->toBe([], $key);
        }
    }
});
