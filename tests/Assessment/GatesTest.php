<?php

declare(strict_types=1);

use App\Assessment\Scoring;
use App\Assessment\Sheet;
use App\Assessment\SheetAttempt;
use App\People\Role;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Assessment\ScoreAssessment;
use MillStep\Core\Border\Fields;

require_once __DIR__.'/marks.php';

/** Nobody passes by measuring: what a sheet asks for beside its pass mark. */
beforeEach(function (): void {
    $this->freezeTime();
    $this->by = $this->instructor();
    $this->learner = $this->person();
    $this->open = function (): void {
        $this->attempt = $this->actingAs($this->by)->postJson('/api/assessment/attempts', [
            'id' => fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $this->learner->id,
        ])->assertCreated()->json('id');
    };
    ($this->open)();
    // All good, and then some of it otherwise.
    $this->with = function (array $results): Illuminate\Testing\TestResponse {
        fillSheet($this);
        foreach ($results as $criterion => $result) {
            $last = put($this, $criterion, ['result' => $result])->assertOk();
        }

        return $last;
    };
});

it('is not yet passed by whoever meets no line but the critical ones, in any sheet of any pack', function (): void {
    $sheets = Sheet::query()->get();
    expect($sheets)->toHaveCount(12);
    foreach ($sheets as $sheet) {
        $score = ScoreAssessment::fromFields(Fields::of($sheet->forCore(array_map(static fn (array $line): array => [
            ...array_diff_key($line, ['measure' => 0]),
            ...match ($line['kind']) {
                'observed' => ['result' => $line['critical'] ? 'met' : 'not_met'],
                'judged' => ['result' => $line['critical'] ? $line['scale_max'] : 0],
                default => ['verdict' => $line['critical'] ? 'in' : 'out'],
            },
        ], $sheet->criteria))))->compute();
        expect($score->outcome->value)->toBe('not_yet', "$sheet->code at $score->scorePercent %")
            ->and($score->reasons)->toContain('observed');
    }
});

it('says which gate holds somebody back', function (array $results, array $reasons): void {
    $score = ($this->with)($results)->json('score');
    expect($score['outcome'])->toBe($reasons === [] ? 'passed' : 'not_yet')->and($score['reasons'])->toBe($reasons);
})->with([
    'nothing' => [['clothing' => 'prompted'], []],
    'three prompts for safety' => [['clothing' => 'prompted', 'machine' => 'prompted', 'tried' => 'prompted'], ['prompts']],
    'two reasons not known' => [['why-1' => 'not_met', 'why-2' => 'not_met'], ['why']],
]);

it('keeps the gates of the version in which it was opened, and a version from before has none', function (): void {
    DB::table('assessment_sheets')->where('code', 'PS-through-holes')->update(['gates' => null]);
    $score = ($this->with)(['why-1' => 'not_met', 'why-2' => 'not_met'])->json('score');
    expect($score['outcome'])->toBe('passed')->and($score)->not->toHaveKey('reasons');
    // What the policy asks for holds from the next version on.
    $this->policy(['why_limit' => 1]);
    $this->actingAs($this->person(Role::Lead));
    $sheet = $this->getJson('/api/assessment/sheets/PS-through-holes')->json();
    $this->putJson('/api/assessment/sheets/PS-through-holes', [
        'based_on' => $sheet['version'], 'title' => $sheet['written']['title'], 'pass_mark_percent' => $sheet['pass_mark_percent'],
        'change' => 'Gates', 'criteria' => $sheet['written']['criteria'], 'translations' => $sheet['written']['translations'],
    ])->assertOk()->assertJsonPath('faults', []);
    expect(Sheet::current('PS-through-holes')->gates)->toEqual(['observed_pass_percent' => 80, 'prompt_limit' => 3, 'why_limit' => 1])
        ->and(app(Scoring::class)->score(SheetAttempt::withSheet()->findOrFail($this->attempt))->outcome->value)->toBe('passed');
});

it('is not published where nobody can fail', function (): void {
    $this->policy(['observed_pass_percent' => 0]);
    $this->actingAs($this->person(Role::Lead));
    $sheet = $this->getJson('/api/assessment/sheets/PS-through-holes')->json();
    $send = fn (int $mark) => $this->putJson('/api/assessment/sheets/PS-through-holes', [
        'based_on' => $sheet['version'], 'title' => $sheet['written']['title'], 'pass_mark_percent' => $mark,
        'change' => 'Softer', 'criteria' => array_map(
            static fn (array $one): array => [...$one, 'group' => $one['group'] === 'measured' ? 'measured' : 'work'],
            $sheet['written']['criteria'],
        ), 'translations' => $sheet['written']['translations'],
    ])->assertOk();
    expect($send(50)->assertJsonPath('sheet', null)->json('faults.0.what.code'))->toBe('fault.content.nobody_fails');
    $send(95)->assertJsonPath('faults', []);
});
