<?php

declare(strict_types=1);

use App\Demo\DemoShop;
use App\People\Role;
use App\Planning\Plan;
use App\Planning\PlanKind;
use App\Workshop\Part;
use MillStep\Core\Policy\PolicySettings;

/** The scenario's eight parts, planned and saved in the demo. */
beforeEach(function (): void {
    $this->lead = $this->person(Role::Lead);
    app(DemoShop::class)->plans($this->lead);
});

/** @return list<array{name: string, kind: PlanKind, answer: array<string, mixed>}> */
function demo_plans(): array
{
    $shop = new App\Workshop\ShopAtHand;

    return Plan::query()->orderBy('name')->get()->map(fn (Plan $plan): array => [
        'name' => $plan->name,
        'kind' => $plan->kind,
        'answer' => json_decode(json_encode($plan->planNow($shop)->toArray(), JSON_THROW_ON_ERROR), true),
    ])->all();
}

it('holds a plan that can be made for every part, nothing of it has changed since, and there are words for all of it', function (): void {
    $plans = demo_plans();
    expect($plans)->toHaveCount(15)->and(Plan::query()->distinct()->count('part_id'))->toBe(10)->and(Part::query()->count())->toBe(10);
    foreach ($plans as ['name' => $name, 'kind' => $kind, 'answer' => $answer]) {
        expect($answer[$kind === PlanKind::Layout ? 'layout' : 'plan'])->toMatchArray(['ready' => true, 'missing' => []], $name)
            ->and($answer['drawing'])->not->toBeNull($name);
    }
    $this->actingAs($this->lead);
    foreach ($this->getJson('/api/planning/plans')->assertOk()->json() as $entry) {
        expect($this->getJson("/api/planning/plans/{$entry['id']}")->assertOk()->json('since.count') ?? 0)->toBe(0, $entry['name']);
    }

    // There are words for every operation, field, figure and setting that a plan can show.
    $has = fn (string $key): bool => App\Language\Sentences::in('en')->template($key) !== null;
    $wanted = [];
    foreach ($plans as ['answer' => $answer]) {
        foreach ($answer['plan']['operations'] ?? [] as $step) {
            $wanted["planning.kind.{$step['kind']}"] = true;
            foreach ($step['figures'] as $figure) {
                $wanted["figure.rule.{$figure['rule']}"] = true;
            }
        }
    }
    foreach (PolicySettings::all() as $key => $setting) {
        $wanted["policy.$key.label"] = $wanted["policy.$key.words"] = true;
        $wanted["workshop.policyGroup.{$setting['group']}"] = $wanted["workshop.changesWhat.{$setting['changes']}"] = true;
        foreach ($setting['choices'] ?? [] as $choice) {
            $wanted["policy.$key.option.$choice"] = true;
        }
    }
    expect(array_values(array_filter(array_keys($wanted), fn (string $key): bool => ! $has($key))))
        ->toBe([])
        ->and(count($wanted))
        ->toBeGreaterThan(100);
});
