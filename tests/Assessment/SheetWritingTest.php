<?php

declare(strict_types=1);

use App\Assessment\Sheet;
use App\Content\OwnPack;
use App\People\Role;

/** What the browser sends for a sheet as it stands, with something changed. */
function written_sheet($test, array $with = []): array
{
    $sheet = $test->getJson('/api/assessment/sheets/PS-through-holes')->assertOk()->json();

    return [
        'based_on' => $sheet['version'], 'title' => $sheet['written']['title'], 'pass_mark_percent' => $sheet['pass_mark_percent'],
        'change' => 'Clearer words', 'criteria' => $sheet['written']['criteria'],
        'translations' => $sheet['written']['translations'], ...$with,
    ];
}

beforeEach(fn () => $this->actingAs($this->lead = $this->person(Role::Lead)));

it('shows every sheet, how it went, and one of them with what it wants', function (): void {
    expect($this->getJson('/api/assessment/sheets')->assertOk()->json())->toHaveCount(12);
    $shown = collect($this->getJson('/api/assessment/sheets/PS-through-holes')->json('shown'));
    expect($shown->firstWhere('id', 'dia-A')['wants'])->toEqual(['lower_mm' => 9, 'upper_mm' => 9.3]);
    $this->actingAs($this->person())->getJson('/api/assessment/sheets')->assertForbidden();
});

it('is published as its next version, once, and open assessments keep theirs', function (): void {
    $learner = $this->person();
    bring($learner, 3, $by = $this->instructor());
    $attempt = $this->actingAs($by)->postJson('/api/assessment/attempts', [
        'id' => fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $learner->id,
    ])->json();
    $this->actingAs($this->lead);
    $written = written_sheet($this, ['pass_mark_percent' => 85]);
    $written['criteria'][0]['text'] = 'Eye protection on before anything is touched';
    foreach ([1, 2] as $ignored) {
        $this->putJson('/api/assessment/sheets/PS-through-holes', $written)->assertOk()->assertJsonPath('faults', [])
            ->assertJsonPath('sheet.version', $written['based_on'] + 1)->assertJsonPath('sheet.versions.0.change', 'Clearer words')
            ->assertJsonPath('sheet.versions.1.open', 1);
    }
    $this->getJson("/api/assessment/attempts/{$attempt['id']}")->assertJsonPath('sheet.version', $written['based_on'])
        ->assertJsonPath('criteria.1.text', 'Eye protection on before the machine is touched');
    $other = [...$written, 'title' => 'Holes'];
    $this->putJson('/api/assessment/sheets/PS-through-holes', $other)->assertConflict()->assertJsonPath('code', 'sheet_moved_on');
    // It goes out with the shop's own pack, in both languages, and a pack's next version does not take it away.
    expect((string) OwnPack::made()?->code)->toBe('own');
});

it('says what is wrong with it and at which criterion, and changes nothing', function (Closure $spoil, ?string $criterion): void {
    $written = $spoil(written_sheet($this));
    $found = $this->putJson('/api/assessment/sheets/PS-through-holes', $written)->assertOk()->assertJsonPath('sheet', null);
    expect(collect($found->json('faults'))->pluck('criterion')->all())->toContain($criterion)
        ->and(Sheet::current('PS-through-holes')->version)->toBe($written['based_on']);
})->with([
    'two of one name' => [fn (array $w): array => [...$w, 'criteria' => [...$w['criteria'], $w['criteria'][0]]], null],
    'a hole that the part has not' => [function (array $w): array {
        $at = array_search('dia-A', array_column($w['criteria'], 'id'), true);
        $w['criteria'][$at]['hole'] = 'Z';

        return $w;
    }, 'dia-A'],
    'a lesson that there is not' => [function (array $w): array {
        $w['criteria'][4]['lesson'] = 'Z9';

        return $w;
    }, 'drill'],
    'a size that wants nothing' => [function (array $w): array {
        $w['criteria'][] = [
            'id' => 'new', 'group' => 'measured', 'kind' => 'measured', 'weight' => 1, 'critical' => true, 'critical_prompt_stops' => false,
            'text' => 'Something', 'measure' => 'size', 'nominal_mm' => 8, 'fit' => 'Q9',
        ];

        return $w;
    }, 'new'],
]);

it('refuses what is no sheet at the door', function (): void {
    $written = written_sheet($this);
    $this->putJson('/api/assessment/sheets/PS-through-holes', [...$written, 'criteria' => []])->assertUnprocessable();
    $this->putJson('/api/assessment/sheets/PS-through-holes', [...$written, 'change' => ''])->assertUnprocessable();
    $written['criteria'][0]['evil'] = 'yes';
    $this->putJson('/api/assessment/sheets/PS-through-holes', $written)->assertUnprocessable();
    $this->actingAs($this->instructor())->putJson('/api/assessment/sheets/PS-through-holes', $written)->assertForbidden();
});

it('loses nothing of any sheet that goes through the browser: lines, pieces, and what they are in the other language', function (): void {
    all_permits();
    $this->actingAs($this->person(Role::Lead));
    $codes = Sheet::query()->distinct()->pluck('code');
    expect($codes)->toHaveCount(12);
    foreach ($codes as $code) {
        $before = Sheet::current($code);
        $sheet = $this->getJson("/api/assessment/sheets/$code")->json();
        $this->putJson("/api/assessment/sheets/$code", [
            'based_on' => $sheet['version'], 'title' => $sheet['written']['title'], 'pass_mark_percent' => $sheet['pass_mark_percent'],
            'change' => 'Nothing', 'criteria' => $sheet['written']['criteria'], 'translations' => $sheet['written']['translations'],
        ])->assertOk()->assertJsonPath('faults', []);
        $after = Sheet::current($code);
        expect($after->version)->toBe($before->version + 1);
        foreach (['criteria', 'variants', 'dimensions', 'tasks', 'translations', 'gates'] as $column) {
            expect($after->getAttribute($column))->toEqual($before->getAttribute($column), "$code $column");
        }
    }
});
