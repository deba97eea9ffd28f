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
