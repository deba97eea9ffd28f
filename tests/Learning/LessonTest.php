<?php

declare(strict_types=1);

use App\Competency\LedgerEntry;
use App\Learning\Progress;
use Illuminate\Support\Arr;

function answer($test, string $step, ?string $value = null): Illuminate\Testing\TestResponse
{
    return $test->putJson('/api/learning/progress/'.Progress::query()->firstOrFail()->id."/steps/$step", ['value' => $value]);
}

beforeEach(function (): void {
    $this->learner = $this->person();
    // C6 needs power: it opens at stage 2.
    bring($this->learner, 2, $this->instructor());
    $this->actingAs($this->learner)->getJson('/api/learning/lessons/C6')->assertOk();
});

it('computes its figures for this machine, crib and part', function (): void {
    $figures = $this->getJson('/api/learning/lessons/C6')->json('figures');
    expect($figures['pilot.drill'])->toMatchArray(['name' => '2', 'rule' => 'pilot.web'])
        ->and($figures['pilot.speed'])->toMatchArray(['unit' => 'rpm', 'value' => 1400, 'rule' => 'speed.capped', 'teaching_value' => true])
        ->and($figures['final.speed'])->toMatchArray(['unit' => 'rpm', 'value' => 500, 'rule' => 'speed.ok'])
        ->and($figures['final.point']['value'])->toEqualWithDelta(4.5 / tan(deg2rad(59)), 1e-9)
        ->and($figures)->not->toHaveKey('depth.reading');
});

it('says what the crib lacks instead of making a figure up', function (): void {
    App\Workshop\Tool::query()->where('designation', '9')->delete();
    $lesson = $this->getJson('/api/learning/lessons/C6')->assertOk()->json();
    expect(in_words($lesson['fault']))->toContain('no 9 mm drill')->and($lesson['figures'])->toBe([]);
});

it('follows the shop\'s policy', function (): void {
    App\Policy\Policy::query()->create(['settings' => ['pilot_school' => 'single'], 'in_force_from' => now()]);
    expect($this->getJson('/api/learning/lessons/C6')->json('figures'))->not->toHaveKey('pilot.drill')->toHaveKey('final.drill');
});

it('takes steps in their order', function (): void {
    answer($this, 'pilot')->assertConflict()->assertJsonPath('code', 'step_order');
    answer($this, 'no-such-step')->assertConflict();
    answer($this, 'dress')->assertOk()->assertJsonPath('progress.next', 'heights');
});

it('waits at a hold point for somebody who teaches', function (): void {
    foreach (['dress', 'heights', 'pilot-speed', 'fit', 'hold'] as $step) {
        $last = answer($this, $step)->assertOk();
    }
    expect($last->json('progress.next'))->toBe('hold');
    answer($this, 'pilot')->assertConflict();
    $hold = App\Learning\HoldPoint::query()->firstOrFail();
    $this->postJson("/api/learning/holds/{$hold->id}/open")->assertForbidden();
    $this->actingAs($this->instructor())->postJson("/api/learning/holds/{$hold->id}/open")->assertNoContent();
    $this->postJson("/api/learning/holds/{$hold->id}/open")->assertNoContent();
    $this->actingAs($this->learner);
    answer($this, 'pilot')->assertOk();
});

it('is nobody else\'s to work through', function (): void {
    $this->actingAs($this->person());
    answer($this, 'dress')->assertForbidden();
});

it('judges readings, keeps what was typed, and is completed once', function (): void {
    foreach (['dress', 'heights', 'pilot-speed', 'fit', 'hold'] as $step) {
        answer($this, $step);
    }
    app(App\Learning\AnswerStep::class)->open(App\Learning\HoldPoint::query()->firstOrFail(), $this->instructor()->id);
    answer($this, 'pilot');
    expect(answer($this, 'change', 'a')->json('steps.6.answer'))->toMatchArray([
        'verdict' => 'wrong',
        'said' => 'With the key still in the chuck that is how keys fly.',
    ]);
    answer($this, 'change', 'c')->assertJsonPath('steps.6.answer.verdict', 'right');
    answer($this, 'touch', 'twelve')->assertUnprocessable()->assertJsonPath('code', 'invalid_input');
    answer($this, 'touch', '55')->assertJsonPath('steps.7.answer.verdict', 'out');
    answer($this, 'touch', '0')->assertJsonPath('steps.7.answer.verdict', 'in');
    // The tip is inside the pilot already when the lips meet its edge: it comes out below so much sooner.
    $figures = answer($this, 'touch', '1/2 in')->json('figures');
    $inside = 1 / tan(deg2rad(59));
    expect($figures['depth.reading']['value'])->toEqualWithDelta(12.7 + 8 + 4.5 / tan(deg2rad(59)) + 1 - $inside, 1e-9)
        ->and($figures['ease.reading']['value'])->toEqualWithDelta(12.7 + 8 - $inside, 1e-9);
    answer($this, 'depth', '23.7')->assertJsonPath('steps.8.answer.verdict', 'out');
    answer($this, 'depth', '24.9')->assertJsonPath('steps.8.answer.verdict', 'out');
    answer($this, 'depth', '23.8')->assertJsonPath('steps.8.answer.verdict', 'in');
    answer($this, 'through')->assertConflict();
    answer($this, 'look');
    $second = App\Learning\HoldPoint::query()->where('step', 'look')->firstOrFail();
    app(App\Learning\AnswerStep::class)->open($second, $this->instructor()->id);
    foreach (['through', 'stop', 'clear'] as $step) {
        answer($this, $step)->assertOk();
    }
    expect(LedgerEntry::query()->where('type', 'lesson_completed')->get()->map->details()->pluck('lesson'))->not->toContain('C6');
    answer($this, 'measure', '9.31')->assertJsonPath('steps.13.answer.verdict', 'doubtful');
    answer($this, 'measure', '9.1')->assertJsonPath('steps.13.answer.verdict', 'in');
    answer($this, 'measure', '9.1');
    $done = LedgerEntry::query()->where('type', 'lesson_completed')->get()->map->details()->where('lesson', 'C6')->values()->all();
    expect($done)->toHaveCount(1)->and($done[0])->toMatchArray(['lesson' => 'C6', 'version' => 2])
        ->and($done[0]['looked_by'])->toHaveCount(2);
});

it('opens what needs power only once the safety check is passed', function (): void {
    $this->actingAs($early = $this->person())->getJson('/api/learning/lessons/C6')->assertOk()->assertJsonPath('progress.open', false);
    $progress = Progress::query()->where('learner_id', $early->id)->firstOrFail();
    $this->putJson("/api/learning/progress/{$progress->id}/steps/dress", [])->assertConflict()->assertJsonPath('code', 'guided');
    bring($early, 2, $this->instructor());
    $this->getJson('/api/learning/lessons/C6')->assertJsonPath('progress.open', true);
    $this->putJson("/api/learning/progress/{$progress->id}/steps/dress", [])->assertOk();
    app(App\Competency\PlaceHold::class)($early, $this->permit(), $this->instructor(), 'suspended', 'For a talk.');
    $this->putJson("/api/learning/progress/{$progress->id}/steps/heights", [])->assertConflict()->assertJsonPath('code', 'guided');
});

it('keeps a reading with the unit in which it was typed, also when the learner switches half way', function (): void {
    foreach (['dress', 'heights', 'pilot-speed', 'fit', 'hold'] as $step) {
        answer($this, $step);
    }
    app(App\Learning\AnswerStep::class)->open(App\Learning\HoldPoint::query()->firstOrFail(), $this->instructor()->id);
    foreach (['pilot' => null, 'change' => 'c', 'touch' => '12', 'depth' => '24', 'look' => null] as $step => $value) {
        answer($this, $step, $value);
    }
    $second = App\Learning\HoldPoint::query()->where('step', 'look')->firstOrFail();
    app(App\Learning\AnswerStep::class)->open($second, $this->instructor()->id);
    foreach (['through', 'stop', 'clear'] as $step) {
        answer($this, $step);
    }
    $progress = Progress::query()->firstOrFail();
    $this->learner->update(['units' => 'in']);
    // Typed in millimetres before the switch, and sent after it.
    $this->putJson("/api/learning/progress/{$progress->id}/steps/measure", ['value' => '9.1', 'units' => 'mm'])
        ->assertJsonPath('steps.13.answer.verdict', 'in')
        ->assertJsonPath('steps.13.answer.units', 'mm');
    $this->putJson("/api/learning/progress/{$progress->id}/steps/measure", ['value' => '.358'])
        ->assertJsonPath('steps.13.answer.verdict', 'in')
        ->assertJsonPath('steps.13.answer.units', 'in');
});

it('is sent back from a hold point with the reason, and asks again', function (): void {
    foreach (['dress', 'heights', 'pilot-speed', 'fit', 'hold'] as $step) {
        answer($this, $step);
    }
    $hold = App\Learning\HoldPoint::query()->firstOrFail();
    $step = fn (): array => collect($this->actingAs($this->learner)->getJson('/api/learning/lessons/C6')->json('steps'))
        ->firstWhere('key', 'hold');
    $back = fn (string $reason) => $this->actingAs($this->instructor())
        ->postJson("/api/learning/holds/$hold->id/return", ['reason' => $reason]);
    $this->actingAs($this->learner)->postJson("/api/learning/holds/$hold->id/return", ['reason' => 'Mine'])->assertForbidden();
    $back('')->assertJsonValidationErrors('reason');
    $back('The vice is loose.')->assertNoContent();
    $back('Something else.')->assertNoContent();
    expect($step())->toMatchArray(['waiting_since' => null, 'sent_back' => 'The vice is loose.', 'done' => false])
        ->and($this->actingAs($this->instructor())->getJson('/api/records/today')->json('waiting'))->toBe([]);
    $this->actingAs($this->learner);
    answer($this, 'hold');
    expect($step())->toMatchArray(['sent_back' => null])->and($step()['waiting_since'])->not->toBeNull();
    $this->actingAs($this->instructor())->postJson("/api/learning/holds/$hold->id/open")->assertNoContent();
    $back('Too late.')->assertConflict()->assertJsonPath('code', 'already_opened');
});

it('shows the options of a choice in an order of each learner\'s own, which stays', function (): void {
    $order = fn (): array => array_column(
        collect($this->getJson('/api/learning/lessons/C6')->json('steps'))->firstWhere('key', 'change')['choice'],
        'id',
    );
    $mine = $order();
    expect($order())->toBe($mine)->and(array_values(Arr::sort($mine)))->toBe(['a', 'b', 'c']);
    $orders = [implode('', $mine) => true];
    foreach (range(1, 12) as $i) {
        $this->actingAs($this->person());
        $orders[implode('', $order())] = true;
    }
    // Twelve learners of thirteen in one order would be no order of their own.
    expect(count($orders))->toBeGreaterThan(2);
});

it('draws its steps from the lesson\'s own figures, and leaves a drawing out that cannot be made', function (): void {
    $steps = collect($this->getJson('/api/learning/lessons/C6')->json('steps'))->keyBy('key');
    expect($steps['through']['drawing']['title'])->toBe('lesson.grab')
        ->and($steps['hold']['drawing']['title'])->toBe('holding')
        ->and($steps['change']['drawing']['title'])->toBe('belt')
        ->and($steps['dress']['drawing'])->toBeNull();
    // What would tell the reading waits for it; whoever teaches sees it.
    expect($steps['depth']['drawing'])->toBeNull();
    $taught = collect($this->actingAs($this->instructor())->getJson('/api/learning/lessons/C6')->json('steps'))->keyBy('key');
    expect($taught['depth']['drawing']['title'])->toBe('lesson.scale_stop');
    App\Workshop\Tool::query()->where('designation', '9')->delete();
    $bare = collect($this->getJson('/api/learning/lessons/C6')->assertOk()->json('steps'))->keyBy('key');
    expect($bare['through']['drawing'])->toBeNull()->and($bare['clear']['drawing']['title'])->toBe('lesson.burr');
});

it('says what stands around it in the reader\'s language', function (string $language, string $word, string $can): void {
    $frame = $this->getJson('/api/learning/lessons/C4', ['Accept-Language' => $language])->json('frame');
    expect($frame['words'][0]['word'])->toBe($word)->and($frame['ending']['can'])->toStartWith($can)
        ->and($frame['card'])->toHaveCount(3);
})->with([['en', 'jaw', 'You can now'], ['es', 'mordaza', 'Ahora sabe']]);

it('keeps the learner\'s own notes, once, and writes over nothing that another device wrote', function (): void {
    $progress = Progress::query()->where('learner_id', $this->learner->id)->firstOrFail();
    $path = "/api/learning/progress/$progress->id/notes";
    $note = fn (?string $notes, ?string $was) => $this->putJson($path, ['notes' => $notes, 'was' => $was]);
    $note('Belt 2 for the 9.', '')->assertNoContent();
    $note('Belt 2 for the 9.', '')->assertNoContent();
    expect($this->getJson('/api/learning/lessons/C6')->json('progress.notes'))->toBe('Belt 2 for the 9.');
    $note('Something else.', '')->assertConflict()->assertJsonPath('code', 'notes_changed');
    $note(str_repeat('x', 4001), 'Belt 2 for the 9.')->assertJsonValidationErrors('notes');
    $note(null, 'Belt 2 for the 9.')->assertNoContent();
    expect($progress->refresh()->notes)->toBe('');
    $this->actingAs($this->person());
    $note('Mine', '')->assertForbidden();
    $this->actingAs($this->instructor());
    $note('Mine', '')->assertForbidden();
});
