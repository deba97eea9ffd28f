<?php

declare(strict_types=1);

use App\Competency\Anchors;
use App\Competency\LedgerEntry;
use App\Competency\PlaceHold;
use App\Competency\RecordEntry;
use App\Competency\ShopKey;
use App\Competency\Texts\Forgotten;
use App\Competency\Texts\Keys;
use App\Competency\Texts\Words;
use App\People\ForgetPerson;
use App\People\Pin;
use App\People\Role;
use App\People\User;
use App\Records\Alert;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

/** What can be forgotten stands beside the ledger, and the ledger holds without it. */
beforeEach(function (): void {
    $this->by = $this->instructor();
    $this->lead = $this->person(Role::Lead);
    foreach ([$this->by, $this->lead] as $each) {
        app(Pin::class)->change($each, '1357');
    }
    $this->learner = $this->person(with: ['name' => 'Oona Lisbeth Marchetti', 'email' => 'oona@millstep.example']);
    bring($this->learner, 5, $this->by);
    @unlink(app(Forgotten::class)->file());
    // As it stands in a shop from before: words in the line, and a hash over them.
    $this->first = function (User $of, string $type, array $data): LedgerEntry {
        $entry = app(RecordEntry::class)($of, $this->permit(), $type, [], $this->by);
        $entry->forceFill(['format' => 1, 'data' => json_encode($data), 'by_subject' => null, 'by_writer' => null]);
        $entry->hash = $entry->expectedHash();
        $entry->seal = app(ShopKey::class)->seal($entry->hash);
        DB::statement('ALTER TABLE competency_ledger DISABLE TRIGGER USER');
        DB::table('competency_ledger')->where('seq', $entry->seq)->update(array_intersect_key(
            $entry->getAttributes(),
            array_flip(['format', 'data', 'by_subject', 'by_writer', 'hash', 'seal']),
        ));
        DB::statement('ALTER TABLE competency_ledger ENABLE TRIGGER USER');
        DB::table('competency_texts')->where('line', $entry->id)->delete();

        return $entry;
    };
    $this->forget = fn (User $whom) => $this->actingAs($this->lead)
        ->postJson("/api/people/everybody/{$whom->id}/forgetting", ['pin' => '1357']);
    $this->verify = fn () => $this->artisan('competency:verify');
    // Every word of the database, as a dump of it would hold.
    $this->dump = function (): string {
        $all = '';
        foreach (DB::table('pg_tables')->where('schemaname', 'public')->pluck('tablename') as $table) {
            $all .= json_encode(DB::table($table)->get(), JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE);
        }

        return $all;
    };
});

it('keeps words and names beside a line, and commitments to them in it', function (): void {
    $entry = app(PlaceHold::class)($this->learner, $this->permit(), $this->by, 'suspended', 'Oona left the key in.', pin: '1357');
    expect($entry->data)->toBe('{}')->and($entry->by_subject)->toHaveLength(64)->and($entry->by_writer)->toHaveLength(64)
        ->and(json_encode(DB::table('competency_texts')->where('line', $entry->id)->first()))->not->toContain('key in');
    $this->actingAs($this->by)->getJson("/api/records/learners/{$this->learner->id}")->assertJsonPath('ledger.0.details.reason',
        'Oona left the key in.');
    ($this->verify)()->assertSuccessful();
});

it('tells when words beside a line were changed, taken away or made unreadable, and closes nothing', function (string $how): void {
    $entry = app(PlaceHold::class)($this->learner, $this->permit(), $this->by, 'suspended', 'Oona left the key in.', pin: '1357');
    $other = app(PlaceHold::class)($this->learner, $this->permit(), $this->by, 'reinstated', 'Talked it through.', pin: '1357');
    ($this->verify)()->assertSuccessful();
    match ($how) {
        'changed' => DB::table('competency_texts')->where('line', $entry->id)
            ->update(['about' => DB::table('competency_texts')->where('line', $other->id)->value('about')]),
        'gone' => DB::table('competency_texts')->where('line', $entry->id)->delete(),
        'key' => DB::table('competency_keys')->where('person_id', $this->learner->id)->delete(),
    };
    ($this->verify)()->assertFailed();
    expect(Alert::query()->where('kind', 'ledger_doubtful')->exists())->toBeTrue()
        ->and(DB::table('competency_soundness')->value('state'))->toBe('{"broken_from":null}');
})->with(['changed', 'gone', 'key']);

it('is the same line when it is sent twice, and another one with other words', function (): void {
    $id = fake_uuid();
    $hold = fn (string $why) => app(PlaceHold::class)($this->learner, $this->permit(), $this->by, 'suspended', $why, $id, '1357');
    expect($hold('The guard was open.')->seq)->toBe($hold('The guard was open.')->seq)
        ->and(fn () => $hold('Something else.'))->toThrow(App\Support\Refusal::class);
});

it('forgets what was said of an outcome, too, and keeps how it was judged', function (): void {
    $attempt = App\Assessment\SheetAttempt::query()->create([
        'sheet_id' => App\Assessment\Sheet::current('PS-through-holes')->id, 'learner_id' => $this->learner->id,
        'assessor_id' => $this->by->id, 'started_at' => now(), 'concluded_at' => now(), 'outcome' => 'not_yet', 'second_wanted' => true,
    ]);
    $words = app(App\Assessment\Word\AppealOutcome::class);
    $words($attempt, $this->learner, fake_uuid(), 'My cufflink was never near it');
    app(App\Assessment\Word\AnswerOutcome::class)($attempt, $this->learner, fake_uuid(), false, 'I hummed, and that is all');
    $on = fn (array $with): App\Assessment\Mark => App\Assessment\Mark::add([
        'id' => fake_uuid(), 'attempt_id' => $attempt->id, 'criterion' => 'eyes', 'seat' => 'assessor', 'kind' => 'note',
        'value' => ['text' => 'A ring came off'], 'by_id' => $this->by->id, 'made_at' => now(), 'recorded_at' => now(), ...$with,
    ]);
    $on([]);
    $on(['kind' => 'verdict', 'value' => ['result' => 'met'], 'why' => 'The shawl was off by then']);
    App\Assessment\Second\Review::query()->create([
        'attempt_id' => $attempt->id, 'token_hash' => 'x', 'name' => 'Works college', 'invited_by' => $this->by->id, 'invited_at' => now(),
        'expires_at' => now()->addDay(), 'said_at' => now(), 'agrees' => false, 'says' => 'The gherkin shows in the photograph',
    ]);
    expect(($this->dump)())->toContain('cufflink')->toContain('gherkin');
    $this->learner->update(['active' => false]);
    ($this->forget)($this->learner->refresh())->assertOk();
    $dump = ($this->dump)();
    foreach (['cufflink', 'hummed', 'gherkin', 'ring came off', 'shawl'] as $word) {
        expect(str_contains($dump, $word))->toBeFalse("$word is still there");
    }
    // A mark is written once, as before.
    $change = fn () => DB::transaction(fn () => DB::table('assessment_marks')->update(['why' => 'Otherwise']));
    expect($change)->toThrow(QueryException::class)
        ->and($attempt->refresh()->outcome)->toBe('not_yet')
        ->and($attempt->marks()->said('answered')?->value)->toBe(['agrees' => false]);
    ($this->verify)()->assertSuccessful();
});

it('forgets a learner: no word is left, every line stands, and so does the stage', function (): void {
    ($this->first)($this->learner, 'suspended', ['reason' => 'Oona Lisbeth Marchetti hummed beside the spindle.']);
    $old = ($this->first)($this->learner, 'reinstated', ['reason' => 'Talked through with Oona.']);
    $hold = app(PlaceHold::class)($this->learner, $this->permit(), $this->by, 'incident_hold', 'Oona caught a cufflink.', pin: '1357');
    $mine = ($this->first)($this->by, 'suspended', ['reason' => 'About somebody else.']);
    $this->actingAs($this->lead)->putJson("/api/people/everybody/{$this->learner->id}", [
        'name' => 'Oona Marchetti-Voss', 'email' => 'oona@millstep.example', 'role' => 'learner',
    ])->assertOk();
    // A line of the audit log from when names stood there.
    DB::table('records_audit')->insert(['source' => 'people_users', 'row' => 'Oona Marchetti-Voss', 'change' => 'update',
        'before' => '{"name": "Oona Lisbeth Marchetti"}', 'after' => '{"name": "Oona Marchetti-Voss", "active": true}']);
    Alert::query()->create(['kind' => 'look_disowned', 'facts' => ['name' => 'Oona Marchetti-Voss'], 'raised_at' => now()]);
    ($this->verify)()->assertSuccessful();
    $before = DB::table('competency_ledger')->orderBy('seq')->get(['seq', 'hash', 'seal']);
    expect(($this->dump)())->toContain('Marchetti');

    $learner = $this->learner->refresh();
    ($this->forget)($learner)->assertConflict()->assertJson(['code' => 'still_active']);
    $learner->update(['active' => false]);
    ($this->forget)($learner)->assertOk()->assertJson(['forgotten' => true, 'name' => "Somebody forgotten (no. {$learner->id})"]);
    $dump = ($this->dump)();
    foreach (['Marchetti', 'oona@', 'hummed beside', 'cufflink', 'Talked through'] as $word) {
        expect(str_contains($dump, $word))->toBeFalse("$word is still there");
    }
    expect($dump)->toContain('About somebody else.');
    // The lines stand with the hashes that they had, and the chain with what it says now.
    foreach ($before as $line) {
        $now = DB::table('competency_ledger')->where('seq', $line->seq)->first();
        expect([$now->hash, $now->seal])->toBe([$line->hash, $line->seal]);
    }
    ($this->verify)()->assertSuccessful();
    $page = $this->actingAs($this->lead)->getJson("/api/records/learners/{$learner->id}")->assertOk();
    expect($page->json('permits.0.standing.held'))->toBeTrue()
        ->and(collect($page->json('ledger'))->firstWhere('id', $hold->id)['details'])->toBe([])
        ->and(collect($page->json('ledger'))->firstWhere('id', $old->id)['details'])->toBe([]);

    // Twice is once, and nothing is written about them again.
    $lines = LedgerEntry::query()->count();
    ($this->forget)($learner)->assertOk();
    expect(LedgerEntry::query()->count())->toBe($lines);
    $this->patchJson("/api/people/everybody/{$learner->id}", ['active' => true])->assertConflict()
        ->assertJson(['code' => 'person_forgotten']);
    $this->putJson("/api/people/everybody/{$learner->id}", ['name' => 'Oona again', 'email' => 'o@millstep.example',
        'role' => 'learner'])->assertConflict();
    $this->actingAs($this->by)->postJson("/api/competency/learners/{$learner->id}/ledger/{$hold->id}/correction",
        ['id' => fake_uuid(), 'reason' => 'It was not her.', 'pin' => '1357'])->assertConflict()
        ->assertJson(['code' => 'person_forgotten']);
    expect($mine->refresh()->data)->toContain('somebody else');
});

it('takes a name of one word out only where a name stands', function (): void {
    $this->learner->update(['name' => 'drill', 'active' => false]);
    $plain = ['note' => 'First drill, then ream.'];
    $entry = App\Practice\Entry::query()->create(['learner_id' => $this->by->id, 'machine_id' => App\Workshop\Machine::query()->value('id'),
        'exercise' => 'Through holes', 'minutes' => 20, 'done_on' => now()->toDateString(), ...$plain]);
    $facts = ['name' => 'drill', 'operation' => 'drill'];
    $alert = Alert::query()->create(['kind' => 'look_disowned', 'facts' => $facts, 'raised_at' => now()]);
    $scope = $this->permit()->scope;
    ($this->forget)($this->learner)->assertOk();
    expect($entry->refresh()->note)->toBe($plain['note'])
        ->and($alert->refresh()->facts)->toBe(['name' => "Somebody forgotten (no. {$this->learner->id})", 'operation' => 'drill'])
        ->and($this->permit()->scope)->toBe($scope);
    ($this->verify)()->assertSuccessful();
});

it('takes a name with signs in it out of words and JSON, and no other\'s', function (): void {
    $this->learner->update(['name' => 'Ana "Nit" O\'Dea (jr.) [x]', 'active' => false]);
    $name = $this->learner->name;
    $facts = ['what' => "$name was here", 'more' => 'Ana Odea'];
    $alert = Alert::query()->create(['kind' => 'look_disowned', 'facts' => $facts, 'raised_at' => now()]);
    $machine = tap(App\Workshop\Machine::query()->firstOrFail())->update(['service_note' => "Said by $name."]);
    ($this->forget)($this->learner)->assertOk();
    // Nor does the audit log quote what was taken out.
    expect(($this->dump)())->not->toContain('Nit');
    expect(json_encode($alert->refresh()->facts))->toContain('Ana Odea')
        ->and($machine->refresh()->service_note)->toBe("Said by Somebody forgotten (no. {$this->learner->id}).");
});

it('forgets who wrote something, and what they wrote stays', function (): void {
    $entry = app(PlaceHold::class)($this->learner, $this->permit(), $this->by, 'suspended', 'The vice was loose.', pin: '1357');
    $this->by->update(['active' => false, 'name' => 'Tancred Oyelaran']);
    ($this->forget)($this->by)->assertOk();
    $ledger = $this->actingAs($this->lead)->getJson("/api/records/learners/{$this->learner->id}")->json('ledger');
    $line = collect($ledger)->firstWhere('id', $entry->id);
    expect($line['details'])->toBe(['reason' => 'The vice was loose.'])
        ->and($line['recorded_by'])->toBe("Somebody forgotten (no. {$this->by->id})")
        ->and(($this->dump)())->not->toContain('Oyelaran');
    ($this->verify)()->assertSuccessful();
});

it('tells a line whose words were taken out by anybody else', function (string $how): void {
    $entry = ($this->first)($this->learner, 'suspended', ['reason' => 'Whistled while it ran.']);
    $blank = fn () => DB::table('competency_ledger')->where('seq', $entry->seq)->update(['data' => '{}']);
    expect(fn () => DB::transaction($blank))->toThrow(QueryException::class, 'append-only');
    if ($how === 'a line without a seal says so') {
        $last = LedgerEntry::query()->latest('seq')->firstOrFail();
        $forged = $last->replicate(['seq'])->fill([
            'id' => fake_uuid(), 'previous_hash' => $last->hash, 'type' => 'blanked', 'seal' => str_repeat('a', 64),
            'data' => json_encode(['seq' => $entry->seq, 'hash_of_text' => 'x', 'left' => (clone $entry)->forceFill(['data' => '{}'])
                ->expectedHash()]),
        ]);
        $forged->hash = $forged->expectedHash();
        DB::table('competency_ledger')->insert($forged->getAttributes());
        // The database believes it, verify and the gate do not.
        $blank();
    } else {
        DB::statement('ALTER TABLE competency_ledger DISABLE TRIGGER USER');
        $blank();
        DB::statement('ALTER TABLE competency_ledger ENABLE TRIGGER USER');
    }
    ($this->verify)()->assertFailed();
    expect(app(App\Competency\Soundness::class)->isOurs($this->learner->id, $entry->refresh()->stored()))->toBeFalse();
})->with(['nobody says so', 'a line without a seal says so']);

it('lets the database change nothing else of a line, whoever said what', function (): void {
    $entry = ($this->first)($this->learner, 'suspended', ['reason' => 'Whistled while it ran.']);
    $learner = tap($this->learner)->update(['active' => false]);
    ($this->forget)($learner)->assertOk();
    foreach ([['type' => 'reinstated'], ['data' => '{"reason": "Something else."}'], ['recorded_by' => $this->lead->id]] as $other) {
        expect(fn () => DB::transaction(fn () => DB::table('competency_ledger')->where('seq', $entry->seq)->update($other)))
            ->toThrow(QueryException::class, 'append-only');
    }
    // And the application's role takes nobody's key away by itself.
    expect(fn () => DB::transaction(fn () => DB::select('SELECT competency_forget(?)', [$this->by->id])))
        ->toThrow(QueryException::class, 'Nobody is forgotten');
});

it('is for the lead, with the PIN, about somebody else', function (): void {
    $gone = $this->person(with: ['active' => false]);
    $url = "/api/people/everybody/{$gone->id}/forgetting";
    $this->actingAs($this->by)->postJson($url, ['pin' => '1357'])->assertForbidden();
    $this->actingAs($this->lead)->postJson($url, ['pin' => '9999'])->assertForbidden()->assertJson(['code' => 'pin_wrong']);
    $this->postJson($url, [])->assertUnprocessable();
    $this->postJson("/api/people/everybody/{$this->lead->id}/forgetting", ['pin' => '1357'])->assertForbidden();
    expect($gone->refresh()->forgotten_at)->toBeNull()->and(is_file(app(Forgotten::class)->file()))->toBeFalse();
});

it('forgets again what a restored database remembers, by the list beside the anchors', function (): void {
    $hold = app(PlaceHold::class)($this->learner, $this->permit(), $this->by, 'suspended', 'Oona left the key in.', pin: '1357');
    // Dumped before, forgotten after: only the list knows.
    app(Forgotten::class)->note($this->learner);
    app(Forgotten::class)->note($this->learner);
    file_put_contents(app(Forgotten::class)->file(), json_encode(['person' => $this->by->id, 'at' => 'x', 'seal' => 'made up'])."\n",
        FILE_APPEND);
    expect(app(Forgotten::class)->noted()->modelKeys())->toBe([$this->learner->id]);
    $this->artisan('people:forget-again')->expectsOutputToContain('1 people')->assertSuccessful();
    expect($this->learner->refresh()->forgotten_at)->not->toBeNull()->and($this->learner->active)->toBeFalse()
        ->and(($this->dump)())->not->toContain('Marchetti')
        ->and(DB::table('competency_keys')->where('person_id', $this->learner->id)->exists())->toBeFalse();
    $this->artisan('people:forget-again')->expectsOutputToContain('0 people')->assertSuccessful();
    ($this->verify)()->assertSuccessful();
    expect($this->by->refresh()->forgotten_at)->toBeNull()->and($hold->refresh()->type)->toBe('suspended');
});

it('forgets nobody else to whom a restored database gave the same number', function (): void {
    app(Forgotten::class)->note($this->learner);
    // The backup was older than they were, and somebody new has their number now.
    DB::table('people_users')->where('id', $this->learner->id)->update(['created_at' => now()->addDay(), 'name' => 'Somebody New']);
    expect(app(Forgotten::class)->noted())->toHaveCount(0);
    $this->artisan('people:forget-again')->expectsOutputToContain('0 people')->assertSuccessful();
    expect($this->learner->refresh()->name)->toBe('Somebody New');
});

it('does not call a restore done while nobody can forget again', function (): void {
    app(Forgotten::class)->note($this->learner);
    User::query()->where('role', Role::Lead)->update(['active' => false]);
    $this->artisan('people:forget-again')->assertFailed();
});

it('takes a line from before the upgrade for the same when it is sent again', function (): void {
    $old = ($this->first)($this->learner, 'suspended', ['reason' => 'The guard was open.']);
    // As the upgrade copied them beside it.
    DB::table('competency_texts')->insert(['line' => $old->id, 'writer' => '', 'about' => Keys::of([$this->learner->id])[$this->learner->id]
        ->seal((new Words('Oona', ['reason' => 'The guard was open.']))->toText())]);
    $again = fn (string $why) => app(RecordEntry::class)(
        $this->learner,
        $this->permit(),
        'suspended',
        ['reason' => $why],
        $this->by,
        id: $old->id,
    );
    expect($again('The guard was open.')->seq)->toBe($old->seq)
        ->and(fn () => $again('Another.'))->toThrow(App\Support\Refusal::class);
});

it('goes on where it was cut off', function (): void {
    $this->learner->update(['active' => false]);
    ($this->first)($this->learner, 'suspended', ['reason' => 'Whistled while it ran.']);
    // The server dies after the name is gone and before the ledger was told.
    app()->bind(App\People\Remembered::class, fn () => new class implements App\People\Remembered
    {
        public function note(User $person): void
        {
        }

        public function forget(User $person, User $by): void
        {
            throw new RuntimeException('The power went.');
        }
    });
    expect(fn () => app(ForgetPerson::class)($this->learner, $this->lead, '1357'))->toThrow(RuntimeException::class);
    app()->bind(App\People\Remembered::class, Forgotten::class);
    expect(DB::table('competency_keys')->where('person_id', $this->learner->id)->exists())->toBeTrue();
    ($this->forget)($this->learner->refresh())->assertOk();
    expect(DB::table('competency_keys')->where('person_id', $this->learner->id)->exists())->toBeFalse()
        ->and(($this->dump)())->not->toContain('Whistled');
    ($this->verify)()->assertSuccessful();
});

it('names people in the audit log by number alone', function (): void {
    $this->actingAs($this->lead)->putJson("/api/people/everybody/{$this->learner->id}", [
        'name' => 'Another Name', 'email' => 'another@millstep.example', 'role' => 'learner', 'born_on' => '2011-02-03',
    ])->assertOk();
    $line = DB::table('records_audit')->where('source', 'people_users')->latest('id')->first();
    expect($line->row)->toBe((string) $this->learner->id)->and($line->after)->not->toContain('nother')->not->toContain('2011');
    $this->getJson('/api/records/changes')->assertJsonPath('0.row', 'Another Name')->assertJsonPath('0.after.email', 'changed');
    app(Anchors::class)->write();
});
