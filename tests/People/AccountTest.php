<?php

declare(strict_types=1);

use App\People\GoodPassword;
use App\People\Letter;
use App\People\Role;
use App\Policy\Policy;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Password;

it('takes no password that is tried first', function (string $password): void {
    expect((new GoodPassword('Wren Adeyemi-Holt', 'wren@shop.example'))->fault($password)?->code)->toStartWith('fault.password.');
})->with([
    'short1!', '1234567890', '0987654321', 'qwertyuiop', 'aaaaaaaaaaaa', 'abcabcabcabc', 'password123', 'P@ssw0rd2026',
    'passwordpassword', 'Iloveyou2026!', 'Welcome12345', 'millstep2026', 'Adeyemi-2026', 'wrenwren12', '1q2w3e4r5t6y',
    'asdfghjkl123', 'abcdefghij', 'drillpress99', str_repeat('long-enough', 24),
]);

it('takes what is hard to guess', function (string $password): void {
    expect((new GoodPassword('Wren Adeyemi-Holt', 'wren@shop.example'))->fault($password))->toBeNull();
})->with([
    'mast-and-vane', 'tin roof, wet rope', 'kestrel over slate', 'Zv9#tR2-mQ', 'größer als die Wand',
    'wren sings at the quarry gate',
]);

it('ends every session at a reset of the password', function (): void {
    $who = $this->person(Role::Instructor);
    $elses = $this->person();
    foreach ([$who, $who, $elses] as $index => $of) {
        DB::table('people_sessions')->insert([
            'id' => "s$index",
            'user_id' => $of->id,
            'payload' => '',
            'last_activity' => now()->getTimestamp(),
        ]);
    }
    $reset = fn (string $password) => $this->putJson(
        '/api/people/password-reset',
        ['token' => Password::createToken($who), 'email' => $who->email, 'password' => $password, 'password_confirmation' => $password],
    );
    $reset('password123')->assertUnprocessable()->assertJsonValidationErrors('password');
    $reset(strtolower(explode(' ', $who->name)[0]).'1234567')->assertUnprocessable();
    expect(DB::table('people_sessions')->count())->toBe(3);
    $reset('kestrel over slate')->assertNoContent();
    expect(DB::table('people_sessions')->pluck('id')->all())->toBe(['s2']);
});

it('shows where one is signed in, and signs out there, of oneself alone', function (): void {
    $who = $this->person(Role::Instructor);
    $elses = $this->person();
    foreach ([[$who, 'a'], [$who, 'b'], [$elses, 'c']] as [$of, $id]) {
        DB::table('people_sessions')->insert([
            'id' => $id, 'user_id' => $of->id, 'ip_address' => '192.0.2.7', 'user_agent' => 'Tablet', 'payload' => '',
            'last_activity' => now()->getTimestamp(),
        ]);
    }
    $shown = $this->actingAs($who)->getJson('/api/people/me/sessions')->assertOk();
    expect($shown->json())->toHaveCount(2)->and($shown->json('0.browser'))->toBe('Tablet')
        // Whoever reads the list must not get in with it.
        ->and(array_column($shown->json(), 'id'))->not->toContain('a');
    $theirs = $this->actingAs($elses)->getJson('/api/people/me/sessions')->json('0.id');
    $this->actingAs($who)->deleteJson("/api/people/me/sessions/$theirs")->assertNoContent();
    $this->deleteJson('/api/people/me/sessions/'.$shown->json('0.id'))->assertNoContent();
    expect(DB::table('people_sessions')->count())->toBe(2);
    $this->deleteJson('/api/people/me/sessions/others')->assertNoContent();
    expect(DB::table('people_sessions')->pluck('id')->all())->toBe(['c']);
});

it('slows an address that tries many accounts, and no other address', function (): void {
    $who = $this->person();
    $hash = Hash::getFacadeRoot();
    // The slow sum for an account that is not there is the next test's.
    Hash::swap(Mockery::mock(Illuminate\Contracts\Hashing\Hasher::class, ['check' => false]));
    for ($i = 0; $i < 40; $i++) {
        $this->postJson('/api/people/session', ['email' => "nobody-$i@shop.example", 'password' => 'x'])->assertUnprocessable();
    }
    Hash::swap($hash);
    $try = fn (string $from) => $this
        ->withServerVariables(['REMOTE_ADDR' => $from])
        ->postJson('/api/people/session', ['email' => $who->email, 'password' => 'mast-and-vane']);
    $try('127.0.0.1')->assertTooManyRequests()->assertJsonPath('code', 'sign_in_locked');
    $try('192.0.2.9')->assertOk();
});

it('does the same work for an account that is not there', function (): void {
    $hasher = Mockery::spy(Illuminate\Hashing\HashManager::class);
    $hasher->shouldReceive('check')->andReturn(false);
    $this->app->instance('hash', $hasher);
    Hash::clearResolvedInstances();
    $this->postJson('/api/people/session', ['email' => 'nobody@shop.example', 'password' => 'x'])->assertUnprocessable();
    $hasher->shouldHaveReceived('check')
        ->once()
        ->with('x', Mockery::on(fn (string $hash): bool => password_get_info($hash)['options']['cost'] === 12));
});

it('signs out a shared tablet that nobody has touched, however much its page asks', function (): void {
    Policy::query()->create([
        'settings' => [...Policy::settingsInForce(), 'shared_idle_minutes' => 5],
        'in_force_from' => now()->subMinute(),
    ]);
    $who = $this->person();
    $in = fn (bool $shared) => $this
        ->postJson('/api/people/session', ['email' => $who->email, 'password' => 'mast-and-vane', 'shared' => $shared])
        ->assertOk();
    $ask = function (int $idle): Illuminate\Testing\TestResponse {
        $this->app['auth']->forgetGuards();

        return $this->withHeader('X-Mill-Step-Idle', (string) $idle)->getJson('/api/planning/plans');
    };
    $in(true);
    $this->getJson('/api/people/me')->assertJsonPath('idle_minutes', 5);
    foreach ([60, 120, 180, 240, 290] as $idle) {
        $this->travel(60)->seconds();
        $ask($idle > 240 ? 0 : $idle)->assertOk();
    }
    // Touched just now: five minutes more, however often the page asks by itself.
    $this->travel(299)->seconds();
    $ask(299)->assertOk();
    $this->travel(10)->seconds();
    $ask(309)->assertUnauthorized()->assertJsonPath('code', 'signed_out');
    // A touch after that brings nobody back.
    $ask(0)->assertUnauthorized();
    $in(false);
    $this->getJson('/api/people/me')->assertJsonPath('idle_minutes', null);
    $this->travel(3)->hours();
    $ask(9999)->assertOk();
});

it('keeps no letter in clear, and none for long', function (): void {
    $who = $this->person();
    $this->postJson('/api/people/password-reset', ['email' => $who->email])->assertNoContent();
    $kept = DB::table('people_letters')->latest('id')->first();
    expect($kept->body)->not->toContain('/reset#')->and(Letter::query()->latest('id')->first()->body)->toContain('/reset#');
    $this->travel(25)->hours();
    $this->artisan('records:prune')->assertSuccessful();
    expect(DB::table('people_letters')->count())->toBe(0);
});
