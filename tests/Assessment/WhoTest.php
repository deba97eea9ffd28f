<?php

declare(strict_types=1);

use App\Assessment\Second\Review;
use App\Assessment\SheetAttempt;
use App\Assessment\Who\AssessmentException;
use App\Competency\Authorisation;
use App\Competency\Authorise;
use App\Competency\LedgerEntry;
use App\Competency\Permit;
use App\People\Role;

require_once __DIR__.'/marks.php';

/** Who may assess whom, and who has looked besides. */
beforeEach(function (): void {
    $this->freezeTime();
    $this->by = $this->instructor();
    $this->learner = $this->person();
    $this->open = fn (string $sheet = 'PS-through-holes') => $this->postJson('/api/assessment/attempts', [
        'id' => fake_uuid(), 'sheet' => $sheet, 'learner_id' => $this->learner->id,
    ]);
    $this->allow = fn (string $kind = 'other', string $words = 'Shown on the floor drill last week', ?string $id = null) => $this->postJson(
        '/api/assessment/exceptions',
        ['id' => $id ?? fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $this->learner->id, 'kind' => $kind, 'words' => $words],
    );
    $this->begin = function (): string {
        bring($this->learner, 3, $this->by);

        return $this->attempt = $this->actingAs($this->by)->postJson('/api/assessment/attempts', [
            'id' => fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $this->learner->id,
        ])->assertCreated()->json('id');
    };
    $this->conclude = fn () => $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion");
    $this->lot = fn (int $every) => $this->policy(['second_view_every' => $every]);
});

it('opens no sheet before supervised practice is done', function (int $stage): void {
    bring($this->learner, $stage, $this->by);
    $this->actingAs($this->by);
    ($this->open)()->assertConflict()->assertJsonPath('code', 'not_piloted');
    expect(SheetAttempt::query()->count())->toBe(0);
})->with([0, 1, 2]);

it('lets nobody assess who is not authorised: neither open, mark, conclude, put away, nor look at an appeal', function (): void {
    ($this->begin)();
    $this->actingAs($nobody = $this->instructor(signs: false));
    ($this->open)()->assertForbidden()->assertJsonPath('code', 'not_authorised');
    put($this, 'eyes', ['result' => 'met'])->assertForbidden()->assertJsonPath('code', 'not_authorised');
    $this->postJson("/api/assessment/attempts/{$this->attempt}/cancellation", ['because' => 'opened_by_mistake'])->assertForbidden();
    $this->actingAs($this->by);
    fillSheet($this);
    $this->actingAs($nobody);
    ($this->conclude)()->assertForbidden()->assertJsonPath('code', 'not_authorised');
    $this->actingAs($this->by);
    ($this->conclude)()->assertOk();
    $this->actingAs($this->learner)->postJson("/api/assessment/attempts/{$this->attempt}/appeal", ['id' => fake_uuid(), 'words' => 'Look'])
        ->assertOk();
    $this->actingAs($nobody)->postJson("/api/assessment/attempts/{$this->attempt}/appeal/answer", [
        'id' => fake_uuid(), 'answer' => 'stands', 'words' => 'It stands',
    ])->assertForbidden()->assertJsonPath('code', 'not_authorised');
});

it('ends with the authorisation, also in the middle of a sheet, but a stop is concluded all the same', function (): void {
    ($this->begin)();
    put($this, 'key', ['result' => 'not_met'])->assertOk();
    Authorisation::query()->where('user_id', $this->by->id)->update(['valid_until' => now()->subDay()]);
    ($this->open)()->assertForbidden();
    $this->travel(3)->minutes();
    $this->artisan('assessment:conclude-stopped')->assertSuccessful();
    expect(SheetAttempt::query()->sole()->outcome)->toBe('stopped');
});

it('lets a learner try once by an exception that somebody else has granted', function (): void {
    $this->actingAs($this->by);
    ($this->allow)(words: 'short')->assertConflict()->assertJsonPath('code', 'why_exception');
    $id = fake_uuid();
    ($this->allow)(id: $id)->assertCreated();
    ($this->allow)(id: $id)->assertCreated();
    ($this->allow)()->assertConflict()->assertJsonPath('code', 'excepted_already');
    ($this->open)()->assertConflict()->assertJsonPath('code', 'not_piloted');
    $this->actingAs($this->instructor(signs: false));
    ($this->open)()->assertForbidden();
    $this->actingAs($this->instructor());
    $this->attempt = ($this->open)()->assertCreated()->json('id');
    expect(AssessmentException::query()->sole()->attempt_id)->toBe($this->attempt);
    $this->postJson("/api/assessment/attempts/{$this->attempt}/cancellation", ['because' => 'opened_by_mistake'])->assertOk();
    ($this->open)()->assertConflict()->assertJsonPath('code', 'not_piloted');
    expect(LedgerEntry::query()->where('type', 'exception_granted')->sole()->recorded_by)->toBe($this->by->id);
});

it('knows kinds of exceptions: a transfer is prior learning, too, and a repeat was passed here before', function (): void {
    $this->actingAs($this->by);
    ($this->allow)('repeat')->assertConflict()->assertJsonPath('code', 'nothing_to_repeat');
    ($this->allow)('favour')->assertUnprocessable();
    ($this->allow)('transfer', 'Certificate of 2029, works college')->assertCreated();
    expect(LedgerEntry::query()->where('type', 'prior_learning')->count())->toBe(1);
    foreach ([$this->learner, $this->person(Role::Auditor)] as $nobody) {
        $this->actingAs($nobody);
        ($this->allow)()->assertForbidden();
    }
    $this->actingAs($this->instructor(signs: false));
    ($this->allow)()->assertForbidden()->assertJsonPath('code', 'not_authorised');
});

it('writes down who is authorised, by whom, on what ground, until when, and when that ends', function (): void {
    $lead = $this->person(Role::Lead);
    $new = $this->instructor(signs: false);
    $given = fn (array $signers, array $more = []): array => [
        'name' => $this->permit()->name, 'requirement' => $this->permit()->requirement,
        'scope' => ['materials' => ['mild_steel'], 'operations' => ['drill'], 'max_diameter' => '10'], 'validity_days' => 365,
        'statement' => $this->permit()->statementInForce()->body, 'machines' => $this->permit()->machines->modelKeys(),
        'signers' => $signers, ...$more,
    ];
    $path = '/api/competency/permits/drill-through-10';
    $this->actingAs($lead)->putJson($path, $given([$this->by->id, $new->id]))->assertOk()
        ->assertJsonPath('permit', null)->assertJsonPath('faults', fn (array $faults): bool => isset($faults['authorising.ground']));
    $this->putJson($path, $given([$this->by->id, $new->id], ['authorising' => [
        'ground' => 'Assessor course 2030, two sheets watched', 'until' => now()->addYear()->toDateString(),
    ]]))->assertOk()->assertJsonPath('permit.authorisations', fn (array $all): bool => collect($all)
        ->firstWhere('person_id', $new->id)['ground'] === 'Assessor course 2030, two sheets watched');
    $entry = LedgerEntry::query()->where('type', 'authorised')->sole();
    expect($entry)->learner_id->toBe($new->id)->recorded_by->toBe($lead->id)
        ->and($this->permit()->isSignedBy($new))->toBeTrue();
    $this->travel(366)->days();
    expect($this->permit()->isSignedBy($new))->toBeFalse();
    $this->travelBack();
    $this->putJson($path, $given([$this->by->id]))->assertOk();
    expect(LedgerEntry::query()->where('type', 'authorisation_ended')->sole()->learner_id)->toBe($new->id)
        ->and(Authorisation::of($new, Permit::query()->get()))->toBe([]);
});

it('is authorised at the machines that are named, and not where none is', function (): void {
    $machines = App\Workshop\Machine::query()->where('kind', 'bench_drill_press')->get();
    $here = $machines->first() ?? throw new LogicException('no press');
    $there = $here->replicate()->fill(['slug' => 'another-press', 'name' => 'Another press']);
    $there->save();
    bring($this->learner, 3, $this->by);
    $only = $this->instructor(signs: false);
    app(Authorise::class)->give($this->permit(), $only, $this->person(Role::Lead), [
        'ground' => 'Assessor course', 'machines' => [$here->id],
    ]);
    $open = fn (?string $machine) => $this->actingAs($only)->postJson('/api/assessment/attempts', [
        'id' => fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $this->learner->id, 'machine' => $machine,
    ]);
    $open(null)->assertConflict()->assertJsonPath('code', 'which_machine');
    $open('another-press')->assertForbidden()->assertJsonPath('code', 'not_authorised');
    $this->attempt = $open($here->slug)->assertCreated()->json('id');
    put($this, 'eyes', ['result' => 'met'])->assertOk();
});

it('ends every authorisation with the role', function (): void {
    $lead = $this->person(Role::Lead);
    app(Authorise::class)->give($this->permit(), $new = $this->instructor(signs: false), $lead, ['ground' => 'Assessor course']);
    $this->actingAs($lead)->patchJson("/api/people/everybody/{$new->id}", ['active' => true]);
    $this->putJson("/api/people/everybody/{$new->id}", [
        'name' => $new->name, 'email' => $new->email, 'role' => 'auditor', 'cohorts' => [],
    ])->assertOk();
    expect(Authorisation::query()->where('user_id', $new->id)->count())->toBe(0)
        ->and(LedgerEntry::query()->where('type', 'authorisation_ended')->sole()->recorded_by)->toBe($lead->id);
});

it('draws a second view by lot when a sheet is opened, and the signature says that it is open', function (): void {
    ($this->lot)(1);
    ($this->begin)();
    fillSheet($this);
    ($this->conclude)()->assertOk()->assertJsonPath('second_open', true);
    $statement = fn () => $this->getJson("/api/competency/learners/{$this->learner->id}/permits/drill-through-10/sign-off")->assertOk();
    expect($statement()->json('rests_on.sheets.0.second_open'))->toBeTrue()
        ->and($statement()->json('rests_on.one_alone'))->toBe($this->by->name);
    // Whoever may not assess may watch; the view is another's.
    $watcher = $this->instructor(signs: false);
    $second = "/api/assessment/attempts/{$this->attempt}/second";
    $this->actingAs($watcher)->putJson($second)->assertOk();
    $this->postJson($second, ['agrees' => true])->assertOk()->assertJsonPath('second_open', true);
});

it('is content with a second instructor who may assess', function (): void {
    ($this->lot)(1);
    ($this->begin)();
    $second = "/api/assessment/attempts/{$this->attempt}/second";
    $this->actingAs($other = $this->instructor())->putJson($second)->assertOk();
    $this->actingAs($this->by);
    fillSheet($this);
    ($this->conclude)()->assertOk();
    $this->actingAs($other)->postJson($second, ['agrees' => true])->assertOk()->assertJsonPath('second_open', false);
    $this->actingAs($this->by);
    expect($this->getJson("/api/competency/learners/{$this->learner->id}/permits/drill-through-10/sign-off")->json('rests_on'))
        ->sheets->toHaveCount(1)->one_alone->toBeNull()
        ->and(LedgerEntry::query()->where('type', 'second_viewed')->sole()->recorded_by)->toBe($other->id);
});

it('asks no lot where the shop wants none', function (): void {
    ($this->lot)(0);
    ($this->begin)();
    expect(SheetAttempt::query()->sole()->second_wanted)->toBeFalse();
});

it('shows one sheet to an invited reviewer, for fourteen days, without a name, and takes one answer', function (): void {
    ($this->lot)(1);
    ($this->begin)();
    $invite = fn () => $this->postJson("/api/assessment/attempts/{$this->attempt}/reviews", ['name' => 'Workshop two']);
    $invite()->assertConflict()->assertJsonPath('code', 'not_concluded');
    fillSheet($this);
    ($this->conclude)()->assertOk();
    $this->actingAs($this->instructor(signs: false));
    $invite()->assertForbidden();
    $this->postJson("/api/assessment/attempts/{$this->attempt}/notes", [
        'id' => fake_uuid(), 'criterion' => 'eyes', 'text' => "{$this->learner->name} wore their own",
        'made_at' => now()->toIso8601String(),
    ]);
    // Whoever assessed does not choose who looks at it.
    $this->actingAs($this->by);
    $invite()->assertForbidden()->assertJsonPath('code', 'not_another');
    $this->actingAs($this->instructor());
    $old = explode('#', $invite()->assertCreated()->json('link'))[1];
    $token = explode('#', $invite()->assertCreated()->json('link'))[1];
    expect(Review::query()->where('token_hash', $token)->exists())->toBeFalse();
    Illuminate\Support\Facades\Auth::logout();
    $look = fn (string $token) => $this->postJson('/api/assessment/review', ['token' => $token]);
    $look($old)->assertNotFound();
    $look('nonsense')->assertNotFound();
    $shown = $look($token)->assertOk()->assertJsonPath('outcome', 'passed');
    expect($shown->content())->not->toContain($this->learner->name)->not->toContain($this->by->name);
    $say = fn (bool $agrees, ?string $says = null) => $this->putJson('/api/assessment/review', [
        'token' => $token, 'agrees' => $agrees, 'says' => $says,
    ]);
    $say(false)->assertConflict()->assertJsonPath('code', 'why_disagree');
    $say(false, 'The burr is seen in the photograph')->assertOk();
    $say(false, 'The burr is seen in the photograph')->assertOk();
    $say(true)->assertConflict()->assertJsonPath('code', 'answered_already');
    $this->travel(15)->days();
    $look($token)->assertNotFound();
    $this->actingAs($this->by)->getJson("/api/assessment/attempts/{$this->attempt}")
        ->assertJsonPath('second_open', false)->assertJsonPath('reviews.1.agrees', false);
    $this->actingAs($this->person(Role::Lead));
    $invite()->assertConflict()->assertJsonPath('code', 'viewed_already');
});

it('says on what ground whoever assessed may', function (): void {
    app(Authorise::class)->give($this->permit(), $this->by, $lead = $this->person(Role::Lead), ['ground' => 'Journeyman, twelve years']);
    ($this->begin)();
    fillSheet($this);
    ($this->conclude)()->assertOk()->assertJsonPath('assessor_may.ground', 'Journeyman, twelve years')
        ->assertJsonPath('assessor_may.by', $lead->name);
});
