<?php

declare(strict_types=1);

use App\Competency\LedgerEntry;
use App\Competency\RecordEntry;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

beforeEach(function (): void {
    $this->by = $this->instructor();
    $this->learner = $this->person();
    bring($this->learner, 3, $this->by);
});

it('is refused by the database to be changed, deleted or emptied', function (string $statement): void {
    expect(fn () => DB::transaction(fn () => DB::statement($statement)))->toThrow(QueryException::class, 'append-only');
})->with([
    "UPDATE competency_ledger SET type = 'x'",
    'DELETE FROM competency_ledger',
    'TRUNCATE competency_ledger CASCADE',
]);

it('leaves the application\'s own role nothing but to read and add', function (): void {
    $may = fn (string $what): bool => DB::scalar('SELECT has_table_privilege(?, ?, ?)', ['millstep_app', 'competency_ledger', $what]);
    expect($may('SELECT'))->toBeTrue()->and($may('INSERT'))->toBeTrue()
        ->and($may('UPDATE'))->toBeFalse()->and($may('DELETE'))->toBeFalse()->and($may('TRUNCATE'))->toBeFalse();
    expect(DB::scalar("SELECT pg_get_userbyid(relowner) FROM pg_class WHERE relname = 'competency_ledger'"))->toBe('millstep_owner');
});

it('shows an altered or a removed line', function (string $tamper): void {
    $this->artisan('competency:verify')->assertSuccessful();
    DB::statement('ALTER TABLE competency_ledger DISABLE TRIGGER USER');
    DB::statement($tamper);
    $this->artisan('competency:verify')->assertFailed()->expectsOutputToContain('The chain breaks');
})->with([
    "UPDATE competency_ledger SET data = '{\"minutes\": 400}' WHERE type = 'practice_confirmed'",
    'DELETE FROM competency_ledger WHERE seq = (SELECT min(seq) + 2 FROM competency_ledger)',
    "UPDATE competency_ledger SET happened_at = happened_at - interval '1 day' WHERE seq = (SELECT max(seq) FROM competency_ledger)",
]);

it('writes an entry that is sent twice once', function (): void {
    $id = fake_uuid();
    $write = fn () => app(RecordEntry::class)(
        $this->learner,
        null,
        'check_attempted',
        ['check' => 'X', 'passed' => true],
        $this->by,
        id: $id,
    );
    expect($write()->hash)->toBe($write()->hash)->and(LedgerEntry::query()->where('id', $id)->count())->toBe(1);
});

it('takes a corrected entry out of the standing, by its id', function (): void {
    $standing = fn () => app(App\Competency\Standings::class)->one($this->learner, $this->permit())->place->stage->value;
    expect($standing())->toBe(3);
    $wrong = LedgerEntry::query()->where('type', 'practice_confirmed')->firstOrFail();
    app(RecordEntry::class)(
        $this->learner,
        $this->permit(),
        'corrected',
        ['entry' => $wrong->id, 'reason' => 'Another learner was meant.'],
        $this->by,
    );
    expect($standing())->toBe(2);
});

it('does not count a lesson whose version is no longer accepted', function (): void {
    App\Learning\Lesson::query()->where('code', 'C4')->update(['version' => 2, 'accepted_from' => 2]);
    expect(app(App\Competency\Standings::class)->one($this->learner, $this->permit())->place->toArray())
        ->toMatchArray(['stage' => 0, 'next' => ['lesson:C4']]);
});
