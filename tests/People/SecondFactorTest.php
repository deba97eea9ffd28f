<?php

declare(strict_types=1);

use App\People\Role;
use App\People\Totp;
use App\People\User;
use App\Policy\Policy;
use App\Records\AuditLine;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $this->who = $this->person(Role::Instructor);
    $this->password = fn (string $password = 'mast-and-vane') => $this->postJson(
        '/api/people/session',
        ['email' => $this->who->email, 'password' => $password],
    );
    $this->code = fn (int $steps = 0): string => (new Totp)->code(
        $this->who->refresh()->totp_secret,
        Totp::stepAt(now()->getTimestamp()) + $steps,
    );
    /** @return list<string> */
    $this->setUp2 = function (): array {
        $this->actingAs($this->who->refresh())->postJson('/api/people/me/second-factor', ['password' => 'mast-and-vane'])->assertCreated();
        $codes = $this->putJson('/api/people/me/second-factor', ['code' => ($this->code)()])->assertOk()->json('recovery_codes');
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        $this->travel(60)->seconds();

        return $codes;
    };
    $this->give = fn (string $code): TestResponse => $this->postJson('/api/people/session/second-factor', ['code' => $code]);
});

it('is set up with the password and a code, and is asked for from then on', function (): void {
    $this->actingAs($this->who)->postJson('/api/people/me/second-factor', ['password' => 'wrong'])->assertUnprocessable();
    $made = $this->postJson('/api/people/me/second-factor', ['password' => 'mast-and-vane'])->assertCreated();
    expect($made->json('square'))->toStartWith('data:image/svg+xml;base64,')
        ->and($this->who->refresh()->totp_confirmed_at)->toBeNull();
    $this->putJson('/api/people/me/second-factor', ['code' => '000000'])->assertUnprocessable();
    expect(
        $this->putJson('/api/people/me/second-factor', ['code' => ($this->code)()])->assertOk()->json('recovery_codes'),
    )->toHaveCount(10);
    $this->postJson('/api/people/me/second-factor', ['password' => 'mast-and-vane'])
        ->assertConflict()
        ->assertJsonPath('code', 'second_factor_on');
    // Neither the secret nor a code stands anywhere in clear.
    $row = (array) DB::table('people_users')->find($this->who->id);
    expect($row['totp_secret'])->not->toContain($made->json('secret'))
        ->and(AuditLine::query()->latest('id')->get()->toJson())->not->toContain($row['totp_secret']);
});

it('lets nobody in on the password alone', function (): void {
    ($this->setUp2)();
    ($this->password)()->assertStatus(202)->assertExactJson(['second_factor' => true]);
    $this->getJson('/api/people/me')->assertJsonPath('person', null);
    ($this->give)('123')->assertUnprocessable();
    $this->getJson('/api/records/today')->assertUnauthorized();
    ($this->give)(($this->code)())->assertOk()->assertJsonPath('id', $this->who->id)->assertJsonPath('second_factor', 'on');
    $this->getJson('/api/people/me')->assertJsonPath('person.id', $this->who->id);
});

it('takes each code once, also a recovery code', function (): void {
    $codes = ($this->setUp2)();
    $code = ($this->code)();
    foreach ([$code => $code, $codes[0] => $codes[0]] as $each) {
        ($this->password)()->assertStatus(202);
        ($this->give)(strtoupper((string) $each))->assertOk();
        $this->deleteJson('/api/people/session')->assertNoContent();
        ($this->password)()->assertStatus(202);
        ($this->give)((string) $each)->assertUnprocessable();
        $this->flushSession();
        $this->app['auth']->forgetGuards();
    }
    expect(App\People\SecondFactor::recoveryCodesLeft($this->who))->toBe(9);
});

it('looks at five codes, then waits, whatever comes', function (): void {
    ($this->setUp2)();
    ($this->password)()->assertStatus(202);
    for ($i = 0; $i < 5; $i++) {
        ($this->give)('000000')->assertUnprocessable();
    }
    ($this->give)(($this->code)())->assertTooManyRequests()->assertJsonPath('code', 'second_factor_locked');
});

it('asks nobody who was not asked, and not for longer than five minutes', function (): void {
    ($this->setUp2)();
    ($this->give)(($this->code)())->assertConflict()->assertJsonPath('code', 'sign_in_again');
    ($this->password)()->assertStatus(202);
    $this->travel(301)->seconds();
    ($this->give)(($this->code)())->assertConflict();
});

it('is the way in for no one who was deactivated meanwhile', function (): void {
    ($this->setUp2)();
    ($this->password)()->assertStatus(202);
    User::query()->whereKey($this->who->id)->update(['active' => false]);
    ($this->give)(($this->code)())->assertConflict();
});

it('comes first where the policy requires it, for whoever teaches', function (): void {
    Policy::query()->create([
        'settings' => [...Policy::settingsInForce(), 'second_factor_required' => true],
        'in_force_from' => now()->subMinute(),
    ]);
    $this->actingAs($this->who)->getJson('/api/people/me')->assertJsonPath('person.second_factor', 'wanted');
    $this->getJson('/api/records/today')->assertForbidden()->assertJsonPath('code', 'second_factor_wanted');
    $this->actingAs($this->person())->getJson('/api/planning/plans')->assertOk();
    ($this->setUp2)();
    $this->actingAs($this->who->refresh())->getJson('/api/records/today')->assertOk();
    $this->deleteJson('/api/people/me/second-factor', ['password' => 'mast-and-vane'])
        ->assertConflict()
        ->assertJsonPath('code', 'second_factor_required');
});

it('is turned off with the password, or taken away by the lead alone', function (): void {
    ($this->setUp2)();
    $url = "/api/people/everybody/{$this->who->id}/second-factor";
    $this->actingAs($this->instructor())->deleteJson($url)->assertForbidden();
    $lead = $this->person(Role::Lead);
    $this->actingAs($lead)
        ->deleteJson("/api/people/everybody/{$lead->id}/second-factor")
        ->assertForbidden()
        ->assertJsonPath('code', 'own_account');
    $this->deleteJson($url)->assertOk()->assertJsonPath('second_factor', false);
    $this->app['auth']->forgetGuards();
    $this->flushSession();
    ($this->password)()->assertOk();
    ($this->setUp2)();
    $this->actingAs($this->who->refresh())->deleteJson('/api/people/me/second-factor', ['password' => 'wrong'])->assertUnprocessable();
    $this->deleteJson('/api/people/me/second-factor', ['password' => 'mast-and-vane'])->assertNoContent();
    expect($this->who->refresh()->totp_secret)->toBeNull();
});

it('is the way in for no one whose password was changed meanwhile', function (): void {
    ($this->setUp2)();
    ($this->password)()->assertStatus(202);
    $this->who->refresh()->forceFill(['password' => 'kestrel over slate'])->save();
    ($this->give)(($this->code)())->assertConflict()->assertJsonPath('code', 'sign_in_again');
});
