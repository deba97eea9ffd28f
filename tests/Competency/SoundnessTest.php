<?php

declare(strict_types=1);

use App\Competency\AnchorLetter;
use App\Competency\Anchors;
use App\Competency\Folds;
use App\Competency\LedgerEntry;
use App\Competency\ShopKey;
use App\People\Role;
use App\Records\Alert;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Notification;

/** Lines that are not ours open nothing; what is merely old alerts. */
beforeEach(function (): void {
    at_a_gate($this);
    // Writes what somebody could who has the database and not the shop's key.
    $this->forge = function (array $with, ?string $seal = null): void {
        $last = LedgerEntry::query()->latest('seq')->firstOrFail();
        $forged = $last->replicate(['seq'])->fill(['id' => fake_uuid(), 'previous_hash' => $last->hash, 'seal' => $seal, ...$with]);
        $forged->hash = $forged->expectedHash();
        DB::table('competency_ledger')->insert($forged->getAttributes());
    };
    $this->spoil = function (Closure $how): void {
        DB::statement('ALTER TABLE competency_ledger DISABLE TRIGGER USER');
        $how();
        DB::statement('ALTER TABLE competency_ledger ENABLE TRIGGER USER');
    };
});

it('says no at the gate for a learner of whom a line is not ours, at once, and tells the lead', function (
    ?string $seal,
    array $with,
): void {
    $pupil = $this->person();
    give_badge($pupil, 'PUPIL');
    bring($pupil, 4, $this->by);
    hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
    hold_badge($this, 'LEARNER', ['intent' => 'finish']);
    ($this->forge)(['learner_id' => $pupil->id, 'permit_id' => $this->permit()->id, 'type' => 'signed_off', 'data' => json_encode([
        'statement_version' => 1, 'valid_until' => now()->addYear()->toIso8601ZuluString(), 'scope' => $this->permit()->scope,
    ]), ...$with], $seal);
    hold_badge($this, 'PUPIL')->assertJson(['decision' => 'no', 'reasons' => ['record_not_sound'], 'interlock' => 'off']);
    expect(Alert::query()->where('kind', 'ledger_broken')->count())->toBe(1);
    // Only for them.
    hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
    // And no fold ever speaks for it.
    app(Folds::class)->keep($pupil->id, now()->toImmutable());
    expect(DB::table('competency_folds')->where('learner_id', $pupil->id)->count())->toBe(0);
    hold_badge($this, 'LEARNER', ['intent' => 'finish']);
    hold_badge($this, 'PUPIL')->assertJson(['reasons' => ['record_not_sound']]);
})->with([
    'without a seal' => [null, []],
    'with a made-up seal' => [str_repeat('a', 64), []],
    'before the first line, as if it were older than seals' => [null, ['seq' => -5]],
]);

it('lets no line with a made-up seal vouch for one without', function (): void {
    $pupil = $this->person();
    give_badge($pupil, 'PUPIL');
    bring($pupil, 4, $this->by);
    app(Folds::class)->keep($pupil->id, now()->toImmutable());
    // One fold is gone, so the whole ledger is read.
    DB::table('competency_folds')->where('learner_id', $pupil->id)->where('permit_id', $this->permit()->id)->delete();
    ($this->forge)(['seq' => -5, 'previous_hash' => MillStep\Core\Competency\HashChain::START, 'learner_id' => $pupil->id,
        'permit_id' => $this->permit()->id, 'type' => 'signed_off', 'data' => json_encode(['statement_version' => 1,
            'valid_until' => now()->addYear()->toIso8601ZuluString(), 'scope' => $this->permit()->scope])]);
    $hash = LedgerEntry::query()->where('seq', -5)->sole()->hash;
    // About somebody else, so that it is not looked at itself.
    ($this->forge)(['seq' => -4, 'previous_hash' => $hash, 'learner_id' => $this->by->id], str_repeat('a', 64));
    hold_badge($this, 'PUPIL')->assertJson(['interlock' => 'off', 'reasons' => ['record_not_sound']]);
    // And nobody is led to take it over.
    $lead = $this->person(App\People\Role::Lead);
    app(App\People\Pin::class)->change($lead, '1357');
    $this->artisan('competency:adopt', ['email' => $lead->email, '--pin' => '1357'])->assertFailed();
});

it('ends the turn of somebody whose line was altered', function (): void {
    hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
    ($this->spoil)(fn () => DB::update("UPDATE competency_ledger SET data = '{\"minutes\": 4000}' WHERE type = 'practice_confirmed'"));
    // A fold that was sealed before speaks until the next walk; without one each line is looked at.
    DB::table('competency_folds')->delete();
    screen($this)->assertJson(['interlock' => 'off', 'ended' => ['reasons' => ['record_not_sound']]]);
});

it('closes from the first bad line on that the walk found, and opens again when the walk finds it whole', function (): void {
    $early = $this->person();
    give_badge($early, 'EARLY');
    bring($early, 5, $this->by);
    $later = $this->person();
    give_badge($later, 'LATER');
    bring($later, 5, $this->by);
    foreach ([$this->learner, $early, $later] as $each) {
        app(Folds::class)->keep($each->id, now()->toImmutable());
    }
    // A line of the second learner's is gone: no line by itself is bad, and folds cover all of them.
    $gone = DB::table('competency_ledger')->where('learner_id', $early->id)->orderBy('seq')->first();
    ($this->spoil)(fn () => DB::delete('DELETE FROM competency_ledger WHERE seq = ?', [$gone->seq]));
    $this->artisan('competency:verify')->assertFailed();
    hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
    hold_badge($this, 'LEARNER', ['intent' => 'finish']);
    // The finish wrote a line of theirs behind the fault: from then on theirs is in doubt too.
    foreach (['LEARNER', 'EARLY', 'LATER'] as $badge) {
        hold_badge($this, $badge)->assertJson(['reasons' => ['record_not_sound'], 'interlock' => 'off']);
    }
    ($this->spoil)(fn () => DB::table('competency_ledger')->insert((array) $gone));
    $this->artisan('competency:verify')->assertSuccessful();
    hold_badge($this, 'LATER')->assertJson(['interlock' => 'on']);
});

it('believes what was found only with the shop\'s seal', function (): void {
    hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
    $this->artisan('competency:verify')->assertSuccessful();
    expect(screen($this)->json('interlock'))->toBe('on');
    DB::table('competency_soundness')->update(['state' => '{"broken_from":null} ']);
    expect(screen($this)->json('interlock'))->toBe('off');
});

describe('lines from before there was a seal', function (): void {
    beforeEach(function (): void {
        // As a shop's first lines stood before seals were there; what comes now is sealed.
        ($this->spoil)(fn () => DB::table('competency_ledger')->update(['seal' => null]));
        DB::table('competency_folds')->delete();
        $this->other = $this->person();
        bring($this->other, 1, $this->by);
        $this->lead = $this->person(App\People\Role::Lead);
        app(App\People\Pin::class)->change($this->lead, '1357');
        $this->adopt = fn (string $pin = '1357') => $this->artisan('competency:adopt', ['email' => $this->lead->email, '--pin' => $pin]);
    });

    it('count as they are until they are taken over, and then', function (): void {
        hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
        $this->artisan('competency:verify')->assertSuccessful();
        ($this->adopt)('0000')->assertFailed();
        ($this->adopt)()->assertSuccessful();
        ($this->adopt)()->assertSuccessful();
        $line = LedgerEntry::query()->where('type', 'adopted')->sole();
        expect($line->details()['count'])->toBe(DB::table('competency_ledger')->whereNull('seal')->count())
            ->and($line->seal)->not->toBeNull();
        DB::table('competency_folds')->delete();
        expect(screen($this)->json('interlock'))->toBe('on');
        $this->artisan('competency:verify')->assertSuccessful();
    });

    it('do not count when they are not what was taken over, nor where they cannot be read at all', function (
        string $what,
        string $other,
    ): void {
        ($this->adopt)()->assertSuccessful();
        ($this->spoil)(function () use ($what, $other): void {
            $line = LedgerEntry::query()->whereNull('seal')->latest('seq')->firstOrFail();
            $line->data = (string) preg_replace($what, $other, $line->data, -1, $count);
            expect($count)->toBe(1);
            DB::table('competency_ledger')->where('seq', $line->seq)->update(['data' => $line->data, 'hash' => $line->expectedHash()]);
        });
        hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'off', 'reasons' => ['record_not_sound']]);
        DB::table('competency_folds')->delete();
        hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'off', 'reasons' => ['record_not_sound']]);
    })->with([
        'a size' => ['/("max_diameter_mm": ?)10/', '${1}40'],
        'an hour that is none' => ['/("valid_until": ?"[^T]*T)\d\d/', '${1}40'],
        'what is no JSON of an entry' => ['/"valid_until"/', '"until_valid"'],
    ]);

    it('are taken over by the lead alone', function (): void {
        $this->artisan('competency:adopt', ['email' => $this->by->email, '--pin' => '2468'])->assertFailed();
        expect(LedgerEntry::query()->where('type', 'adopted')->count())->toBe(0);
    });
});

describe('anchors', function (): void {
    beforeEach(function (): void {
        $this->days = fn (int ...$ago) => array_map(
            fn (int $days) => DB::table('competency_server_days')->insertOrIgnore(['day' => now()->subDays($days)->toDateString()]),
            $ago,
        );
        $this->kind = fn (): array => Alert::query()->pluck('kind')->all();
    });

    it('grow old by the days that the server ran, and the next one ends it', function (): void {
        $this->travelTo(now()->subDays(10));
        $this->artisan('competency:anchor')->assertSuccessful();
        $this->travelBack();
        // Off for ten days: nothing is stale.
        ($this->days)(10, 0);
        $this->artisan('competency:verify')->assertSuccessful();
        expect(($this->kind)())->toBe([]);
        ($this->days)(5, 4);
        $this->artisan('competency:verify')->assertSuccessful()->expectsOutputToContain('newest anchor');
        expect(($this->kind)())->toBe(['ledger_doubtful']);
        hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
        $this->artisan('competency:anchor');
        Alert::query()->delete();
        $this->artisan('competency:verify')->assertSuccessful();
        expect(($this->kind)())->toBe([]);
    });

    it('are missed when they were known, and close only what came after', function (): void {
        $this->artisan('competency:anchor');
        file_put_contents(app(Anchors::class)->file(), '');
        // A start makes no first one where there are lines.
        $this->artisan('competency:anchor', ['--first' => true])->assertSuccessful()->expectsOutputToContain('gone');
        expect(filesize(app(Anchors::class)->file()))->toBe(0);
        $this->artisan('competency:verify')->assertFailed()->expectsOutputToContain('is gone');
        hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
        hold_badge($this, 'LEARNER', ['intent' => 'finish']);
        hold_badge($this, 'LEARNER')->assertJson(['reasons' => ['record_not_sound']]);
        $this->artisan('competency:anchor', ['--put-back' => true])->assertSuccessful();
        $this->artisan('competency:verify')->assertSuccessful();
        hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
    });

    it('are found in the second place when the first is gone', function (): void {
        $copy = sys_get_temp_dir().'/anchors-copy-'.getmypid().'.jsonl';
        config(['millstep.anchors_copy' => $copy]);
        $this->artisan('competency:anchor');
        unlink(app(Anchors::class)->file());
        $this->artisan('competency:verify')->assertSuccessful();
        unlink($copy);
        $this->artisan('competency:verify')->assertFailed();
    });

    it('go to lead and auditor by letter once a day where the policy wants it, and stand where no mail goes', function (): void {
        $lead = $this->person(Role::Lead);
        Notification::fake();
        app(Anchors::class)->write();
        Notification::assertNothingSent();
        $this->policy(['anchor_letters' => true]);
        app(Anchors::class)->write();
        app(Anchors::class)->write();
        Notification::assertSentToTimes($lead, AnchorLetter::class, 1);
        Notification::assertNotSentTo($this->by, AnchorLetter::class);
        $letter = (new AnchorLetter(app(Anchors::class)->signed($head = app(Anchors::class)->head())))->toMail($lead)->render();
        expect((string) $letter)->toContain($head->hash)->toContain("had $head->count lines");
        // Mail that is away: the anchor stands all the same.
        DB::statement('UPDATE competency_anchors SET second_place = NULL');
        Notification::shouldReceive('send')->andThrow(new RuntimeException('no mail'));
        $before = count(app(Anchors::class)->known());
        app(Anchors::class)->write();
        expect(app(Anchors::class)->known())->toHaveCount($before + 1);
    });

    it('begin before the first line, and an empty shop\'s first night is quiet', function (): void {
        ($this->spoil)(fn () => DB::delete('DELETE FROM competency_ledger'));
        $this->artisan('competency:verify')->assertSuccessful();
        $this->artisan('competency:anchor', ['--first' => true])->assertSuccessful();
        expect(app(Anchors::class)->known()[0]['count'])->toBe(0);
        $this->artisan('competency:verify')->assertSuccessful();
        expect(($this->kind)())->toBe([]);
    });

    it('that never were are told, and close nothing', function (): void {
        $this->artisan('competency:verify')->assertSuccessful()->expectsOutputToContain('no anchor was ever written');
        expect(($this->kind)())->toBe(['ledger_doubtful']);
        hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
    });

    it('say of a backup of a week ago what they say of it, where the newer ones are there', function (): void {
        $this->artisan('competency:anchor');
        $older = (string) file_get_contents(app(Anchors::class)->file());
        bring($this->person(), 2, $this->by);
        $this->artisan('competency:anchor');
        $newer = (string) file_get_contents(app(Anchors::class)->file());
        // The database as it was, with its anchors as they were.
        $known = DB::table('competency_anchors')->orderByDesc('number')->first();
        ($this->spoil)(function () use ($known): void {
            DB::delete('DELETE FROM competency_ledger WHERE seq > (SELECT seq FROM competency_ledger ORDER BY seq OFFSET ? LIMIT 1)', [
                app(Anchors::class)->known()[0]['count'] - 1,
            ]);
            DB::table('competency_anchors')->where('number', $known->number)->delete();
        });
        file_put_contents(app(Anchors::class)->file(), $older);
        $this->artisan('competency:verify')->assertSuccessful();
        file_put_contents(app(Anchors::class)->file(), $newer);
        $this->artisan('competency:verify')->assertFailed()->expectsOutputToContain('tail was cut off');
    });
});

it('keeps the key of what it writes down out of the database', function (): void {
    app(App\Competency\Soundness::class)->keep(17);
    $kept = DB::table('competency_soundness')->first();
    expect($kept->seal)->toBe(app(ShopKey::class)->seal("soundness\n$kept->state"));
});
