<?php

declare(strict_types=1);

use App\Assessment\PublishSheet;
use App\Assessment\Scoring;
use App\Assessment\Sheet;
use App\Assessment\SheetAttempt;
use App\People\Role;
use App\Support\FaultyContent;
use App\Support\YamlText;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Assessment\CriticalLinesAlone;

require_once __DIR__.'/marks.php';

/** Nobody passes by measuring: what a sheet asks for beside its pass mark. */
beforeEach(function (): void {
    $this->freezeTime();
    $this->by = $this->instructor();
    $this->learner = $this->person();
    bring($this->learner, 3, $this->by);
    $this->open = function (): void {
        $this->attempt = $this->actingAs($this->by)->postJson('/api/assessment/attempts', [
            'id' => fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $this->learner->id,
        ])->assertCreated()->json('id');
    };
    ($this->open)();
    // All good, and then some of it otherwise.
    $this->with = function (array $results): Illuminate\Testing\TestResponse {
        fillSheet($this);
        $drawn = reasons($this);
        foreach ($results as $criterion => $result) {
            $criterion = preg_match('/^reason (\d)$/', $criterion, $found) === 1 ? $drawn[$found[1]] : $criterion;
            $last = put($this, $criterion, ['result' => $result])->assertOk();
        }

        return $last;
    };
});

it('is not yet passed by whoever meets no line but the critical ones, in any sheet of any pack', function (): void {
    $sheets = Sheet::query()->get();
    expect($sheets)->toHaveCount(12);
    foreach ($sheets as $sheet) {
        $score = CriticalLinesAlone::score(Sheet::asked($sheet->criteria, $sheet->pass_mark_percent, $sheet->gates));
        expect($score->outcome->value)->toBe('not_yet', "$sheet->code at $score->scorePercent %")
            ->and($score->reasons)->not->toBe([]);
    }
});

it('says which gate holds somebody back', function (array $results, array $reasons): void {
    $score = ($this->with)($results)->json('score');
    expect($score['outcome'])->toBe($reasons === [] ? 'passed' : 'not_yet')->and($score['reasons'])->toBe($reasons);
})->with([
    'nothing' => [['clothing' => 'prompted'], []],
    'what is to be put right first' => [['lubricant' => 'not_met'], ['must']],
    'a first aid box that is not found' => [['shown' => 'not_met'], ['must']],
    'three prompts for safety' => [['clothing' => 'prompted', 'machine' => 'prompted', 'tried' => 'prompted'], ['prompts']],
    'two reasons not known' => [['reason 0' => 'not_met', 'reason 2' => 'not_met'], ['why']],
]);

it('keeps the gates of the version in which it was opened, and a version from before has none', function (): void {
    DB::table('assessment_sheets')->where('code', 'PS-through-holes')->update(['gates' => null]);
    $score = ($this->with)(['reason 0' => 'not_met', 'reason 2' => 'not_met'])->json('score');
    expect($score['outcome'])->toBe('passed')->and($score['reasons'] ?? [])->toBe([]);
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
    $this->actingAs($this->person(Role::Lead));
    $sheet = $this->getJson('/api/assessment/sheets/PS-through-holes')->json();
    // All but one of the watched lines are critical, and that one weighs little.
    $send = fn (array $lighter) => $this->putJson('/api/assessment/sheets/PS-through-holes', [
        'based_on' => $sheet['version'], 'title' => $sheet['written']['title'], 'pass_mark_percent' => 80, 'change' => 'Softer',
        'criteria' => array_map(static fn (array $one): array => [
            ...$one, 'critical' => ! in_array($one['id'], $lighter, true),
        ], $sheet['written']['criteria']), 'translations' => $sheet['written']['translations'],
    ])->assertOk();
    expect($send(['clean'])->assertJsonPath('sheet', null)->json('faults.0.what.code'))->toBe('fault.content.nobody_fails');
    $lines = collect($sheet['written']['criteria'])->where('kind', '!=', 'measured')->where('critical', false)->pluck('id')->all();
    $send($lines)->assertJsonPath('faults', []);
});

it('takes no gate from a file that makes no sense, and none that nobody knows', function (): void {
    $file = (string) file_get_contents(base_path('content/drill-press/sheets/through-holes.yaml'));
    $publish = fn (string $gates) => app(PublishSheet::class)(YamlText::read('sheet.yaml', (string) preg_replace(
        ['/^version: \d+/m', '/^criteria:/m'],
        ['version: 40', "gates: $gates\ncriteria:"],
        $file,
    )));
    foreach (['{observed_pass_percent: 101}', '{prompt_limit: 0}', '{why_limit: often}'] as $wrong) {
        expect(fn () => $publish($wrong))->toThrow(FaultyContent::class);
    }
    expect($publish('{prompt_limit: 5, luck: 3}')->gates)->toEqual(
        ['observed_pass_percent' => 80, 'prompt_limit' => 5, 'why_limit' => 2],
    );
});
