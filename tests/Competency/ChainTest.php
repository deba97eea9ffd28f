<?php

declare(strict_types=1);

use App\Competency\Anchors;
use App\Competency\LedgerEntry;
use App\Competency\ShopKey;
use App\People\Letter;
use App\People\Role;
use App\Records\Alert;
use App\Records\AuditLine;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Competency\HashChain;

beforeEach(function (): void {
    $this->by = $this->instructor();
    $this->learner = $this->person();
    bring($this->learner, 5, $this->by);
    $this->artisan('competency:anchor')->assertSuccessful();
    $this->artisan('competency:verify')->assertSuccessful();
    $this->spoil = function (Closure $how): void {
        DB::statement('ALTER TABLE competency_ledger DISABLE TRIGGER USER');
        $how();
        DB::statement('ALTER TABLE competency_ledger ENABLE TRIGGER USER');
    };
});

/** Writes the whole chain anew, as somebody would who can write the table but has no key. */
function rehash(?Closure $seal = null): void
{
    $previous = HashChain::START;
    foreach (LedgerEntry::query()->orderBy('seq')->get() as $entry) {
        $entry->previous_hash = $previous;
        $entry->hash = $previous = $entry->expectedHash();
        DB::table('competency_ledger')
            ->where('seq', $entry->seq)
            ->update([
                'previous_hash' => $entry->previous_hash,
                'hash' => $entry->hash,
                'seal' => $seal === null ? $entry->seal : $seal($entry->hash),
            ]);
    }
}

it('is found', function (Closure $how): void {
    ($this->spoil)($how);
    $this->artisan('competency:verify')->assertFailed();
})->with([
    'with its tail cut off' => [
        fn () => DB::delete('DELETE FROM competency_ledger WHERE seq > (SELECT max(seq) - 2 FROM competency_ledger)'),
    ],
    'emptied' => [fn () => DB::delete('DELETE FROM competency_ledger')],
    'altered and hashed anew' => [function (): void {
        DB::update("UPDATE competency_ledger SET data = '{\"minutes\": 4000}' WHERE type = 'practice_confirmed'");
        rehash();
    }],
    'hashed anew without seals, as if it were older than they' => [function (): void {
        DB::delete("DELETE FROM competency_ledger WHERE type = 'practice_confirmed'");
        rehash(fn () => null);
    }],
    'hashed anew even with the right seals, against the anchor' => [function (): void {
        DB::update("UPDATE competency_ledger SET data = '{\"minutes\": 4000}' WHERE type = 'practice_confirmed'");
        rehash(app(ShopKey::class)->seal(...));
    }],
]);

it('shows a line that was forged with the application\'s own role', function (?string $seal): void {
    // The role may insert, and the chain's hash needs no secret: all but the seal is right.
    $last = LedgerEntry::query()->latest('seq')->firstOrFail();
    $forged = $last->replicate(['seq'])->fill(['id' => fake_uuid(), 'previous_hash' => $last->hash, 'seal' => $seal]);
    $forged->hash = $forged->expectedHash();
    DB::table('competency_ledger')->insert($forged->getAttributes());
    $this->artisan('competency:verify')->assertFailed()->expectsOutputToContain('not written by this application');
})->with(['with a made-up seal' => [str_repeat('a', 64)], 'without one' => [null]]);

it('tells lead and auditor by mail and on their screen, once until it is seen', function (): void {
    $lead = $this->person(Role::Lead);
    $auditor = $this->person(Role::Auditor);
    ($this->spoil)(fn () => DB::delete('DELETE FROM competency_ledger'));
    $this->artisan('competency:verify')->assertFailed();
    $this->artisan('competency:verify')->assertFailed();
    foreach ([$lead, $auditor] as $reader) {
        expect(Letter::query()->where('recipient', $reader->email)->where('subject', 'like', '%ledger%')->count())->toBe(1);
        $this->actingAs($reader)->getJson('/api/records/alerts')->assertOk()->assertJsonCount(1)->assertJsonPath('0.kind', 'ledger_broken');
    }
    $alert = Alert::query()->sole();
    $this->postJson("/api/records/alerts/{$alert->id}/seen")->assertOk()->assertJsonCount(0);
    $this->actingAs($this->by)->getJson('/api/records/alerts')->assertForbidden();
});

it('is refused when the anchors were tampered with', function (): void {
    $file = app(Anchors::class)->file();
    file_put_contents($file, str_replace('"count":', '"count":1', (string) file_get_contents($file)));
    $this->artisan('competency:verify')->assertFailed()->expectsOutputToContain('not signed');
});

it('prints its signed head on a learner\'s record', function (): void {
    $chain = $this->actingAs($this->by)->getJson("/api/records/learners/{$this->learner->id}")->assertOk()->json('chain');
    expect($chain['count'])
        ->toBe(LedgerEntry::query()->count())
        ->and($chain['hash'])
        ->toBe(LedgerEntry::query()->latest('seq')->value('hash'))
        ->and(
            app(ShopKey::class)->hasSigned(
                new MillStep\Core\Competency\ChainHead($chain['count'], $chain['hash'], new DateTimeImmutable($chain['at'])),
                $chain['signature'],
            ),
        )
        ->toBeTrue()
        ->and(
            app(ShopKey::class)->hasSigned(
                new MillStep\Core\Competency\ChainHead($chain['count'] + 1, $chain['hash'], new DateTimeImmutable($chain['at'])),
                $chain['signature'],
            ),
        )
        ->toBeFalse();
});

it('records nothing without the shop\'s key', function (): void {
    config(['millstep.shop_key' => '']);
    expect(
        fn () => app(App\Competency\RecordEntry::class)(
            $this->learner,
            null,
            'check_attempted',
            ['check' => 'X', 'passed' => true],
            $this->by,
        ),
    )->toThrow(LogicException::class, 'MILLSTEP_SHOP_KEY');
});

it('has every change of what decides who may run written down by the database itself, with who did it', function (): void {
    $lead = $this->person(Role::Lead);
    $from = AuditLine::query()->max('id');
    $this->actingAs($lead);
    $this->patchJson("/api/people/everybody/{$this->learner->id}", ['active' => false])->assertOk();
    $this->deleteJson("/api/people/everybody/{$this->by->id}/pin")->assertOk();
    $this->putJson(
        '/api/workshop/policy',
        ['settings' => [...App\Policy\Policy::settingsInForce(), 'learner_cap_rpm' => 900], 'note' => 'Slower for now'],
    )
        ->assertOk();
    App\Competency\Permit::query()->where('code', 'drill-through-10')->update(['validity_days' => 3650]);
    DB::table('competency_statements')->insert([
        'permit_id' => $this->permit()->id,
        'version' => 7,
        'body' => 'I may do anything.',
        'in_force_from' => now(),
    ]);
    $lines = AuditLine::query()->where('id', '>', $from)->orderBy('id')->get();
    expect($lines->map(fn ($line) => "{$line->source} {$line->change} ".implode(',', array_keys($line->after)))->all())->toContain(
        'people_users update active', 'people_users update pin_hash', 'competency_permits update validity_days',
    )->and($lines->pluck('source')->all())->toContain('workshop_policies', 'competency_statements')
        ->and($lines->firstWhere('source', 'workshop_policies')->actor_id)->toBe($lead->id)
        ->and($lines->toJson())->not->toContain('$2y$');
    $this->getJson('/api/records/changes')->assertOk()->assertJsonPath('0.source', 'competency_statements');
});

it('says of a secret only what became of it, and nothing of one that was never there', function (): void {
    $from = (int) AuditLine::query()->max('id');
    $person = $this->person();
    $said = fn (): array => AuditLine::query()->where('id', '>', $from)->where('source', 'people_users')->orderBy('id')->get()
        ->map(fn ($line) => $line->after['pin_hash'] ?? null)->all();
    expect($said())->toBe([null]);
    app(App\People\Pin::class)->change($person, '4711');
    app(App\People\Pin::class)->change($person, '4712');
    app(App\People\Pin::class)->reset($person);
    $person->setRememberToken('anything');
    $person->save();
    expect($said())->toBe([null, 'set', 'changed', 'taken away']);
});

it('shows people, machines and permits by their names, however many lines with a handful of queries', function (): void {
    foreach (range(1, 3) as $n) {
        $person = $this->person();
        give_badge($person, "CODE{$n}");
    }
    $this->actingAs($this->person(Role::Lead));
    DB::enableQueryLog();
    $shown = $this->getJson('/api/records/changes?source=gate_badges')->assertOk();
    expect(count(DB::getQueryLog()))->toBeLessThan(12);
    $shown->assertJsonPath('0.row', $person->name)
        ->assertJsonPath('0.after.user_id', $person->name)
        ->assertJsonPath('0.after.code_hash', 'set');
});

it('keeps the audit log from being changed', function (string $statement): void {
    expect(fn () => DB::transaction(fn () => DB::statement($statement)))->toThrow(QueryException::class, 'append-only');
})->with(['UPDATE records_audit SET actor_id = 1', 'DELETE FROM records_audit', 'TRUNCATE records_audit']);

it('leaves the application\'s role nothing in the audit log but to read and add', function (): void {
    $may = fn (string $what): bool => DB::scalar('SELECT has_table_privilege(?, ?, ?)', ['millstep_app', 'records_audit', $what]);
    expect([$may('SELECT'), $may('UPDATE'), $may('DELETE'), $may('TRUNCATE')])->toBe([true, false, false, false]);
});

it('is told who made each change, whatever the way', function (): void {
    $lead = $this->person(App\People\Role::Lead);
    $since = (int) DB::table('records_audit')->max('id');
    $this->actingAs($lead)->patchJson('/api/people/me', ['language' => 'es', 'mail_when_waiting' => true])->assertOk();
    $cohort = $this->postJson('/api/people/cohorts', ['name' => 'Evening', 'starts_on' => '2031-01-01'])->assertCreated()->json('id');
    $this->putJson("/api/people/cohorts/$cohort", ['name' => 'Late evening', 'starts_on' => '2031-01-01'])->assertOk();
    $this->postJson('/api/people/everybody', [
        'name' => 'Ada Example', 'email' => 'ada@millstep.example', 'role' => 'learner',
        'language' => 'en', 'cohorts' => [$cohort], 'invite' => true,
    ])->assertSuccessful();
    $lines = DB::table('records_audit')->where('id', '>', $since)->get();
    expect($lines->pluck('source')->unique()->sort()->values()->all())->toBe(['people_cohorts', 'people_memberships', 'people_users'])
        ->and($lines->count())->toBeGreaterThanOrEqual(6)
        ->and($lines->whereNull('actor_id')->map(fn ($line): string => "$line->source $line->change $line->after")->all())->toBe([]);
});
