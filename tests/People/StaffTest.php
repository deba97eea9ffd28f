<?php

declare(strict_types=1);

use App\Gate\Badge;
use App\People\Cohort;
use App\People\FirstLead;
use App\People\Letter;
use App\People\Role;
use App\People\User;
use Illuminate\Support\Facades\DB;

beforeEach(function (): void {
    $this->lead = $this->person(Role::Lead);
    $this->actingAs($this->lead);
    $this->given = ['name' => 'Alba Ferncliff', 'email' => 'alba@millstep.example', 'role' => 'learner', 'language' => 'es'];
});

/** The link in the last letter: what stands behind its #. */
function invited(string $email): array
{
    preg_match('/#(\S+?)["\s)\]]/', Letter::query()->where('recipient', $email)->latest('id')->firstOrFail()->body, $found);
    parse_str(html_entity_decode($found[1]), $link);

    return $link;
}

it('is the lead who adds people, and nobody else', function (Role $role): void {
    $this->actingAs($this->person($role));
    $this->postJson('/api/people/everybody', $this->given)->assertForbidden();
    $this->putJson("/api/people/everybody/{$this->lead->id}", $this->given)->assertForbidden();
    $this->postJson("/api/people/everybody/{$this->lead->id}/invitation")->assertForbidden();
    $this->putJson("/api/people/everybody/{$this->lead->id}/badge", ['code' => 'ABCD-1'])->assertForbidden();
    $this->postJson('/api/people/class-list', ['files' => ['a.csv' => "name,mail\n"]])->assertForbidden();
    $this->getJson('/api/people/class-list')->assertForbidden();
    $this->postJson('/api/people/cohorts', ['name' => 'X', 'starts_on' => '2026-01-01'])->assertForbidden();
})->with([Role::Learner, Role::Instructor, Role::Auditor]);

it('adds somebody, who sets a password with the link of the invitation, once', function (): void {
    $cohort = Cohort::query()->create(['name' => 'Evening', 'starts_on' => now()]);
    $this->postJson('/api/people/everybody', [...$this->given, 'cohorts' => [$cohort->id], 'invite' => true])
        ->assertCreated()->assertJson(['joined' => false, 'cohorts' => [['name' => 'Evening']], 'badge' => false]);
    $this->postJson('/api/people/everybody', $this->given)->assertUnprocessable()->assertJsonValidationErrors('email');
    $link = invited('alba@millstep.example');
    $set = fn (array $with = []) => $this->putJson('/api/people/password-reset', [
        ...$link, 'password' => 'ladder sparrow tin', 'password_confirmation' => 'ladder sparrow tin', ...$with,
    ]);
    // As the letter of a forgotten password it opens nothing.
    $set(['invited' => 0])->assertUnprocessable();
    $set()->assertNoContent();
    $set()->assertUnprocessable();
    expect(User::query()->where('email', 'alba@millstep.example')->first()->joined_at)->not->toBeNull();
});

it('lets an invitation go stale after its days, and a new one makes the old worthless', function (): void {
    $id = $this->postJson('/api/people/everybody', [...$this->given, 'invite' => true])->json('id');
    $first = invited('alba@millstep.example');
    $this->postJson("/api/people/everybody/$id/invitation")->assertOk();
    $set = fn (array $link) => $this->putJson('/api/people/password-reset', [
        ...$link, 'password' => 'ladder sparrow tin', 'password_confirmation' => 'ladder sparrow tin',
    ]);
    $set($first)->assertUnprocessable();
    $this->travel(8)->days();
    $set(invited('alba@millstep.example'))->assertUnprocessable();
});

it('does not let anybody change their own role, nor make an instructor of whoever has a record', function (): void {
    $as = fn (User $person, string $role): array => ['name' => $person->name, 'email' => $person->email, 'role' => $role];
    $this->putJson("/api/people/everybody/{$this->lead->id}", $as($this->lead, 'auditor'))->assertForbidden()
        ->assertJsonPath('code', 'own_role');
    $learner = $this->person();
    bring($learner, 1, $this->instructor());
    $this->putJson("/api/people/everybody/$learner->id", $as($learner, 'instructor'))->assertConflict()
        ->assertJsonPath('code', 'has_a_record');
    $fresh = $this->person();
    $this->putJson("/api/people/everybody/$fresh->id", $as($fresh, 'instructor'))->assertOk()->assertJsonPath('role', 'instructor');
});

it('takes the right to sign away with the role', function (): void {
    $instructor = $this->instructor();
    $this->putJson("/api/people/everybody/$instructor->id", [
        'name' => $instructor->name, 'email' => $instructor->email, 'role' => 'auditor',
    ])->assertOk()->assertJsonPath('signs_for', []);
    expect(DB::table('competency_authorisations')->where('user_id', $instructor->id)->count())->toBe(0);
});

it('hands out one badge that works; a lost one works for nobody any more, and ends a turn', function (): void {
    $learner = $this->person();
    $put = fn (string $code, ?User $to = null) => $this
        ->putJson('/api/people/everybody/'.($to ?? $learner)->id.'/badge', ['code' => $code]);
    $put('0042-77')->assertOk()->assertJsonPath('badge', true);
    $put('0042-77')->assertOk();
    expect(Badge::query()->where('user_id', $learner->id)->count())->toBe(1);
    $put('0042-78')->assertOk();
    expect(Badge::query()->where('user_id', $learner->id)->where('active', true)->count())->toBe(1);
    // The replaced one may lie anywhere.
    $put('0042-77')->assertConflict()->assertJsonPath('code', 'badge_taken');
    $this->deleteJson("/api/people/everybody/$learner->id/badge", ['because' => 'lost'])->assertOk()->assertJsonPath('badge', false);
    $put('0042-78')->assertConflict();
    $put('0042-78', $this->person())->assertConflict();
    $put('0042-79')->assertOk();
    $this->deleteJson("/api/people/everybody/$learner->id/badge", ['because' => 'returned'])->assertOk();
    $put('0042-79')->assertOk()->assertJsonPath('badge', true);
    // Given back, it is next year's learner's.
    $this->deleteJson("/api/people/everybody/$learner->id/badge", ['because' => 'returned'])->assertOk();
    $next = $this->person();
    $put('0042-79', $next)->assertOk()->assertJsonPath('badge', true);
    expect(Badge::query()->where('user_id', $learner->id)->where('active', true)->count())->toBe(0);
    expect(json_encode(DB::table('gate_badges')->get()))->not->toContain('0042');
});

it('begins a class once, and moves its term', function (): void {
    $id = $this->postJson('/api/people/cohorts', ['name' => 'Spring', 'starts_on' => '2027-01-11', 'ends_on' => '2027-05-28'])
        ->assertCreated()->json('id');
    $this->postJson('/api/people/cohorts', ['name' => 'Spring', 'starts_on' => '2027-01-11'])->assertJsonValidationErrors('name');
    $this->putJson("/api/people/cohorts/$id", ['name' => 'Spring', 'starts_on' => '2027-01-11', 'ends_on' => '2026-01-01'])
        ->assertJsonValidationErrors('ends_on');
    $this->putJson("/api/people/cohorts/$id", ['name' => 'Spring term', 'starts_on' => '2027-01-11'])->assertOk();
    $this->getJson('/api/people/cohorts')->assertOk()->assertJsonPath('0.name', 'Spring term');
});

it('makes the first lead with the code of the start, once, and never where there is one', function (): void {
    $account = ['name' => 'Ines Marlowe', 'email' => 'ines@millstep.example', 'password' => 'ladder sparrow tin', 'language' => 'es',
        'units' => 'mm'];
    auth()->guard('web')->logout();
    expect(app(FirstLead::class)->code())->toBeNull();
    $this->postJson('/api/people/first-lead', [...$account, 'code' => 'ABCDE-ABCDE-ABCDE-ABCDE'])->assertConflict();
    $this->getJson('/api/people/me')->assertJsonPath('first_run', false);

    DB::table('people_users')->where('id', $this->lead->id)->delete();
    $this->getJson('/api/people/me')->assertJsonPath('first_run', true);
    $first = app(FirstLead::class)->code();
    $code = app(FirstLead::class)->code();
    expect(json_encode(DB::table('people_first_codes')->get()))->not->toContain($code);
    $this->postJson('/api/people/first-lead', [...$account, 'code' => $first])->assertForbidden()
        ->assertJsonPath('code', 'first_code_wrong');
    $this->postJson('/api/people/first-lead', [...$account, 'code' => $code, 'password' => 'short'])
        ->assertJsonValidationErrors('password');
    $this->postJson('/api/people/first-lead', [...$account, 'code' => mb_strtolower(" $code ")])
        ->assertCreated()->assertJson(['role' => 'lead', 'language' => 'es']);
    auth()->guard('web')->logout();
    $this->postJson('/api/people/first-lead', [...$account, 'email' => 'late@millstep.example', 'code' => $code])->assertConflict();
    expect(User::query()->where('role', Role::Lead)->count())->toBe(1);
});

it('lets nobody in by an old letter once the address is somebody else\'s', function (): void {
    $first = $this->postJson('/api/people/everybody', [...$this->given, 'invite' => true])->json('id');
    $link = invited('alba@millstep.example');
    $this->putJson("/api/people/everybody/$first", [...$this->given, 'email' => 'elsewhere@millstep.example'])->assertOk();
    $this->postJson('/api/people/everybody', [...$this->given, 'name' => 'Other Person'])->assertCreated();
    $this->putJson('/api/people/password-reset', [
        ...$link, 'password' => 'ladder sparrow tin', 'password_confirmation' => 'ladder sparrow tin',
    ])->assertUnprocessable();
});

it('gives nobody a link into the account of whoever has joined', function (): void {
    $joined = $this->person(Role::Instructor, ['joined_at' => now()]);
    $this->postJson("/api/people/everybody/$joined->id/invitation")->assertConflict()->assertJsonPath('code', 'has_joined');
    expect(Letter::query()->count())->toBe(0);
});

it('is not changed by a lead who was one a moment ago', function (): void {
    $other = $this->person(Role::Lead);
    // Both press at once: the second still holds what was true when it was let in.
    User::query()->whereKey($this->lead->id)->update(['role' => 'instructor']);
    $as = ['name' => $other->name, 'email' => $other->email, 'role' => 'instructor'];
    expect(fn () => app(App\People\SavePerson::class)($other, $as, $this->lead))->toThrow(App\Support\Refusal::class)
        ->and(fn () => app(App\People\ChangeActive::class)($other, false, $this->lead))->toThrow(App\Support\Refusal::class)
        ->and($other->refresh()->leads())->toBeTrue();
});

it('knows an address however its letters are written', function (): void {
    $this->postJson('/api/people/everybody', [...$this->given, 'email' => ' Alba@MillStep.example', 'invite' => true])->assertCreated();
    $this->postJson('/api/people/everybody', $this->given)->assertJsonValidationErrors('email');
    $this->putJson('/api/people/password-reset', [
        ...invited('alba@millstep.example'), 'email' => 'Alba@millstep.example',
        'password' => 'ladder sparrow tin', 'password_confirmation' => 'ladder sparrow tin',
    ])->assertNoContent();
    auth()->guard('web')->logout();
    $this->postJson('/api/people/session', ['email' => 'ALBA@millstep.example', 'password' => 'ladder sparrow tin'])->assertOk();
});

it('says so when two enter the same at once', function (): void {
    $twin = ['name' => 'Twin', 'email' => $this->lead->email, 'password' => 'x', 'role' => Role::Learner];
    try {
        DB::transaction(fn () => User::query()->create($twin));
    } catch (Throwable $fault) {
        $problem = App\Http\Problem::of($fault, Illuminate\Http\Request::create('/api/people/everybody'));
    }
    expect($problem->getStatusCode())->toBe(409)->and($problem->getData(true)['code'])->toBe('same_at_once');
});
