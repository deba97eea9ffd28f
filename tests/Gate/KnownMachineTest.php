<?php

declare(strict_types=1);

use App\Competency\Authorisation;
use App\Competency\CorrectEntry;
use App\Competency\Familiar\KeepUsedBefore;
use App\Competency\LedgerEntry;
use App\Competency\Permit;
use App\Competency\RecordEntry;
use App\Workshop\Machine;
use App\Workshop\SaveMachine;
use Illuminate\Support\Facades\DB;

/** Who knows which machine, and what the gate makes of it. */
beforeEach(function (): void {
    at_a_gate($this);
    // Another bench drill press, which the same permit opens and which nobody has shown them.
    $this->other = Machine::query()->create([
        ...$this->machine->only(Machine::FIELDS), 'slug' => 'second-drill', 'name' => 'Second drill press', 'in_service' => true,
        'stop' => 'Red button, on the right', 'isolator' => 'On the column', 'speed_change' => 'running', 'brake' => null,
    ])->refresh();
    $this->permit()->machines()->attach($this->other);
    $this->elsewhere = app(App\Gate\PairDevice::class)($this->other, $this->by, 'Second reader');
    $this->hold = fn () => hold_badge($this, 'LEARNER', token: $this->elsewhere);
    $this->show = fn (array $shown, ?string $id = null, ?App\People\User $learner = null) => $this->postJson(
        '/api/competency/learners/'.($learner ?? $this->learner)->id.'/machines/second-drill',
        ['id' => $id ?? fake_uuid(), 'shown' => $shown],
    );
    $this->all = ['speed_change', 'stop', 'isolator', 'brake', 'locks', 'scale'];
    $this->save = fn (array $changed, bool $wordingOnly = false) => app(SaveMachine::class)(
        $this->other, [...$this->other->refresh()->only(Machine::FIELDS), ...$changed], [], wordingOnly: $wordingOnly,
    );
});

it('opens no further machine alone before it was shown, and says so', function (): void {
    ($this->hold)()->assertJson(['decision' => 'no', 'reasons' => ['not_familiar', 'supervisor_absent'], 'interlock' => 'off']);
    $this->actingAs($this->by);
    ($this->show)($this->all)->assertCreated();
    ($this->hold)()->assertJson(['decision' => 'alone', 'interlock' => 'on']);
    $entry = LedgerEntry::query()->where('type', 'familiarised')->orderByDesc('seq')->firstOrFail();
    expect($entry->permit_id)->toBeNull()->and($entry->recorded_by)->toBe($this->by->id)
        ->and($entry->details())->toMatchArray(['machine' => 'second-drill', 'because' => 'entry', 'from' => 'bench-drill'])
        ->and($entry->details()['differs'])->toContain('speed_change', 'stop')->not->toContain('scale');
});

it('ends a turn within a second when what showed the machine is taken back', function (): void {
    $this->actingAs($this->by);
    ($this->show)($this->all)->assertCreated();
    $read = ($this->hold)()->assertJsonPath('interlock', 'on')->json('id');
    $entry = LedgerEntry::query()->where('type', 'familiarised')->orderByDesc('seq')->firstOrFail();
    app(CorrectEntry::class)($entry, $this->by, 'It was another learner', '2468');
    expect(screen($this, $this->elsewhere)->json())->toMatchArray(['interlock' => 'off'])
        ->and(screen($this, $this->elsewhere)->json('ended.reasons'))->toBe(['not_familiar', 'supervisor_absent']);
});

it('takes no entry for oneself, by somebody who may not, half shown, or of another machine than one may sign for', function (): void {
    $this->actingAs($this->by);
    ($this->show)(['stop', 'isolator'])->assertConflict()->assertJsonPath('code', 'not_all_shown');
    ($this->show)(['engine'])->assertUnprocessable();
    ($this->show)($this->all, learner: $this->by)->assertForbidden();
    $this->actingAs($this->instructor(signs: false));
    ($this->show)($this->all)->assertForbidden()->assertJsonPath('code', 'not_authorised');
    // Authorised for the permit, but at the first machine only.
    $narrow = $this->instructor();
    Authorisation::query()->where('user_id', $narrow->id)->update(['machines' => [$this->machine->id]]);
    $this->actingAs($narrow);
    ($this->show)($this->all)->assertForbidden()->assertJsonPath('code', 'not_authorised');
    // Whose group is not theirs.
    $this->actingAs($this->learner);
    ($this->show)($this->all)->assertForbidden();
    expect(LedgerEntry::query()->where('type', 'familiarised')->where('learner_id', $this->learner->id)->get()
        ->filter(fn (LedgerEntry $one): bool => $one->details()['machine'] === 'second-drill'))->toBeEmpty();
});

it('writes one line for one entry that is sent twice, and none for somebody else under the same id', function (): void {
    $this->actingAs($this->by);
    $first = ($this->show)($this->all, $id = fake_uuid())->assertCreated()->json();
    expect(($this->show)($this->all, $id)->assertCreated()->json())->toBe($first)
        // Sent again after what they know has changed: still the same line.
        ->and(($this->show)($this->all)->assertCreated()->json('id'))->not->toBe($id)
        ->and(($this->show)($this->all, $id)->assertCreated()->json())->toBe($first);
    bring($stranger = $this->person(), 5, $this->by);
    ($this->show)($this->all, $id, $stranger)->assertConflict()->assertJsonPath('code', 'id_used');
});

it('ends what they know, with grace, when the machine becomes another one', function (array $changed, bool $wordingOnly, bool $ends): void {
    $this->freezeTime();
    $this->actingAs($this->by);
    ($this->show)($this->all)->assertCreated();
    $this->travel(1)->days();
    ($this->save)($changed, $wordingOnly);
    ($this->hold)()->assertJsonPath('decision', 'alone');
    $this->travel(13)->days();
    ($this->hold)()->assertJsonPath('decision', 'alone');
    $this->travel(2)->days();
    ($this->hold)()->assertJsonPath('decision', $ends ? 'no' : 'alone');
    $this->actingAs($this->by);
    $known = collect($this->getJson("/api/competency/learners/{$this->learner->id}/machines")->assertOk()->json())
        ->firstWhere('machine', 'second-drill');
    expect($known['knows']['stands'])->toBe(! $ends)->and($known['knows']['changed'])->toBe($ends ? array_keys($changed) : []);
    ($this->show)($this->all)->assertCreated();
    ($this->hold)()->assertJsonPath('decision', 'alone');
})->with([
    'another stop' => [['stop' => 'Kick bar along the foot'], false, true],
    'a brake that nobody had written down' => [['brake' => 'Electric, at once'], false, false],
    'only said better' => [['stop' => 'Red button, on the right, at knee height'], true, false],
    'a new name' => [['name' => 'Drill press by the window'], false, false],
    'capitals' => [['stop' => 'RED  button, on the right'], false, false],
]);

it('is not told that only the wording changed where speed or scale did: those are no words', function (): void {
    $this->policy(['familiar_grace_days' => 0]);
    $this->actingAs($this->by);
    ($this->show)($this->all)->assertCreated();
    ($this->save)(['speed_change' => 'stopped_and_isolated'], wordingOnly: true);
    ($this->hold)()->assertJson(['decision' => 'no', 'reasons' => ['not_familiar', 'supervisor_absent']]);
});

it('starts a shop in which somebody is forgotten who used a machine', function (): void {
    $gone = $this->person();
    app(RecordEntry::class)($gone, $this->permit(), 'machine_time', ['minutes' => 20, 'machine' => 'second-drill'], $gone);
    $gone->update(['active' => false]);
    app(App\People\Pin::class)->change($lead = $this->person(App\People\Role::Lead), '1357');
    app(App\People\ForgetPerson::class)($gone->refresh(), $lead, '1357');
    DB::table('competency_used_before')->delete();
    $this->artisan(KeepUsedBefore::class)->assertSuccessful();
    expect(LedgerEntry::query()->where('type', 'familiarised')->where('learner_id', $gone->id)->count())->toBe(0)
        ->and(DB::table('competency_used_before')->count())->toBe(1);
});

it('takes the grace from the policy in force, and at 0 ends at once', function (): void {
    $this->actingAs($this->by);
    ($this->show)($this->all)->assertCreated();
    $this->policy(['familiar_grace_days' => 0]);
    ($this->save)(['isolator' => 'Behind the door']);
    ($this->hold)()->assertJson(['decision' => 'no', 'reasons' => ['not_familiar', 'supervisor_absent']]);
});

it('counts at the upgrade, once, what was used in the year before and nothing else', function (): void {
    $record = app(RecordEntry::class);
    $this->freezeTime();
    $time = function (App\People\User $who, string $ago, array $with = []) use ($record): LedgerEntry {
        $at = now()->toImmutable();

        return $record($who, $this->permit(), 'machine_time', [
            'minutes' => 20, 'machine' => 'second-drill', ...$with,
        ], $who, $at->sub($ago));
    };
    [$used, $long, $abandoned, $taken, $elsewhere] = array_map(fn () => $this->person(), range(1, 5));
    $time($used, '364 days');
    $time($used, '3 days');
    $time($long, '370 days');
    $time($abandoned, '3 days', ['confirmed' => false]);
    $record($taken, $this->permit(), 'corrected', ['entry' => $time($taken, '3 days')->id, 'reason' => 'Another badge'], $this->by);
    $time($elsewhere, '3 days', ['machine' => 'sold-long-ago']);
    $counted = fn () => LedgerEntry::query()->where('type', 'familiarised')->whereIn('learner_id',
        [$used->id, $long->id, $abandoned->id, $taken->id, $elsewhere->id])->get();
    DB::table('competency_used_before')->delete();
    $this->artisan(KeepUsedBefore::class)->assertSuccessful();
    $this->artisan(KeepUsedBefore::class)->assertSuccessful();
    expect($counted())->toHaveCount(1)->and($counted()[0]->learner_id)->toBe($used->id)
        ->and($counted()[0]->details())->toMatchArray(['machine' => 'second-drill', 'because' => 'used_before']);
    // What was used afterwards is no longer a ground.
    $time($long, '0 days');
    $this->artisan(KeepUsedBefore::class)->assertSuccessful();
    expect($counted())->toHaveCount(1);
});

it('asks at no marking-out table which one it is', function (): void {
    $table = Machine::query()->create(['slug' => 'table', 'name' => 'Table', 'kind' => 'bench', 'in_service' => true])->refresh();
    $this->permit()->machines()->attach($table);
    $token = app(App\Gate\PairDevice::class)($table, $this->by, 'Table reader');
    hold_badge($this, 'LEARNER', token: $token)->assertJsonPath('decision', 'alone');
});

it('shows a learner which machines they know and what is still to be shown, and nobody else\'s', function (): void {
    $mine = $this->actingAs($this->learner)->getJson("/api/competency/learners/{$this->learner->id}/machines")->assertOk()->json();
    expect(array_column($mine, 'may_show'))->each->toBeFalse()
        ->and(collect($mine)->firstWhere('machine', 'bench-drill')['knows']['because'])->toBe('used_before')
        ->and(collect($mine)->firstWhere('machine', 'second-drill'))->toMatchArray(['knows' => null, 'from' => $this->machine->name])
        ->and(collect(collect($mine)->firstWhere('machine', 'second-drill')['to_show'])->firstWhere('trait', 'stop'))
        ->toBe(['trait' => 'stop', 'differs' => true, 'here' => 'Red button, on the right', 'there' => $this->machine->stop]);
    $this->actingAs($this->person())->getJson("/api/competency/learners/{$this->learner->id}/machines")->assertForbidden();
    // Somebody at the beginning sees no list of what they may not use yet.
    $new = $this->person();
    expect($this->actingAs($new)->getJson("/api/competency/learners/{$new->id}/machines")->assertOk()->json())->toBe([]);
});

it('counts the machine of a passed sheet from that attempt on', function (): void {
    $other = $this->person();
    app(RecordEntry::class)($other, null, 'assessment_concluded', [
        'assessment' => 'PS-through-holes', 'outcome' => 'not_yet', 'machine' => 'second-drill',
    ], $this->by);
    expect(app(App\Competency\Familiar\MachinesKnown::class)->one($other, $this->other)->knows)->toBeNull();
    app(RecordEntry::class)($other, null, 'assessment_concluded', [
        'assessment' => 'PS-through-holes', 'outcome' => 'passed', 'machine' => 'second-drill',
    ], $this->by);
    expect(app(App\Competency\Familiar\MachinesKnown::class)->one($other, $this->other)->knows?->because)->toBe('sheet');
});
