<?php

declare(strict_types=1);

use App\Assessment\Mark;
use App\Assessment\SheetAttempt;
use App\Competency\LedgerEntry;
use Illuminate\Support\Facades\DB;

require_once __DIR__.'/marks.php';

beforeEach(function (): void {
    // What is a slip of ten seconds is told by the clock of the test, however slow the machine is.
    $this->freezeTime();
    $this->by = $this->instructor();
    $this->learner = $this->person();
    bring($this->learner, 3, $this->by);
    $this->attempt = $this->actingAs($this->by)
        ->postJson('/api/assessment/attempts', ['id' => fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $this->learner->id])
        ->assertCreated()
        ->json('id');
});

it('is kept half filled, and opened again where it was left', function (): void {
    put($this, 'eyes', ['result' => 'met'])->assertOk()->assertJsonPath('score.outcome', 'incomplete');
    $again = $this->postJson(
        '/api/assessment/attempts',
        ['id' => fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $this->learner->id],
    )
        ->assertCreated();
    expect($again->json('id'))->toBe($this->attempt)->and($again->json('criteria.1.mark.result'))->toBe('met');
});

it('is scored by the core and concluded once', function (): void {
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertConflict()->assertJsonPath('code', 'incomplete');
    fillSheet($this);
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")
        ->assertOk()
        ->assertJson(['outcome' => 'passed', 'score' => ['score_percent' => 100], 'losses' => []]);
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertOk();
    put($this, 'eyes', ['result' => 'not_met'])->assertConflict()->assertJsonPath('code', 'concluded');
    expect(LedgerEntry::query()->where('type', 'assessment_concluded')->get())
        ->toHaveCount(1)
        ->first()
        ->details()
        ->toMatchArray(['outcome' => 'passed', 'assessment' => 'PS-through-holes']);
});

it('comes to what its marks come to', function (array $marks, string $outcome): void {
    fillSheet($this);
    foreach ([...$marks, ...isset($marks['reasons']) ? array_fill_keys(reasons($this), $marks['reasons']) : []] as $criterion => $mark) {
        $last = $criterion === 'reasons' ? null : put($this, $criterion, $mark)->assertOk();
    }
    expect($last->json('score.outcome'))->toBe($outcome);
})->with([
    'a critical slip stops' => [['key' => ['result' => 'not_met']], 'stopped'],
    'a prompt that stops' => [['held' => ['result' => 'prompted']], 'stopped'],
    'a prompt on eyes, before power' => [['eyes' => ['result' => 'prompted']], 'passed'],
    'eyes with the power on' => [['eyes' => ['result' => 'not_met']], 'stopped'],
    'a prompt on standstill' => [['standstill' => ['result' => 'prompted']], 'stopped'],
    'a prompt on chips' => [['chips' => ['result' => 'prompted']], 'stopped'],
    'a prompt that does not' => [['clothing' => ['result' => 'prompted']], 'passed'],
    'a wrong speed chosen' => [['speed' => ['result' => 'not_met']], 'passed'],
    'a speed set in the wrong state' => [['speed-state' => ['result' => 'not_met']], 'stopped'],
    'one hole out' => [['dia-M' => ['reading' => ['value' => '10.6']]], 'not_yet'],
    'one hole out of place' => [['pos-B' => ['reading' => ['dx' => '0.5', 'dy' => '0']]], 'not_yet'],
    'a reading at the limit' => [['dia-A' => ['reading' => ['value' => '9.3']]], 'incomplete'],
    'too much missing' => [
        [
            ...array_fill_keys(
                ['eased', 'pilot', 'tried', 'machine', 'lubricant', 'speed', 'reasons', 'deburred', 'clean'],
                ['result' => 'not_met'],
            ),
            ...array_fill_keys(['clothing', 'path', 'speed-state'], ['result' => 'prompted']),
        ],
        'not_yet',
    ],
]);

it('takes readings in any unit and refuses what is none, naming the field', function (): void {
    $found = measure($this, 'dia-A', ['value' => '.359 in'])->assertOk();
    expect(criterion($found, 'dia-A'))->found->verdict->toBe('in')->readings->{0}->typed->value->toBe('.359 in');
    put($this, 'dia-B', ['reading' => ['value' => 'nine']], 'learner')->assertUnprocessable()->assertJsonPath('code', 'invalid_input')
        ->assertJsonStructure(['errors' => ['value']]);
    put($this, 'pos-B', ['reading' => ['dx' => '0.1']], 'learner')->assertUnprocessable()->assertJsonStructure(['errors' => ['dy']]);
    put($this, 'eyes', ['result' => 'splendid'])->assertUnprocessable();
    put($this, 'no-such', ['result' => 'met'])->assertConflict()->assertJsonPath('code', 'no_criterion');
});

it('is read by its learner and nobody else\'s', function (): void {
    $this->actingAs($this->learner)->getJson("/api/assessment/attempts/{$this->attempt}")->assertOk();
    put($this, 'eyes', ['result' => 'met'])->assertForbidden();
    $this->actingAs($this->person())->getJson("/api/assessment/attempts/{$this->attempt}")->assertForbidden();
});

it('cannot be passed with a part that is out, however well it was made', function (): void {
    fillSheet($this);
    $this->travel(20)->seconds();
    foreach (['A', 'B', 'C', 'D', 'M'] as $hole) {
        put($this, "dia-$hole", ['reading' => ['value' => '11'], 'why' => 'Read anew'])->assertOk();
        $last = put($this, "pos-$hole", ['reading' => ['dx' => '2', 'dy' => '2'], 'why' => 'Read anew'])->assertOk();
    }
    expect($last->json('score'))->outcome->toBe('not_yet')->score_percent->toEqual(50)
        ->and(criterion($this->getJson("/api/assessment/attempts/{$this->attempt}"), 'dia-A')['found'])
        ->savable->toBeFalse()->then->code->toBe('assessment.save.bore_over');
});

it('says of every observed point what met, prompted and not met look like, and weighs the part as much as the work', function (): void {
    $criteria = collect(SheetAttempt::query()->with('sheet')->findOrFail($this->attempt)->criteria());
    foreach ($criteria->where('kind', 'observed') as $criterion) {
        expect($criterion['levels'])->toHaveKeys(['met', 'prompted', 'not_met']);
    }
    expect($criteria->where('kind', 'measured')->sum('weight'))->toEqual($criteria->where('kind', 'observed')->sum('weight'))
        ->and($criteria->where('kind', 'measured')->pluck('hole')->unique()->values()->all())->toBe(['A', 'B', 'C', 'D', 'M']);
});

it('keeps a reading with the unit in which it was typed', function (): void {
    $this->by->update(['units' => 'in']);
    measure($this, 'pos-A', ['dx' => '0.2 mm', 'dy' => '0.1 mm'])->assertOk();
    measure($this, 'dia-A', ['value' => '.359'])->assertOk();
    $kept = SheetAttempt::withSheet()->findOrFail($this->attempt)->marks();
    expect($kept->readings('pos-A')[0]->value['figures'])->toEqual(['dx_mm' => 0.2, 'dy_mm' => 0.1])
        ->and($kept->readings('dia-A')[0]->value)->toMatchArray(['units' => 'in', 'typed' => ['value' => '.359']]);
});

it('refuses an id that is another learner\'s sheet', function (): void {
    $this->postJson(
        '/api/assessment/attempts',
        ['id' => $this->attempt, 'sheet' => 'PS-through-holes', 'learner_id' => $this->person()->id],
    )
        ->assertConflict()
        ->assertJsonPath('code', 'id_used');
});

it('enters nothing twice: the same mark sent again, in whatever order', function (): void {
    $marks = [];
    foreach (['eyes', 'clothing', 'key', 'held', 'drill'] as $criterion) {
        $marks[] = ['id' => fake_uuid(), 'criterion' => $criterion, 'seat' => 'assessor', 'result' => 'met',
            'made_at' => now()->toIso8601ZuluString('millisecond')];
    }
    foreach ([...$marks, ...array_reverse($marks), $marks[2], $marks[2]] as $mark) {
        $this->postJson("/api/assessment/attempts/{$this->attempt}/marks", $mark)->assertOk();
    }
    expect(Mark::query()->where('attempt_id', $this->attempt)->count())->toBe(5);
    $this->postJson("/api/assessment/attempts/{$this->attempt}/marks", [...$marks[0], 'criterion' => 'tried'])
        ->assertConflict()->assertJsonPath('code', 'id_used');
});

it('writes each mark once: the database refuses to change one', function (): void {
    put($this, 'eyes', ['result' => 'met'])->assertOk();
    foreach (["UPDATE assessment_marks SET criterion = 'x'", 'DELETE FROM assessment_marks'] as $change) {
        expect(fn () => DB::transaction(fn () => DB::statement($change)))->toThrow(Illuminate\Database\QueryException::class);
    }
});

it('lets a slip be taken back for ten seconds, and changed later only with a reason', function (): void {
    $mark = put($this, 'clothing', ['result' => 'prompted'])->json('criterion.mark');
    $undo = fn (array $mark) => $this->postJson("/api/assessment/attempts/{$this->attempt}/marks/{$mark['id']}/undo", [
        'id' => fake_uuid(), 'made_at' => now()->toIso8601ZuluString('millisecond'),
    ]);
    $this->travel(9)->seconds();
    $undo($mark)->assertOk()->assertJsonPath('criterion.mark', null);
    // Twice is once.
    $undo($mark)->assertOk()->assertJsonPath('criterion.mark', null);
    $mark = put($this, 'clothing', ['result' => 'prompted'])->json('criterion.mark');
    $this->travel(9)->seconds();
    put($this, 'clothing', ['result' => 'met'])->assertOk()->assertJsonPath('criterion.mark.result', 'met');
    $this->travel(11)->seconds();
    $undo($mark)->assertConflict()->assertJsonPath('code', 'too_late');
    put($this, 'clothing', ['result' => 'prompted'])->assertConflict()->assertJsonPath('code', 'marked_already');
    put($this, 'clothing', ['result' => 'prompted', 'why' => 'I mixed the two of them up'])->assertOk()
        ->assertJsonPath('criterion.mark.why', 'I mixed the two of them up')
        ->assertJsonPath('criterion.before.0.result', 'prompted');
});

it('with a verdict taken back stands at the one before', function (): void {
    put($this, 'clothing', ['result' => 'met'])->assertOk();
    $this->travel(3)->seconds();
    $second = put($this, 'clothing', ['result' => 'prompted'])->json('criterion.mark.id');
    $this->postJson(
        "/api/assessment/attempts/{$this->attempt}/marks/$second/undo",
        ['id' => fake_uuid(), 'made_at' => now()->toIso8601ZuluString()],
    )
        ->assertOk()->assertJsonPath('criterion.mark.result', 'met');
});

it('merges two tablets where they say the same, and tells the later one where they do not', function (): void {
    put($this, 'speed', ['result' => 'met'])->assertOk();
    $other = $this->instructor();
    $this->actingAs($other);
    put($this, 'speed', ['result' => 'met'])->assertOk();
    put($this, 'pilot', ['result' => 'met'])->assertOk();
    put($this, 'speed', ['result' => 'prompted'])->assertConflict()->assertJsonPath('code', 'marked_already')
        ->assertJsonPath('message', fn (string $says): bool => str_contains($says, $this->by->name));
    expect(Mark::query()->where('attempt_id', $this->attempt)->count())->toBe(2);
});

it('is stopped by a slip whatever stood there, tells which and when, and takes no more', function (): void {
    put($this, 'key', ['result' => 'met'])->assertOk();
    $this->travel(60)->seconds();
    $this->actingAs($this->instructor());
    put($this, 'key', ['result' => 'not_met'])->assertOk()->assertJsonPath('stopped.criterion', 'key')
        ->assertJsonPath('score.outcome', 'stopped');
    $at = SheetAttempt::query()->findOrFail($this->attempt)->stopped_at;
    $this->travel(30)->seconds();
    put($this, 'held', ['result' => 'met'])->assertConflict()->assertJsonPath('code', 'stopped_already');
    put($this, 'key', ['result' => 'met', 'why' => 'Not so bad'])->assertConflict()->assertJsonPath('code', 'stopped_already');
    // What another tablet marked before the stop, without a network, still belongs to it.
    put($this, 'held', ['result' => 'met', 'made_at' => $at->subSeconds(40)->toIso8601ZuluString('millisecond')])->assertOk();
    expect($at)->not->toBeNull();
});

it('goes on where a stop was a slip of the finger', function (): void {
    $mark = put($this, 'key', ['result' => 'not_met'])->json('criterion.mark.id');
    $this->postJson(
        "/api/assessment/attempts/{$this->attempt}/marks/$mark/undo",
        ['id' => fake_uuid(), 'made_at' => now()->toIso8601ZuluString()],
    )
        ->assertOk()->assertJsonPath('stopped', null)->assertJsonPath('score.outcome', 'incomplete');
    put($this, 'key', ['result' => 'not_met'])->assertOk();
    put($this, 'key', ['result' => 'met'])->assertOk()->assertJsonPath('stopped', null);
});

it('stays stopped, whatever a mark says of when it was made', function (): void {
    put($this, 'key', ['result' => 'met'])->assertOk();
    $this->travel(60)->seconds();
    put($this, 'key', ['result' => 'not_met'])->assertOk();
    $at = now()->toImmutable();
    $this->travel(30)->seconds();
    foreach ([40, 2] as $before) {
        put($this, 'key', [
            'result' => 'met', 'why' => 'Not so bad', 'made_at' => $at->subSeconds($before)->toIso8601ZuluString('millisecond'),
        ])->assertConflict()->assertJsonPath('code', 'stopped_already');
    }
    expect(SheetAttempt::query()->findOrFail($this->attempt))->stopped_by->toBe('key');
});

it('lets no date make a slip of what the server recorded long before, nor of what was sent together long after', function (): void {
    put($this, 'key', ['result' => 'not_met'])->assertOk();
    $stop = now()->toImmutable();
    $this->travel(1)->minutes();
    // A minute later, and dated two seconds after the stop: neither taken back, nor changed, nor undone.
    $soon = $stop->addSeconds(2)->toIso8601ZuluString('millisecond');
    put($this, 'key', ['result' => 'met', 'made_at' => $soon])->assertConflict()->assertJsonPath('code', 'stopped_already');
    $mark = Mark::query()->where('criterion', 'key')->sole()->id;
    $this->postJson("/api/assessment/attempts/{$this->attempt}/marks/$mark/undo", ['id' => fake_uuid(), 'made_at' => $soon])
        ->assertConflict()->assertJsonPath('code', 'too_late');
    expect(SheetAttempt::query()->findOrFail($this->attempt))->stopped_by->toBe('key');
});

it('takes what was kept without a network for a slip only where the tablet made it within ten seconds', function (
    int $after,
    int $status,
): void {
    $this->travel(30)->minutes();
    $made = now()->subMinutes(20);
    put($this, 'clothing', ['result' => 'prompted', 'made_at' => $made->toIso8601ZuluString('millisecond')])->assertOk();
    put($this, 'clothing', ['result' => 'met', 'made_at' => $made->addSeconds($after)->toIso8601ZuluString('millisecond')])
        ->assertStatus($status);
})->with([[5, 200], [11, 409]]);

it('refuses no mark for its date, takes one that cannot be for now or for the opening, and keeps what was said', function (): void {
    $opened = SheetAttempt::query()->findOrFail($this->attempt)->started_at;
    $this->travel(5)->minutes();
    put($this, 'eyes', ['result' => 'met', 'made_at' => '2001-01-01T00:00:00Z'])->assertOk();
    put($this, 'clothing', ['result' => 'met', 'made_at' => now()->addDay()->toIso8601ZuluString()])->assertOk();
    put($this, 'key', ['result' => 'met'])->assertOk();
    [$early, $late, $now] = Mark::query()->orderBy('seq')->get()->all();
    expect($early->made_at->equalTo($opened))->toBeTrue()->and($early->said_at->year)->toBe(2001)
        ->and($late->made_at->timestamp)->toBe(now()->timestamp)->and($late->said_at->timestamp)->toBe(now()->addDay()->timestamp)
        ->and($now->said_at)->toBeNull();
    $shown = $this->getJson("/api/assessment/attempts/{$this->attempt}")->json('criteria');
    expect(array_column($shown, 'mark', 'id'))->clothing->said_at->toBe(now()->addDay()->toIso8601ZuluString())->key->said_at->toBeNull();
});

it('asks the database eight times for a mark', function (): void {
    $asked = [];
    DB::listen(function ($query) use (&$asked): void {
        $asked[] = $query->sql;
    });
    put($this, 'eyes', ['result' => 'met'])->assertOk();
    expect(count($asked))->toBeLessThanOrEqual(8, implode("\n", $asked));
});

it('stopped twice and once taken back is stopped by the other', function (): void {
    $at = now()->toImmutable();
    $this->travel(5)->seconds();
    $mark = put($this, 'key', ['result' => 'not_met'])->json('criterion.mark.id');
    put($this, 'held', ['result' => 'not_met', 'made_at' => $at->toIso8601ZuluString('millisecond')])->assertOk()
        ->assertJsonPath('stopped.criterion', 'key');
    $this->postJson("/api/assessment/attempts/{$this->attempt}/marks/$mark/undo", ['id' => fake_uuid(),
        'made_at' => now()->toIso8601ZuluString('millisecond')])->assertOk()->assertJsonPath('stopped.criterion', 'held');
    expect(SheetAttempt::query()->findOrFail($this->attempt)->stopped_at?->timestamp)->toBe($at->timestamp);
});

it('takes a slip back on a tablet whose clock is fast', function (): void {
    $ahead = static fn (int $seconds): string => now()->addHour()->addSeconds($seconds)->toIso8601ZuluString('millisecond');
    $mark = put($this, 'clothing', ['result' => 'prompted', 'made_at' => $ahead(0)])->json('criterion.mark.id');
    $this->travel(3)->seconds();
    $this->postJson("/api/assessment/attempts/{$this->attempt}/marks/$mark/undo", ['id' => fake_uuid(), 'made_at' => $ahead(0)])
        ->assertOk()->assertJsonPath('criterion.mark', null);
});

it('is concluded by the shop where the tablet that stopped it went flat', function (): void {
    put($this, 'key', ['result' => 'not_met'])->assertOk();
    $this->artisan('assessment:conclude-stopped')->assertSuccessful();
    expect(SheetAttempt::query()->findOrFail($this->attempt)->concluded_at)->toBeNull();
    $this->travel(3)->minutes();
    $this->artisan('assessment:conclude-stopped')->assertSuccessful();
    $this->artisan('assessment:conclude-stopped')->assertSuccessful();
    expect(SheetAttempt::query()->findOrFail($this->attempt)->outcome)->toBe('stopped')
        ->and(LedgerEntry::query()->where('type', 'assessment_concluded')->count())->toBe(1);
});

it('is put away when it was opened by mistake, and kept', function (): void {
    $cancel = fn (?string $words = null) => $this->postJson(
        "/api/assessment/attempts/{$this->attempt}/cancellation",
        ['because' => 'opened_by_mistake', 'words' => $words],
    );
    put($this, 'eyes', ['result' => 'met'])->assertOk();
    $cancel()->assertConflict()->assertJsonPath('code', 'why_cancelled');
    $cancel('  no   ')->assertConflict();
    $cancel('The wrong learner')->assertOk()->assertJsonPath('cancelled_because', 'The wrong learner')
        ->assertJsonPath('concluded_at', null);
    $cancel('Another reason')->assertOk()->assertJsonPath('cancelled_because', 'The wrong learner');
    put($this, 'eyes', ['result' => 'not_met'])->assertConflict()->assertJsonPath('code', 'cancelled');
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertConflict()->assertJsonPath('code', 'cancelled');
    expect(SheetAttempt::query()->findOrFail($this->attempt)->cancelled_by)->toBe($this->by->id)
        ->and(Mark::query()->where('attempt_id', $this->attempt)->count())->toBe(1)
        ->and(LedgerEntry::query()->where('type', 'assessment_concluded')->count())->toBe(0)
        ->and($this->getJson('/api/records/today')->json('waiting'))->toBe([]);
});

it('without a mark needs no reason to be put away', function (): void {
    $path = "/api/assessment/attempts/{$this->attempt}/cancellation";
    $this->postJson($path)->assertUnprocessable();
    $this->postJson($path, ['because' => 'boredom'])->assertUnprocessable();
    $this->postJson($path, ['because' => 'other'])->assertConflict()->assertJsonPath('code', 'why_cancelled');
    $this->postJson($path, ['because' => 'opened_by_mistake'])->assertOk()->assertJsonPath('put_away_counts', false);
    // Nobody tried anything: the next sheet is opened at once.
    $this->postJson('/api/assessment/attempts', ['id' => fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $this->learner->id])
        ->assertCreated()->assertJsonPath('id', fn (string $id): bool => $id !== $this->attempt);
});

it('that a slip has stopped, or that is concluded, is not put away', function (): void {
    put($this, 'eyes', ['result' => 'not_met'])->assertOk()->assertJsonPath('score.outcome', 'stopped');
    $cancel = fn () => $this->postJson("/api/assessment/attempts/{$this->attempt}/cancellation", [
        'because' => 'other', 'words' => 'It did not go well',
    ]);
    $cancel()->assertConflict()->assertJsonPath('code', 'stopped_stands');
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertOk();
    $cancel()->assertConflict()->assertJsonPath('code', 'concluded');
});

it('is put away by whoever may mark it, and nobody else', function (): void {
    $path = "/api/assessment/attempts/{$this->attempt}/cancellation";
    $because = ['because' => 'time', 'words' => 'The hour is over'];
    $this->actingAs($this->learner)->postJson($path, $because)->assertForbidden();
    $this->actingAs($this->person(App\People\Role::Auditor))->postJson($path, $because)->assertForbidden();
    expect(SheetAttempt::query()->findOrFail($this->attempt)->cancelled_at)->toBeNull();
});

it('is tried again only after the wait and an exercise', function (): void {
    put($this, 'key', ['result' => 'not_met'])->assertOk();
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertOk()->assertJsonPath('again.exercises', 1);
    $again = fn () => $this->postJson('/api/assessment/attempts', [
        'id' => fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $this->learner->id,
    ]);
    $again()->assertConflict()->assertJsonPath('code', 'too_soon');
    $this->travel(13)->hours();
    $again()->assertConflict()->assertJsonPath('code', 'practise_first');
    $permit = App\Competency\Permit::query()->where('code', 'drill-through-10')->sole();
    app(App\Competency\RecordEntry::class)($this->learner, $permit, 'practice_confirmed', ['minutes' => 20], $this->by);
    $again()->assertCreated();
});

it('keeps notes beside a criterion and the whole, once each', function (): void {
    $note = ['id' => fake_uuid(), 'criterion' => 'speed', 'text' => 'Worked it out aloud', 'made_at' => now()->toIso8601ZuluString()];
    $path = "/api/assessment/attempts/{$this->attempt}/notes";
    $this->postJson($path, $note)->assertOk();
    $last = $this->postJson($path, $note)->assertOk();
    expect(criterion($last, 'speed')['notes'])->toHaveCount(1);
    $this->postJson($path, [...$note, 'text' => 'Something else'])->assertConflict()->assertJsonPath('code', 'id_used');
    $this->postJson($path, [...$note, 'id' => fake_uuid(), 'criterion' => 'sheet'])->assertOk()->assertJsonCount(1, 'notes');
    $this->actingAs($this->learner)->postJson($path, [...$note, 'id' => fake_uuid()])->assertForbidden();
});

it('is among the open sheets of whoever opened it and of whoever marks it, and of nobody else', function (): void {
    expect($this->getJson('/api/assessment/attempts')->assertOk()->json('*.id'))->toBe([$this->attempt]);
    $this->actingAs($this->instructor());
    expect($this->getJson('/api/assessment/attempts')->json())->toBe([]);
    put($this, 'speed', ['result' => 'met'])->assertOk();
    expect($this->getJson('/api/assessment/attempts')->json('*.id'))->toBe([$this->attempt]);
});
