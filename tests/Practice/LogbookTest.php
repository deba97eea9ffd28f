<?php

declare(strict_types=1);

use App\Competency\LedgerEntry;
use App\Practice\Entry;

function exercise(array $with = []): array
{
    return [
        ...[
            'id' => fake_uuid(),
            'machine' => 'bench-drill',
            'exercise' => 'Foot plate',
            'minutes' => 30,
            'done_on' => now()->toDateString(),
        ],
        ...$with,
    ];
}

beforeEach(fn () => $this->actingAs($this->learner = $this->person()));

it('is written by the learner, once however often it is sent, and counts once confirmed', function (): void {
    $exercise = exercise();
    $this->postJson('/api/practice/entries', $exercise)->assertCreated()->assertJson(['state' => 'waiting']);
    $this->postJson('/api/practice/entries', $exercise)->assertCreated();
    expect(Entry::query()->count())->toBe(1)->and(LedgerEntry::query()->count())->toBe(0);
    $decide = "/api/practice/entries/{$exercise['id']}/decision";
    $this->postJson($decide, ['confirm' => true])->assertForbidden();
    $this->actingAs($this->instructor())->postJson($decide, ['confirm' => true])->assertOk()->assertJson(['state' => 'confirmed']);
    $this->postJson($decide, ['confirm' => true])->assertOk();
    $this->postJson($decide, ['confirm' => false, 'reason' => 'changed my mind'])
        ->assertConflict()
        ->assertJsonPath('code', 'already_decided');
    expect(LedgerEntry::query()->get())->toHaveCount(1)->first()->permit_id->toBe($this->permit()->id);
});

it('is declined with a reason, and then does not count', function (): void {
    $this->postJson('/api/practice/entries', $exercise = exercise());
    $decide = "/api/practice/entries/{$exercise['id']}/decision";
    $this->actingAs($this->instructor())->postJson($decide, ['confirm' => false])->assertJsonValidationErrors('reason');
    $this->postJson($decide, ['confirm' => false, 'reason' => 'Not supervised.'])
        ->assertOk()
        ->assertJson(['state' => 'declined', 'reason' => 'Not supervised.']);
    expect(LedgerEntry::query()->count())->toBe(0);
});

it('says which field is wrong', function (array $with, string $field): void {
    $this->postJson('/api/practice/entries', exercise($with))->assertJsonValidationErrors($field);
})->with([
    [['minutes' => 3], 'minutes'],
    [['minutes' => 'long'], 'minutes'],
    [['machine' => 'nowhere'], 'machine'],
    [['done_on' => '2099-01-01'], 'done_on'],
    [['exercise' => 'x'], 'exercise'],
]);

it('is taken back by its learner while it waits, once however often, and by nobody else', function (): void {
    $this->postJson('/api/practice/entries', $exercise = exercise());
    $url = "/api/practice/entries/{$exercise['id']}";
    $this->actingAs($this->person())->deleteJson($url)->assertNotFound();
    $this->actingAs($this->instructor())->deleteJson($url)->assertNotFound();
    $this->actingAs($this->learner)->deleteJson($url)->assertNoContent();
    $this->deleteJson($url)->assertNoContent();
    $this->deleteJson('/api/practice/entries/nonsense')->assertNoContent();
    expect(Entry::query()->count())->toBe(0);

    $this->postJson('/api/practice/entries', $exercise = exercise());
    $this->actingAs($this->instructor())->postJson("/api/practice/entries/{$exercise['id']}/decision", ['confirm' => true])->assertOk();
    $this->actingAs($this->learner)->deleteJson("/api/practice/entries/{$exercise['id']}")
        ->assertConflict()->assertJsonPath('code', 'already_decided');
    expect(Entry::query()->count())->toBe(1);
});

it('says what was made, read and seen, and what went wrong', function (): void {
    $this->postJson('/api/practice/entries', exercise([
        'chip' => 'strings', 'readings' => 'hole A 9.12', 'mishap' => 'Broke a 3 mm drill',
    ]))->assertCreated()->assertJson(['chip' => 'strings', 'readings' => 'hole A 9.12', 'mishap' => 'Broke a 3 mm drill']);
    $this->postJson('/api/practice/entries', exercise(['chip' => 'purple']))->assertJsonValidationErrors('chip');
    $this->postJson('/api/practice/entries', exercise(['plan' => fake_uuid()]))->assertJsonValidationErrors('plan');
});

it('goes back with a note, is put right and handed in again', function (): void {
    $this->postJson('/api/practice/entries', $exercise = exercise());
    $url = "/api/practice/entries/{$exercise['id']}";
    $by = $this->instructor();
    $this->actingAs($by)->postJson("$url/decision", ['confirm' => false, 'back' => true, 'reason' => 'Which holes?'])->assertOk()
        ->assertJson(['state' => 'returned', 'reason' => 'Which holes?']);
    $this->postJson("$url/decision", ['confirm' => true])->assertConflict()->assertJsonPath('code', 'already_decided');
    $this->actingAs($this->person())->putJson($url, $exercise)->assertNotFound();
    $again = [...$exercise, 'exercise' => 'Foot plate, holes A and B'];
    foreach ([1, 2] as $ignored) {
        $this->actingAs($this->learner)->putJson($url, $again)->assertOk()
            ->assertJson(['state' => 'waiting', 'exercise' => 'Foot plate, holes A and B', 'reason' => null, 'edits' => []]);
    }
    $this->actingAs($by)->postJson("$url/decision", ['confirm' => true])->assertOk();
    $this->actingAs($this->learner)->putJson($url, $exercise)->assertConflict()->assertJsonPath('code', 'already_decided');
});

it('is changed by whoever teaches with a reason, once, and says what it said before', function (): void {
    $this->postJson('/api/practice/entries', $exercise = exercise());
    $url = "/api/practice/entries/{$exercise['id']}";
    $this->actingAs($this->instructor());
    $this->putJson($url, [...$exercise, 'minutes' => 20])->assertJsonValidationErrors('why');
    foreach ([1, 2] as $ignored) {
        $this->putJson($url, [...$exercise, 'minutes' => 20, 'why' => 'He came at ten past'])->assertOk()
            ->assertJsonPath('minutes', 20)->assertJsonCount(1, 'edits')->assertJsonPath('edits.0.minutes', 30);
    }
});

it('is filled in from a turn at the gate, each turn once and only one\'s own', function (): void {
    $turn = static fn (App\People\User $of): string => App\Gate\MachineSession::query()->create([
        'id' => fake_uuid(), 'machine_id' => App\Workshop\Machine::query()->where('slug', 'bench-drill')->sole()->id,
        'user_id' => $of->id, 'decision' => 'supervised', 'started_at' => now()->subMinutes(50), 'ended_at' => now()->subMinutes(15),
        'request' => [],
    ])->id;
    $mine = $turn($this->learner);
    $theirs = $turn($this->person());
    $this->getJson('/api/gate/turns')->assertOk()->assertJsonCount(1)->assertJsonPath('0.minutes', 35);
    $this->postJson('/api/practice/entries', exercise(['turn' => $theirs]))->assertConflict()->assertJsonPath('code', 'no_such_turn');
    $first = exercise(['turn' => $mine, 'minutes' => 35]);
    $this->postJson('/api/practice/entries', $first)->assertCreated()->assertJsonPath('from_gate', true);
    $this->postJson('/api/practice/entries', $first)->assertCreated();
    $this->postJson('/api/practice/entries', exercise(['turn' => $mine]))->assertConflict()->assertJsonPath('code', 'turn_logged');
    $this->getJson('/api/gate/turns')->assertJsonCount(0);
});
