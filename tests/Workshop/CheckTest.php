<?php

declare(strict_types=1);

use App\Workshop\Checks\Check;
use App\Workshop\Crib;
use App\Workshop\Tool;

/** @return array<string, string> */
function run_out(float $swing): array
{
    return ['least' => '0', 'most' => (string) $swing, 'machine' => 'bench-drill'];
}

it('computes for everybody signed in, in either unit, and keeps nothing', function (string $kind, array $typed, array $found): void {
    $this->actingAs($this->person());
    $answer = $this->postJson("/api/workshop/checks/$kind", $typed)->assertOk();
    foreach ($found as $key => $value) {
        is_float($value) ? expect($answer->json($key))->toEqualWithDelta($value, 1e-6) : expect($answer->json($key))->toBe($value);
    }
    expect(Check::query()->count())->toBe(0);
})->with([
    ['tram_check', ['reading_a' => '0.1', 'reading_b' => '-0.05', 'swing' => '200'], ['over_100_mm' => 0.075, 'verdict' => 'square']],
    ['tram_check', ['reading_a' => '4 thou', 'reading_b' => '0', 'swing' => '4 in'], ['over_100_mm' => 0.1]],
    ['run_out_check', ['least' => '-0.03', 'most' => '0.06'], ['swing_mm' => 0.09, 'verdict' => 'runs_out']],
    ['taper_fit_check', ['taper_length' => '60', 'at_large' => '20', 'at_small' => '0'],
        ['rubbed_mm' => 20, 'wanted_mm' => 45, 'verdict' => 'large_end_only']],
    ['tailstock_check', ['at_head' => '20', 'at_tail' => '20.08', 'apart' => '100'], ['shift_mm' => 0.04, 'verdict' => 'towards_tool']],
    ['pin_place', ['of' => 'over', 'reading' => '50', 'pin_a' => '6', 'pin_b' => '8'], ['centre_mm' => 43.0, 'verdict' => null]],
    ['pin_size', ['go' => '10', 'no_go' => '10.01', 'lower' => '10', 'upper' => '10.015'], ['verdict' => 'in']],
    ['drill_grind_check', ['diameter' => '10', 'lip_a' => '5.8', 'lip_b' => '5.8', 'angle_a' => 59, 'angle_b' => 59, 'point_angle' => 118],
        ['verdict' => 'sound']],
]);

it('says beside its field what cannot be', function (string $kind, array $typed, string $field): void {
    $this->actingAs($this->person());
    $this->postJson("/api/workshop/checks/$kind", $typed)->assertUnprocessable()->assertJsonValidationErrorFor($field);
})->with([
    ['tram_check', ['reading_a' => '0', 'reading_b' => '0', 'swing' => '0'], 'swing'],
    ['run_out_check', ['least' => '0.1', 'most' => '0'], 'most'],
    ['pin_place', ['of' => 'over', 'reading' => '10', 'pin_a' => '6', 'pin_b' => '8'], 'reading'],
    ['pin_place', ['of' => 'beside', 'reading' => '10', 'pin_a' => '6'], 'of'],
    ['pin_place', ['of' => 'over', 'reading' => '20', 'pin_a' => '6', 'hole_a' => '5'], 'hole_a'],
    ['pin_size', ['go' => '10', 'no_go' => '9'], 'no_go'],
    ['pin_size', ['go' => str_repeat('9', 40), 'no_go' => '9'], 'go'],
    ['taper_fit_check', ['taper_length' => '60', 'at_large' => '61', 'at_small' => '0'], 'at_large'],
    ['taper_fit_check', ['taper_length' => '60', 'at_large' => '1', 'at_small' => '-1'], 'at_small'],
    ['tailstock_check', ['at_head' => ['20'], 'at_tail' => '20', 'apart' => '100'], 'at_head'],
]);

it('keeps with the machine what was measured, once, and plans with the latest', function (): void {
    $this->actingAs($this->instructor());
    $key = fake_uuid();
    $plan = fn (): string => json_encode($this->postJson('/api/planning/hole', [
        'machine' => 'bench-drill', 'cribs' => [], 'material' => 'mild_steel', 'thickness' => '8', 'purpose' => 'plain', 'size' => '6',
        'through' => true,
    ])->assertOk()->json('plan.operations'), JSON_THROW_ON_ERROR);
    expect($plan())->not->toContain('runs_out');
    $this->putJson("/api/workshop/checks/run_out_check/$key", run_out(0.06))->assertCreated();
    $this->putJson("/api/workshop/checks/run_out_check/$key", run_out(0.06))->assertOk();
    $this->putJson("/api/workshop/checks/run_out_check/$key", run_out(0.07))->assertConflict();
    expect(Check::query()->count())->toBe(1)->and($plan())->toContain('runs_out')->toContain('"swing_mm":0.06');
    $this->travel(1)->minutes();
    $this->putJson('/api/workshop/checks/run_out_check/'.fake_uuid(), run_out(0.02))->assertCreated();
    expect($plan())->toContain('"swing_mm":0.02')->not->toContain('"swing_mm":0.06');
    $log = $this->getJson('/api/workshop/checks/run_out_check')->assertOk()->json();
    expect(array_column(array_column($log, 'found'), 'swing_mm'))->toEqual([0.02, 0.06])
        ->and($log[0]['of'])->toBe('Bench drill press');
});

it('says in the plan how far a table that is out of square lets a hole lean', function (): void {
    $this->actingAs($this->instructor());
    $this->putJson('/api/workshop/checks/tram_check/'.fake_uuid(), [
        'reading_a' => '0', 'reading_b' => '0.5', 'swing' => '100', 'machine' => 'bench-drill',
    ])->assertCreated()->assertJsonPath('found.verdict', 'out_of_square');
    $plan = $this->postJson('/api/planning/hole', [
        'machine' => 'bench-drill', 'cribs' => [], 'material' => 'mild_steel', 'thickness' => '20', 'purpose' => 'plain', 'size' => '6',
        'through' => true,
    ])->assertOk()->json('plan.operations');
    expect(json_encode($plan))->toContain('table_leans')->toContain('"lean_mm":0.1');
});

it('puts a drill aside to be ground, and back when it is sound: the regrind log', function (): void {
    $this->actingAs($this->instructor());
    $drill = Tool::query()->where('kind', 'drill')->where('designation', '9')->firstOrFail();
    $lips = ['diameter' => '9', 'lip_b' => '5.2', 'angle_a' => 59, 'angle_b' => 59, 'point_angle' => 118, 'tool' => $drill->id];
    $this->putJson('/api/workshop/checks/drill_grind_check/'.fake_uuid(), [...$lips, 'lip_a' => '5.6'])->assertCreated();
    expect($drill->refresh()->condition)->toBe('regrind');
    $this->putJson('/api/workshop/checks/drill_grind_check/'.fake_uuid(), [...$lips, 'lip_a' => '5.2'])->assertCreated();
    expect($drill->refresh()->condition)->toBe('good');
    // Sound lips do not say that it is sharp.
    $drill->update(['condition' => 'dull']);
    $this->putJson('/api/workshop/checks/drill_grind_check/'.fake_uuid(), [...$lips, 'lip_a' => '5.2'])->assertCreated();
    expect($drill->refresh()->condition)->toBe('dull');
    $drill->update(['condition' => 'lost']);
    $this->putJson('/api/workshop/checks/drill_grind_check/'.fake_uuid(), [...$lips, 'lip_a' => '5.2'])->assertCreated();
    expect($drill->refresh()->condition)->toBe('lost');
    $drill->delete();
    $log = $this->getJson('/api/workshop/checks/drill_grind_check')->assertOk()->json();
    expect($log)->toHaveCount(4)->and($log[0]['of'])->toBe('9')->and($log[0]['crib'])->not->toBeNull();
    $this->putJson('/api/workshop/checks/drill_grind_check/'.fake_uuid(), [...$lips, 'lip_a' => '5.2'])->assertUnprocessable();
});

it('is kept by who teaches, with a machine or drill that is there', function (): void {
    $this->actingAs($this->person());
    $this->putJson('/api/workshop/checks/run_out_check/'.fake_uuid(), run_out(0.05))->assertForbidden();
    $this->getJson('/api/workshop/checks/run_out_check')->assertForbidden();
    $this->actingAs($this->instructor());
    $this->putJson('/api/workshop/checks/run_out_check/none', run_out(0.05))->assertNotFound();
    $this->putJson('/api/workshop/checks/pin_size/'.fake_uuid(), ['go' => '9', 'no_go' => '10'])->assertNotFound();
    $this->putJson('/api/workshop/checks/run_out_check/'.fake_uuid(), [...run_out(0.05), 'machine' => 'none'])->assertUnprocessable();
    $this->putJson('/api/workshop/checks/run_out_check/'.fake_uuid(), ['least' => '0', 'most' => 'much', 'machine' => 'bench-drill'])
        ->assertUnprocessable()->assertJsonValidationErrorFor('most');
    $this->app['auth']->forgetGuards();
    $this->postJson('/api/workshop/checks/run_out_check', run_out(0.05))->assertUnauthorized();
});

it('holds with what the cribs beside the machine have, once they say what that is', function (): void {
    $this->actingAs($this->instructor());
    $plan = fn (): string => $this->postJson('/api/planning/hole', [
        'machine' => 'bench-drill', 'cribs' => [], 'material' => 'mild_steel', 'thickness' => '8', 'purpose' => 'plain', 'size' => '6',
        'through' => true,
    ])->assertOk()->json('plan.holding.method');
    expect($plan())->toBe('vice_bolted');
    Tool::query()->where('kind', 'holding')->where('designation', 'like', '%vice')->update(['condition' => 'lost']);
    expect($plan())->toBe('bar_clamp_and_stop');
    $crib = Crib::query()->where('slug', 'holding')->firstOrFail();
    $this->postJson("/api/workshop/cribs/$crib->slug/tools", ['kind' => 'holding', 'size' => '4 in', 'type' => 'vice'])->assertOk();
    expect($plan())->toBe('vice_bolted');
    $this->postJson("/api/workshop/cribs/$crib->slug/tools", ['kind' => 'holding', 'size' => '100', 'type' => 'hand'])
        ->assertUnprocessable()->assertJsonValidationErrorFor('type');
});

it('keeps a drill-point check with no other tool, and no drill of another size', function (): void {
    $this->actingAs($this->instructor());
    $lips = ['diameter' => '9', 'lip_a' => '5.2', 'lip_b' => '5.2', 'angle_a' => 59, 'angle_b' => 59, 'point_angle' => 118];
    $tap = Tool::query()->where('kind', 'tap')->firstOrFail();
    $tap->update(['condition' => 'dull']);
    $other = Tool::query()->where('kind', 'drill')->where('designation', '8')->firstOrFail();
    $other->update(['condition' => 'regrind']);
    foreach ([$tap, $other] as $tool) {
        $this->putJson('/api/workshop/checks/drill_grind_check/'.fake_uuid(), [...$lips, 'tool' => $tool->id])
            ->assertUnprocessable()->assertJsonValidationErrorFor('tool');
    }
    expect($tap->refresh()->condition)->toBe('dull')->and($other->refresh()->condition)->toBe('regrind')
        ->and(Check::query()->count())->toBe(0);
});

it('does not hold with a kit of which nothing is fit any more', function (): void {
    $this->actingAs($this->instructor());
    Tool::query()->where('kind', 'holding')->update(['condition' => 'lost']);
    $missing = $this->postJson('/api/planning/hole', [
        'machine' => 'bench-drill', 'cribs' => [], 'material' => 'mild_steel', 'thickness' => '8', 'purpose' => 'plain', 'size' => '6',
        'through' => true,
    ])->assertOk()->json('plan.missing');
    expect(array_column($missing, 'code'))->toContain('planning.lacks.holding_kit');
});
