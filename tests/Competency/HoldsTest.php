<?php

declare(strict_types=1);

use App\Competency\CorrectEntry;
use App\Competency\LedgerEntry;
use App\Competency\PlaceHold;
use App\Competency\Texts\LineWords;

beforeEach(function (): void {
    $this->by = $this->instructor();
    $this->learner = $this->person();
    bring($this->learner, 5, $this->by);
    $this->hold = fn (App\People\User $as, string $type, array $with = []) => $this->actingAs($as)
        ->postJson("/api/competency/learners/{$this->learner->id}/permits/drill-through-10/holds", [
            'id' => fake_uuid(), 'type' => $type, 'reason' => 'Talked it through at the machine.', ...$with,
        ]);
    $this->correct = fn (App\People\User $as, LedgerEntry $wrong, array $with = []) => $this->actingAs($as)
        ->postJson("/api/competency/learners/{$wrong->learner_id}/ledger/{$wrong->id}/correction", [
            'id' => fake_uuid(), 'reason' => 'Entered for the wrong learner.', 'pin' => '2468', ...$with,
        ]);
});

it('is placed at once by anybody who teaches, without a PIN', function (string $type): void {
    ($this->hold)($this->instructor(signs: false), $type)->assertCreated();
})->with(['suspended', 'incident_hold']);

it('is lifted only by somebody who may sign, with the PIN', function (): void {
    ($this->hold)($this->by, 'suspended')->assertCreated();
    ($this->hold)($this->by, 'reinstated')->assertUnprocessable();
    ($this->hold)($this->by, 'reinstated', ['pin' => '0000'])->assertForbidden()->assertJsonPath('code', 'pin_wrong');
    ($this->hold)($this->instructor(signs: false), 'reinstated', ['pin' => '2468'])
        ->assertForbidden()
        ->assertJsonPath('code', 'not_authorised');
    ($this->hold)($this->by->refresh(), 'reinstated', ['pin' => '2468'])->assertCreated();
    ($this->hold)($this->by, 'reinstated', ['pin' => '2468'])->assertConflict()->assertJsonPath('code', 'nothing_held');
});

it('is revoked in the same way, once, and not lifted but signed anew', function (): void {
    ($this->hold)($this->by, 'revoked')->assertUnprocessable();
    ($this->hold)($this->instructor(signs: false), 'revoked', ['pin' => '2468'])->assertForbidden();
    ($this->hold)($this->by, 'revoked', ['pin' => '2468'])->assertCreated();
    ($this->hold)($this->by, 'revoked', ['pin' => '2468'])->assertConflict()->assertJsonPath('code', 'nothing_signed');
    ($this->hold)($this->by, 'reinstated', ['pin' => '2468'])->assertConflict()->assertJsonPath('code', 'nothing_held');
});

it('writes a hold that is sent twice once, and never a used id\'s', function (): void {
    $id = fake_uuid();
    $hash = ($this->hold)($this->by, 'suspended', ['id' => $id])->assertCreated()->json('hash');
    expect(($this->hold)($this->by, 'suspended', ['id' => $id])->assertCreated()->json('hash'))->toBe($hash)
        ->and(LedgerEntry::query()->where('type', 'suspended')->count())->toBe(1);
});

it('corrects a line with a reason and a PIN, once', function (): void {
    $wrong = LedgerEntry::query()->where('type', 'practice_confirmed')->firstOrFail();
    ($this->correct)($this->by, $wrong, ['reason' => 'no'])->assertJsonValidationErrors('reason');
    ($this->correct)($this->by, $wrong, ['pin' => '0000'])->assertForbidden()->assertJsonPath('code', 'pin_wrong');
    ($this->correct)($this->instructor(signs: false), $wrong)->assertForbidden()->assertJsonPath('code', 'not_authorised');
    $id = fake_uuid();
    ($this->correct)($this->by, $wrong, ['id' => $id])->assertCreated();
    ($this->correct)($this->by, $wrong, ['id' => $id])->assertCreated();
    ($this->correct)($this->by, $wrong)->assertConflict()->assertJsonPath('code', 'already_corrected');
    $line = LedgerEntry::query()->where('type', 'corrected')->get();
    expect($line->sole()->details())->toBe(['entry' => $wrong->id])
        ->and(LineWords::of($line)[$line[0]->id])->toBe(['reason' => 'Entered for the wrong learner.']);
});

it('brings a line back by correcting its correction', function (): void {
    $wrong = LedgerEntry::query()->where('type', 'practice_confirmed')->firstOrFail();
    ($this->correct)($this->by, $wrong);
    $correction = LedgerEntry::query()->where('type', 'corrected')->sole();
    ($this->correct)($this->by, $correction)->assertCreated();
    $this->getJson("/api/records/learners/{$this->learner->id}")->assertJsonPath('permits.0.practice.count', 3);
    ($this->correct)($this->by, $wrong)->assertCreated();
});

it('finds no line of another learner under this one', function (): void {
    $other = $this->person();
    bring($other, 3, $this->by);
    $theirs = LedgerEntry::query()->where('learner_id', $other->id)->firstOrFail();
    $this->actingAs($this->by)
        ->postJson(
            "/api/competency/learners/{$this->learner->id}/ledger/{$theirs->id}/correction",
            ['id' => fake_uuid(), 'reason' => 'Not theirs at all.', 'pin' => '2468'],
        )
        ->assertNotFound();
});

it('lets nobody hold, lift or correct their own', function (): void {
    $own = app(PlaceHold::class);
    expect(fn () => $own($this->by, $this->permit(), $this->by, 'suspended', 'Myself.'))->toThrow(App\Support\Refusal::class)
        ->and(
            fn () => app(CorrectEntry::class)(
                LedgerEntry::query()->where('learner_id', $this->learner->id)->firstOrFail(),
                $this->learner,
                'Mine.',
                '2468',
            ),
        )
        ->toThrow(App\Support\Refusal::class);
});
