<?php

declare(strict_types=1);

use App\People\Role;
use App\Planning\Plan;
use App\Policy\Policy;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

const HOLE = [
    'machine' => 'bench-drill', 'cribs' => [], 'material' => 'mild_steel', 'thickness' => '8', 'purpose' => 'clearance',
    'size' => 'M8', 'through' => true,
];

/** @param  array<string, mixed>  $with */
function keep($test, string $id, array $with = []): TestResponse
{
    return $test->putJson(
        "/api/planning/plans/$id",
        [...['name' => 'Corner hole', 'kind' => 'hole', 'request' => HOLE, 'part' => 'foot-plate'], ...$with],
    );
}

it('keeps a plan under its name, once however often it is sent', function (): void {
    $this->actingAs($this->instructor());
    $id = fake_uuid();
    keep($this, $id)
        ->assertCreated()
        ->assertJson([
            'name' => 'Corner hole',
            'part' => 'Foot plate',
            'ready' => true,
            'what' => ['code' => 'planning.hole.through'],
            'since' => ['count' => 0],
        ]);
    keep($this, $id, ['name' => 'Corner holes'])->assertOk();
    expect(Plan::query()->count())->toBe(1)->and($this->getJson('/api/planning/plans')->json('0.name'))->toBe('Corner holes');
});

it('plans it anew whenever it is looked at, and says what has changed since', function (): void {
    $this->actingAs($this->instructor());
    $id = fake_uuid();
    keep($this, $id);
    Policy::query()->create(['settings' => ['pilot_school' => 'single'], 'in_force_from' => now()]);
    $plan = $this->getJson("/api/planning/plans/$id")->assertOk()->json();
    expect(array_column($plan['since']['operations'], 'state', 'kind'))->toMatchArray(['pilot' => 'removed', 'drill' => 'changed'])
        ->and(array_column($plan['answer']['plan']['operations'], 'kind'))->not->toContain('pilot');
});

it('says why a kept plan cannot be planned any more, and keeps what was asked', function (): void {
    $this->actingAs($this->instructor());
    $id = fake_uuid();
    keep($this, $id, ['request' => [...HOLE, 'material' => 'mast_alloy']]);
    App\Workshop\MaterialRow::query()->delete();
    $this->getJson("/api/planning/plans/$id")
        ->assertOk()
        ->assertJson(['answer' => null, 'request' => ['material' => 'mast_alloy']])
        ->assertJsonPath('fault', fn (string $words): bool => str_contains($words, 'no material of the table'));
});

it('understands a kept plan in the units that it was typed in', function (): void {
    $id = fake_uuid();
    $this->actingAs($this->person(Role::Instructor, ['units' => 'in']));
    keep($this, $id, ['request' => [...HOLE, 'thickness' => '.5', 'purpose' => 'plain', 'size' => '.25', 'machine' => 'inch-lathe']]);
    $this->actingAs($this->instructor());
    expect(
        array_column($this->getJson("/api/planning/plans/$id")->json('answer.plan.operations'), 'diameter_mm', 'kind')['drill'],
    )->toEqual(6.35);
});

it('shows learners the shop\'s plans and their own, nobody else\'s', function (): void {
    [$shop, $own, $other] = [fake_uuid(), fake_uuid(), fake_uuid()];
    $learner = $this->person();
    $this->actingAs($this->instructor());
    keep($this, $shop, ['name' => 'Shop']);
    $this->actingAs($this->person());
    keep($this, $other, ['name' => 'Other']);
    $this->actingAs($learner);
    keep($this, $own, ['name' => 'Own']);
    expect($this->getJson('/api/planning/plans')->assertOk()->json('*.name'))->toBe(['Own', 'Shop']);
    $this->getJson("/api/planning/plans/$other")->assertForbidden();
    $this->getJson("/api/planning/plans/$own/compared-with/$other")->assertForbidden();
    keep($this, $shop, ['name' => 'Mine now'])->assertForbidden();
    $this->deleteJson("/api/planning/plans/$shop")->assertForbidden();
    $this->actingAs($this->instructor());
    expect($this->getJson('/api/planning/plans')->json('*.name'))->toBe(['Other', 'Own', 'Shop']);
    // Whoever teaches sees a learner's plan but does not change it.
    keep($this, $own, ['name' => 'Better'])->assertForbidden();
});

it('removes a plan, and takes that back', function (): void {
    $this->actingAs($this->instructor());
    $id = fake_uuid();
    keep($this, $id);
    $this->deleteJson("/api/planning/plans/$id")->assertNoContent();
    $this->getJson("/api/planning/plans/$id")->assertNotFound();
    $this->postJson("/api/planning/plans/$id/restoration")->assertOk()->assertJson(['name' => 'Corner hole']);
    $this->getJson("/api/planning/plans/$id")->assertOk();
});

it('compares two plans side by side', function (): void {
    $this->actingAs($this->instructor());
    [$a, $b, $layout] = [fake_uuid(), fake_uuid(), fake_uuid()];
    keep($this, $a);
    keep($this, $b, ['name' => 'In alloy', 'request' => [...HOLE, 'material' => 'aluminium_6000']]);
    $changes = $this->getJson("/api/planning/plans/$a/compared-with/$b")
        ->assertOk()
        ->assertJson(['plans' => [['name' => 'Corner hole'], ['name' => 'In alloy']]])
        ->json('changes.operations');
    $drill = array_column(array_column($changes, null, 'kind')['drill']['changes'], null, 'field');
    expect($drill['rpm'])->toMatchArray(['before' => 500, 'after' => 1400]);
    keep(
        $this,
        $layout,
        [
            'kind' => 'layout',
            'request' => [
                'length' => '100', 'width' => '80', 'hole' => '9', 'datum' => 'corner', 'pattern' => 'points',
                'by' => 'count', 'points' => '50; 40', 'setting' => 'rule',
            ],
        ],
    )
        ->assertCreated()
        ->assertJson(['since' => null]);
    $this->getJson("/api/planning/plans/$a/compared-with/$layout")->assertNotFound();
});

it('belongs to lessons and sheets, and is shown with them', function (): void {
    $this->actingAs($this->instructor());
    $id = fake_uuid();
    keep(
        $this,
        $id,
        ['lessons' => ['C6'], 'sheets' => ['PS-through-holes']],
    )->assertJson(['lessons' => ['C6'], 'sheets' => ['PS-through-holes']]);
    $this->getJson('/api/learning/lessons/C6')->assertOk()->assertJsonPath('plans.0.name', 'Corner hole');
    keep($this, $id, ['lessons' => ['Z9']])->assertUnprocessable()->assertJsonValidationErrors('lessons.0');
    keep($this, $id)->assertOk();
    expect($this->getJson('/api/learning/lessons/C6')->json('plans'))->toBe([]);
});

it('does not let a learner attach anything', function (): void {
    $this->actingAs($this->person());
    keep($this, fake_uuid(), ['lessons' => ['C6']])->assertCreated()->assertJson(['lessons' => []]);
});

it('refuses what cannot be planned, beside its field', function (): void {
    $this->actingAs($this->instructor());
    keep($this, fake_uuid(), ['request' => [...HOLE, 'thickness' => 'thick']])
        ->assertUnprocessable()
        ->assertJsonValidationErrors('thickness');
    keep($this, fake_uuid(), ['request' => ['machine' => 'bench-drill']])->assertUnprocessable()->assertJsonValidationErrors('material');
    keep($this, fake_uuid(), ['name' => ''])->assertUnprocessable()->assertJsonValidationErrors('name');
    expect(Plan::query()->exists())->toBeFalse();
});

it('previews what a changed policy would do to a plan, and changes nothing', function (): void {
    $instructor = $this->instructor();
    $this->actingAs($instructor);
    $id = fake_uuid();
    keep($this, $id);
    $now = Policy::settingsInForce();
    keep($this, fake_uuid(), ['name' => 'Reamed', 'request' => [...HOLE, 'purpose' => 'reamed', 'size' => '8', 'thickness' => '12']]);
    $preview = $this->postJson('/api/planning/policy-preview', ['plan' => $id, 'settings' => [...$now, 'learner_cap_rpm' => 400]])
        ->assertOk()
        ->assertJson(['of' => 2, 'shown' => $id])
        ->assertJsonCount(2, 'affected')
        ->json();
    $changes = $preview['changes']['operations'];
    $this->postJson('/api/planning/policy-preview', ['settings' => [...$now, 'clearance_fit' => 'loose']])
        ->assertOk()
        ->assertJsonCount(1, 'affected')
        ->assertJson(['affected' => [['name' => 'Corner hole']]]);
    $this->postJson('/api/planning/policy-preview', ['settings' => $now])
        ->assertOk()
        ->assertJson(['affected' => [], 'shown' => null, 'changes' => null]);
    expect(array_column(array_column($changes, null, 'kind')['drill']['changes'], 'after', 'field')['rpm'])
        ->toEqual(280)
        ->and(Policy::settingsInForce())
        ->toBe($now);
    $this->postJson('/api/planning/policy-preview', ['plan' => $id, 'settings' => ['pilot_school' => 'guess', 'web_ratio' => 2]])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['pilot_school', 'web_ratio']);
    $this->actingAs($this->person());
    $this->postJson('/api/planning/policy-preview', ['plan' => $id, 'settings' => []])->assertForbidden();
});

it('reads the shop once for a hundred plans', function (): void {
    $this->actingAs($this->person(App\People\Role::Lead));
    $first = fake_uuid();
    keep($this, $first)->assertSuccessful();
    $plan = (array) DB::table('planning_plans')->where('id', $first)->first();
    DB::table('planning_plans')->insert(array_map(
        static fn (int $number): array => [...$plan, 'id' => fake_uuid(), 'name' => "Plate $number"],
        range(1, 99),
    ));
    DB::enableQueryLog();
    $this->postJson('/api/planning/policy-preview', ['settings' => ['pilot_school' => 'single']])->assertOk()->assertJsonPath('of', 100);
    expect(count(DB::getQueryLog()))->toBeLessThanOrEqual(25);
});

it('lists what a plan may belong to', function (): void {
    $this->actingAs($this->person());
    expect($this->getJson('/api/content/plan-choices')->assertOk()->json('parts'))->toHaveCount(10);
});

it('lets one broken plan spoil nobody\'s preview, list or page', function (): void {
    $lead = $this->person(App\People\Role::Lead);
    $good = fake_uuid();
    keep($this->actingAs($lead), $good)->assertSuccessful();
    foreach ([['lathe', '{"units":"mm"}'], ['hole', '{"units":"mm","rows":[[]],"material":{"a":1},"thickness":[1]}'], ['hole',
        '{"units":[],"hole":7}']] as [$kind, $request]) {
        DB::table('planning_plans')->insert([
            'id' => fake_uuid(), 'name' => 'Broken', 'kind' => $kind, 'request' => $request, 'answer' => '{}',
            'owner_id' => $lead->id, 'created_at' => now(), 'updated_at' => now(),
        ]);
    }
    $this->postJson('/api/planning/policy-preview', ['settings' => ['pilot_school' => 'single']])->assertOk()->assertJsonPath('of', 4);
    foreach ($this->getJson('/api/planning/plans')->assertOk()->json() as $plan) {
        $this->getJson("/api/planning/plans/{$plan['id']}")->assertOk();
    }
});
