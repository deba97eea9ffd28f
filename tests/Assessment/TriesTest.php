<?php

declare(strict_types=1);

use App\Assessment\SheetAttempt;
use App\Competency\LedgerEntry;
use App\Competency\Permit;
use App\Competency\RecordEntry;
use App\Competency\Standings;
use App\Competency\Texts\LineWords;
use App\People\Role;
use App\Records\Alert;

require_once __DIR__.'/marks.php';

beforeEach(function (): void {
    $this->freezeTime();
    $this->by = $this->instructor();
    $this->learner = $this->person();
    bring($this->learner, 3, $this->by);
    $this->open = fn () => $this->postJson('/api/assessment/attempts', [
        'id' => fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $this->learner->id,
    ]);
    $this->attempt = $this->actingAs($this->by)->postJson('/api/assessment/attempts', [
        'id' => fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $this->learner->id,
    ])->assertCreated()->json('id');
    $this->away = fn (string $because = 'time', string $words = 'The hour is over') => $this->postJson(
        "/api/assessment/attempts/{$this->attempt}/cancellation", ['because' => $because, 'words' => $words],
    );
    $this->said = fn (): array => LedgerEntry::query()->where('learner_id', $this->learner->id)
        ->whereIn('type', ['sheet_opened', 'sheet_stopped', 'mark_undone', 'sheet_put_away', 'outcome_answered', 'outcome_appealed'])
        ->orderBy('seq')->pluck('type')->all();
});

/** A sheet that was passed. */
function concluded($test): void
{
    fillSheet($test);
    $test->postJson("/api/assessment/attempts/{$test->attempt}/conclusion")->assertOk();
}

it('writes down every try: opened, stopped, taken back, put away, and none of it changes a stage', function (): void {
    $stages = fn (): array => array_map(fn ($standing) => $standing->place->stage, app(Standings::class)->of(
        App\People\User::query()->whereKey($this->learner->id)->get(), Permit::query()->with('statements')->get(),
    )[$this->learner->id]);
    $before = $stages();
    $mark = put($this, 'key', ['result' => 'not_met'])->assertOk()->json('criterion.mark.id');
    $undo = fn () => $this->postJson("/api/assessment/attempts/{$this->attempt}/marks/$mark/undo", [
        'id' => fake_uuid(), 'made_at' => now()->toIso8601ZuluString('millisecond'),
    ]);
    $undo()->assertOk();
    $undo()->assertOk();
    ($this->away)()->assertOk()->assertJsonPath('put_away_counts', true)->assertJsonPath('put_away_because', 'time');
    ($this->away)('other', 'Something else')->assertOk()->assertJsonPath('cancelled_because', 'The hour is over');
    expect(($this->said)())->toBe(['sheet_opened', 'sheet_stopped', 'mark_undone', 'sheet_put_away'])
        ->and($stages())->toBe($before);
    $entry = LedgerEntry::query()->where('type', 'sheet_put_away')->firstOrFail();
    expect($entry->details())->toBe([
        'assessment' => 'PS-through-holes', 'version' => $entry->details()['version'], 'attempt' => $this->attempt,
        'because' => 'time', 'marks' => 1,
    ])->and(LineWords::of(collect([$entry]))[$entry->id])->toBe(['words' => 'The hour is over']);
});

it('says that a stop was taken back also where another verdict does it within the ten seconds', function (): void {
    put($this, 'key', ['result' => 'not_met'])->assertOk();
    put($this, 'key', ['result' => 'met'])->assertOk()->assertJsonPath('stopped', null);
    expect(($this->said)())->toBe(['sheet_opened', 'sheet_stopped', 'mark_undone']);
});

it('starts wait and practice where a sheet with any mark is put away, also one that was taken back', function (): void {
    $mark = put($this, 'eyes', ['result' => 'prompted'])->assertOk()->json('criterion.mark.id');
    $this->postJson("/api/assessment/attempts/{$this->attempt}/marks/$mark/undo", [
        'id' => fake_uuid(), 'made_at' => now()->toIso8601ZuluString('millisecond'),
    ])->assertOk();
    ($this->away)('opened_by_mistake', '')->assertConflict()->assertJsonPath('code', 'why_cancelled');
    ($this->away)('opened_by_mistake')->assertOk()->assertJsonPath('again.exercises', 1)->assertJsonPath('outcome', null);
    ($this->open)()->assertConflict()->assertJsonPath('code', 'too_soon');
    $this->travel(13)->hours();
    ($this->open)()->assertConflict()->assertJsonPath('code', 'practise_first');
    app(RecordEntry::class)(
        $this->learner, Permit::query()->where('code', 'drill-through-10')->sole(), 'practice_confirmed', ['minutes' => 20], $this->by,
    );
    ($this->open)()->assertCreated();
});

it('starts no wait for what was put away before that was asked', function (): void {
    put($this, 'eyes', ['result' => 'met'])->assertOk();
    SheetAttempt::query()->findOrFail($this->attempt)
        ->update(['cancelled_at' => now(), 'cancelled_by' => $this->by->id, 'cancelled_because' => 'abc']);
    ($this->open)()->assertCreated();
    $old = collect($this->actingAs($this->person(Role::Auditor))->getJson('/api/assessment/tries?ended=put_away')->json('tries'))->sole();
    expect($old)->toMatchArray(['because' => null, 'words' => 'abc', 'counts' => false, 'marks' => 1]);
});

it('tells whoever leads of a try that was put away, and of a mistake without a mark nothing', function (): void {
    ($this->away)('opened_by_mistake', '')->assertOk();
    expect(Alert::query()->count())->toBe(0)
        ->and($this->actingAs($this->person(Role::Lead))->getJson('/api/assessment/tries')->assertOk()->json('tries.0.counts'))
        ->toBeFalse();
    $this->actingAs($this->by);
    $this->attempt = ($this->open)()->json('id');
    put($this, 'eyes', ['result' => 'met'])->assertOk();
    ($this->away)('machine', 'The belt has come off')->assertOk();
    expect(Alert::query()->sole())->kind->toBe('sheet_put_away')
        ->facts->toMatchArray(['learner' => $this->learner->name, 'instructor' => $this->by->name, 'marks' => 1]);
});

it('is opened again by whoever goes on with it on another day, or in another\'s place, once a day', function (): void {
    put($this, 'eyes', ['result' => 'met'])->assertOk();
    ($this->open)()->assertCreated()->assertJsonPath('id', $this->attempt);
    $this->actingAs($other = $this->instructor());
    put($this, 'key', ['result' => 'met'])->assertOk();
    put($this, 'clothing', ['result' => 'met'])->assertOk();
    $this->travel(1)->days();
    $this->actingAs($this->by);
    put($this, 'chips', ['result' => 'met'])->assertOk();
    $again = LedgerEntry::query()->where('type', 'sheet_reopened')->orderBy('seq')->get();
    expect($again->pluck('recorded_by')->all())->toBe([$other->id, $this->by->id]);
});

it('lists every try for lead and auditor, found by name, by how it ended, page by page', function (): void {
    put($this, 'eyes', ['result' => 'met', 'made_at' => now()->addHours(3)->toIso8601ZuluString('millisecond')])->assertOk();
    ($this->away)('unwell', 'Went to first aid')->assertOk();
    $lead = $this->person(Role::Lead);
    $list = fn (string $query = '') => $this->actingAs($lead)->getJson("/api/assessment/tries$query")->assertOk();
    expect($list()->json('tries.0'))->toMatchArray([
        'id' => $this->attempt, 'ended' => 'put_away', 'because' => 'unwell', 'words' => 'Went to first aid',
        'put_away_by' => $this->by->name,
        'opened_by' => $this->by->name, 'marks' => 1, 'counts' => true, 'clock_s' => 10_800, 'stopped' => 0, 'undone' => 0,
    ])->and($list('?find='.urlencode($this->learner->name))->json('tries'))->toHaveCount(1)
        ->and($list('?find=%25')->json('tries'))->toHaveCount(0)
        ->and($list('?ended=passed')->json('tries'))->toHaveCount(0)
        ->and($list('?ended=put_away')->json('tries'))->toHaveCount(1)
        ->and($list('?page=2')->json())->toBe(['tries' => [], 'more' => false]);
    $this->getJson('/api/assessment/tries?ended=nonsense')->assertUnprocessable();
    foreach ([$this->by, $this->learner] as $nobody) {
        $this->actingAs($nobody)->getJson('/api/assessment/tries')->assertForbidden();
    }
});

it('stands on the learner\'s own record', function (): void {
    put($this, 'eyes', ['result' => 'met'])->assertOk();
    ($this->away)('part', 'The bar has a crack')->assertOk();
    $sheets = collect($this->actingAs($this->learner)->getJson("/api/records/learners/{$this->learner->id}")->assertOk()->json('permits'))
        ->flatMap(fn (array $permit): array => $permit['assessments'])->firstWhere('code', 'PS-through-holes');
    expect($sheets['tries'])->toHaveCount(1)
        ->and($sheets['tries'][0])->toMatchArray(['ended' => 'put_away', 'because' => 'part', 'marks' => 1]);
});

it('keeps the learner\'s word beside the outcome: theirs comes after the one that was written down for them', function (): void {
    $say = fn (bool $agrees, ?string $words = null, ?string $id = null) => $this->postJson(
        "/api/assessment/attempts/{$this->attempt}/answer", ['id' => $id ?? fake_uuid(), 'agrees' => $agrees, 'words' => $words],
    );
    $say(true)->assertConflict()->assertJsonPath('code', 'not_concluded');
    concluded($this);
    $say(false)->assertConflict()->assertJsonPath('code', 'why_disagree');
    $id = fake_uuid();
    $say(true, null, $id)->assertOk()->assertJsonPath('word.answered.own', false)->assertJsonPath('word.may', ['appeal']);
    $say(true, null, $id)->assertOk();
    $say(true)->assertConflict()->assertJsonPath('code', 'answered_already');
    $this->actingAs($this->instructor());
    $say(true)->assertForbidden()->assertJsonPath('code', 'not_this_seat');
    $this->actingAs($this->person());
    $say(true)->assertForbidden();
    $this->actingAs($this->learner);
    $say(false, 'Nobody asked me about the speed', $id)->assertConflict()->assertJsonPath('code', 'id_used');
    $say(false, 'Nobody asked me about the speed')->assertOk()->assertJsonPath('word.answered.own', true)
        ->assertJsonPath('outcome', 'passed');
    $say(true)->assertConflict()->assertJsonPath('code', 'answered_already');
    expect(array_count_values(($this->said)())['outcome_answered'])->toBe(2);
});

it('has an appeal answered by another assessor, and lets try again at once where they say so', function (): void {
    put($this, 'key', ['result' => 'not_met'])->assertOk();
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertOk();
    ($this->open)()->assertConflict();
    $path = "/api/assessment/attempts/{$this->attempt}/appeal";
    $answer = fn (string $answer, string $words = 'The key hung in its place') => $this->postJson("$path/answer", [
        'id' => fake_uuid(), 'answer' => $answer, 'words' => $words,
    ]);
    $answer('try_again')->assertConflict()->assertJsonPath('code', 'no_appeal');
    $this->actingAs($this->learner)->postJson($path, ['id' => fake_uuid(), 'words' => ' '])
        ->assertConflict()->assertJsonPath('code', 'why_appeal');
    $this->postJson($path, ['id' => fake_uuid(), 'words' => 'The key was out'])->assertOk();
    $this->postJson($path, ['id' => fake_uuid(), 'words' => 'Once more'])->assertConflict()->assertJsonPath('code', 'appealed_already');
    $answer('try_again')->assertForbidden();
    $this->actingAs($this->by);
    $answer('try_again')->assertForbidden()->assertJsonPath('code', 'not_another');
    expect($this->getJson('/api/records/today')->json('waiting.*.kind'))->not->toContain('appeal');
    $this->actingAs($this->instructor());
    expect($this->getJson('/api/records/today')->json('waiting.*.kind'))->toContain('appeal');
    $answer('try_again', ' ')->assertConflict()->assertJsonPath('code', 'why_answer');
    $answer('try_again')->assertOk()->assertJsonPath('word.appeal_answered.answer', 'try_again')->assertJsonPath('outcome', 'stopped');
    $answer('stands')->assertConflict()->assertJsonPath('code', 'answered_already');
    expect($this->getJson('/api/records/today')->json('waiting.*.kind'))->not->toContain('appeal')
        ->and(Alert::query()->where('kind', 'outcome_appealed')->count())->toBe(1);
    ($this->open)()->assertCreated();
});

it('takes no appeal after fourteen days, nor on a sheet that was put away', function (): void {
    put($this, 'eyes', ['result' => 'met'])->assertOk();
    ($this->away)()->assertOk();
    $path = fn (): string => "/api/assessment/attempts/{$this->attempt}/appeal";
    $appeal = ['id' => fake_uuid(), 'words' => 'Look again'];
    $this->actingAs($this->learner)->postJson($path(), $appeal)->assertConflict()->assertJsonPath('code', 'cancelled');
    $this->travel(2)->days();
    app(RecordEntry::class)(
        $this->learner, Permit::query()->where('code', 'drill-through-10')->sole(), 'practice_confirmed', ['minutes' => 20], $this->by,
    );
    $this->actingAs($this->by);
    $this->attempt = ($this->open)()->assertCreated()->json('id');
    put($this, 'key', ['result' => 'not_met'])->assertOk();
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertOk();
    $this->travel(15)->days();
    $this->actingAs($this->learner)->postJson($path(), $appeal)->assertConflict()->assertJsonPath('code', 'too_late_to_appeal');
    expect($this->getJson("/api/assessment/attempts/{$this->attempt}")->json('word.may'))->toBe(['answer']);
});
