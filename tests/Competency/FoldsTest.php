<?php

declare(strict_types=1);

use App\Competency\Folds;
use App\Competency\LedgerEntry;
use App\Competency\Permit;
use App\Competency\RecordEntry;
use App\Competency\ShopKey;
use App\Competency\Standings;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Competency\Ledger\Folded;
use MillStep\Core\Competency\Ledger\Ledger;

beforeEach(function (): void {
    $this->by = $this->instructor();
    $this->learner = $this->person();
    bring($this->learner, 5, $this->by);
    $this->keep = fn () => app(Folds::class)->keep($this->learner->id, now()->toImmutable());
    $this->standing = fn () => app(Standings::class)->one($this->learner, $this->permit());
    $this->whole = fn () => Folds::ledger(
        LedgerEntry::query()->where('learner_id', $this->learner->id)->orderBy('seq')->get(),
        $this->permit()->id,
    )->asOf(now());
    $this->line = fn (string $type, array $data, ?Permit $permit = null, $at = null) => app(RecordEntry::class)(
        $this->learner,
        $permit ?? $this->permit(),
        $type,
        $data,
        $this->by,
        $at,
    );
});

it('says the same with folds, without them, and with lines after them', function (): void {
    expect(($this->standing)()->record)->toEqual(($this->whole)());
    ($this->keep)();
    expect(($this->standing)()->record)->toEqual(($this->whole)());
    ($this->line)('machine_time', ['minutes' => 30, 'confirmed' => true]);
    ($this->line)('suspended', ['reason' => 'x']);
    expect(($this->standing)()->record)->toEqual(($this->whole)())->and(($this->standing)()->place->held)->toBeTrue();
    ($this->keep)();
    ($this->line)('reinstated', ['reason' => 'x']);
    expect(($this->standing)()->record)->toEqual(($this->whole)())->and(($this->standing)()->place->held)->toBeFalse();
});

it('reads the whole ledger where a correction names what is folded already', function (): void {
    ($this->keep)();
    $signed = LedgerEntry::query()->where('learner_id', $this->learner->id)->where('type', 'signed_off')->firstOrFail();
    ($this->line)('corrected', ['entry' => $signed->id, 'reason' => 'The wrong person']);
    expect(($this->standing)()->record->signature)->toBeNull()->and(($this->standing)()->record)->toEqual(($this->whole)());
    ($this->keep)();
    expect(($this->standing)()->record->signature)->toBeNull();
});

it('does not count what is dated later, folded or not, until then', function (): void {
    ($this->line)('practice_confirmed', ['minutes' => 500], at: now()->addHour()->toImmutable());
    ($this->line)('suspended', ['reason' => 'x']);
    ($this->keep)();
    expect(($this->standing)()->record)->toEqual(($this->whole)())->and(($this->standing)()->place->held)->toBeTrue();
    $this->travel(2)->hours();
    expect(($this->standing)()->record)->toEqual(($this->whole)())->practiceMinutes->toBe(620);
    ($this->keep)();
    // The clock was put back behind what is folded: the ledger itself is asked.
    $this->travelBack();
    expect(($this->standing)()->record)->toEqual(($this->whole)())->practiceMinutes->toBe(120);
});

it('believes no fold that this shop\'s key has not sealed, and throws it away when it verifies', function (Closure $spoil): void {
    ($this->line)('suspended', ['reason' => 'x']);
    ($this->keep)();
    $spoil($this);
    expect(($this->standing)()->place->held)->toBeTrue();
    expect(Artisan::call('competency:verify'))->toBe(1)->and(Artisan::output())->toContain('is not what the ledger says');
    expect(Artisan::call('competency:verify'))->toBe(0);
})->with([
    'written into' => [
        fn () => DB::table('competency_folds')->update(['state' => DB::raw("replace(state, '\"suspended\":true', '\"suspended\":false')")]),
    ],
    'of somebody else' => [function ($test): void {
        $other = $test->person();
        bring($other, 5, $test->by);
        app(Folds::class)->keep($other->id, now()->toImmutable());
        $theirs = DB::table('competency_folds')->where('learner_id', $other->id)->first();
        DB::table('competency_folds')
            ->where('learner_id', $test->learner->id)
            ->update(['state' => $theirs->state, 'seal' => $theirs->seal]);
    }],
    'of no json' => [fn () => DB::table('competency_folds')->update(['state' => '{"v":1,'])],
]);

it('finds a fold that was sealed but is not what the ledger says', function (): void {
    ($this->keep)();
    $row = DB::table('competency_folds')->first();
    $state = str_replace('"practice_minutes":120', '"practice_minutes":999', $row->state);
    expect($state)->not->toBe($row->state);
    DB::table('competency_folds')->update([
        'state' => $state,
        'seal' => app(ShopKey::class)->seal("fold\n{$row->learner_id}\n{$row->permit_id}\n{$row->seq}\n$state"),
    ]);
    expect(Artisan::call('competency:verify'))->toBe(1)->and(DB::table('competency_folds')->count())->toBe(0);
});

it('throws a fold of an older make away without a word, and folds anew what has grown long', function (): void {
    ($this->keep)();
    $row = DB::table('competency_folds')->first();
    $old = str_replace('{"v":'.Folded::VERSION.',', '{"v":0,', $row->state);
    DB::table('competency_folds')->update([
        'state' => $old,
        'seal' => app(ShopKey::class)->seal("fold\n{$row->learner_id}\n{$row->permit_id}\n{$row->seq}\n$old"),
    ]);
    expect(Artisan::call('competency:verify'))->toBe(0)->and(($this->standing)()->record)->toEqual(($this->whole)());
    $this->app->terminate();
    $anew = DB::table('competency_folds')->first();
    expect($anew->state)->toStartWith('{"v":'.Folded::VERSION.',')->and($anew->seq)->toBe(LedgerEntry::query()->max('seq'));
});

it('asks six things of the database for a badge at most', function (): void {
    at_a_gate($this);
    for ($i = 0; $i < 60; $i++) {
        app(RecordEntry::class)($this->learner, $this->permit(), 'machine_time', ['minutes' => 5, 'confirmed' => true], $this->by);
    }
    app(Folds::class)->keep($this->learner->id, now()->toImmutable());
    hold_badge($this, 'LEARNER')->assertCreated();
    hold_badge($this, 'LEARNER', ['intent' => 'finish'])->assertCreated();
    DB::enableQueryLog();
    hold_badge($this, 'LEARNER')->assertCreated()->assertJsonPath('decision', 'alone');
    expect(count(DB::getQueryLog()))->toBeLessThanOrEqual(6);
    DB::flushQueryLog();
    screen($this);
    expect(count(DB::getQueryLog()))->toBeLessThanOrEqual(4);
});

it('raises no alarm over a hold that a fast clock dated into the future, when that time has come', function (): void {
    ($this->line)('suspended', ['reason' => 'x'], at: now()->addHours(20)->toImmutable());
    ($this->keep)();
    $this->travel(2)->days();
    expect(Artisan::call('competency:verify'))->toBe(0)->and(($this->standing)()->place->held)->toBeTrue();
});

it('folds a few after a page that reads many, and the rest another time', function (): void {
    $many = collect(range(1, 25))->map(function () {
        $learner = $this->person();
        bring($learner, 4, $this->by);

        return $learner;
    });
    app(Standings::class)->of($many, collect([$this->permit()]));
    $this->app->terminate();
    expect(DB::table('competency_folds')->count())->toBeGreaterThan(0)->toBeLessThanOrEqual(10);
});
