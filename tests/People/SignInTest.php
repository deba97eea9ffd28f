<?php

declare(strict_types=1);

use App\People\Letter;

it('signs in, says who it is, and signs out', function (): void {
    $user = $this->instructor();
    $this->getJson('/api/people/me')->assertOk()->assertJson(['person' => null]);
    $this->postJson('/api/people/session', ['email' => $user->email, 'password' => 'mast-and-vane'])
        ->assertOk()
        ->assertJson(['name' => $user->name, 'role' => 'instructor']);
    $this->getJson('/api/people/me')->assertJsonPath('person.id', $user->id);
    $this->deleteJson('/api/people/session')->assertNoContent();
    $this->getJson('/api/records/today')->assertUnauthorized();
});

it('refuses a wrong password and somebody who is no longer active, in the same words', function (): void {
    $gone = $this->person(with: ['active' => false]);
    $wrong = $this->postJson('/api/people/session', ['email' => $this->person()->email, 'password' => 'wrong'])->assertUnprocessable();
    $this->postJson('/api/people/session', ['email' => $gone->email, 'password' => 'mast-and-vane'])
        ->assertUnprocessable()
        ->assertJsonPath('message', $wrong->json('message'));
});

it('throttles attempts', function (): void {
    $user = $this->person();
    foreach (range(1, 5) as $_) {
        $this->postJson('/api/people/session', ['email' => $user->email, 'password' => 'wrong'])->assertUnprocessable();
    }
    $this->postJson('/api/people/session', ['email' => $user->email, 'password' => 'mast-and-vane'])
        ->assertTooManyRequests()
        ->assertJsonPath('code', 'sign_in_locked');
});

it('resets a password by a letter that works once', function (): void {
    config(['mail.default' => 'mailbox']);
    $user = $this->person();
    $this->postJson('/api/people/password-reset', ['email' => $user->email])->assertNoContent();
    $this->postJson('/api/people/password-reset', ['email' => 'nobody@millstep.example'])->assertNoContent();
    expect(Letter::query()->count())->toBe(1);
    preg_match('~/reset#token=([^&\s]+)&email~', Letter::query()->firstOrFail()->body, $m);
    $new = ['token' => $m[1], 'email' => $user->email, 'password' => 'a-longer-secret', 'password_confirmation' => 'a-longer-secret'];
    $this->putJson('/api/people/password-reset', [...$new, 'password_confirmation' => 'other'])->assertJsonValidationErrors('password');
    $this->putJson('/api/people/password-reset', $new)->assertNoContent();
    $this->putJson('/api/people/password-reset', $new)->assertJsonValidationErrors('token');
    $this->postJson('/api/people/session', ['email' => $user->email, 'password' => 'a-longer-secret'])->assertOk();
});

it('answers lists in the place of texts as faults of the form', function (): void {
    $each = ['token', 'email', 'password', 'password_confirmation', 'code', 'name', 'language', 'units'];
    foreach ([['PUT', 'password-reset'], ['POST', 'password-reset'], ['POST', 'session'], ['POST', 'first-lead']] as [$method, $path]) {
        foreach ([[[]], [['a' => 'b']], [1]] as $odd) {
            $body = array_fill_keys($each, $odd);
            expect($this->json($method, "/api/people/$path", $body)->status())->toBeIn([404, 409, 422, 429]);
            foreach ($each as $key) {
                $whole = [
                    'token' => 'x', 'email' => 'a@millstep.example', 'password' => 'worked-speed', 'code' => 'x', 'name' => 'Ada',
                    'password_confirmation' => 'worked-speed', 'language' => 'en', 'units' => 'mm', $key => $odd,
                ];
                expect($this->json($method, "/api/people/$path", $whole)->status())->toBeIn([204, 404, 409, 422, 429]);
            }
        }
    }
});

it('has a mailbox page in the demo and nowhere else', function (): void {
    $this->getJson('/api/people/mailbox')->assertOk();
    config(['millstep.demo' => false]);
    $this->getJson('/api/people/mailbox')->assertNotFound();
});

it('keeps passwords, PINs and badges as hashes', function (): void {
    $user = $this->instructor()->refresh();
    expect($user->password)->not->toContain('mast')->and($user->pin_hash)->not->toContain('2468')
        ->and(json_encode($user))->not->toContain('pin_hash')->not->toContain('password');
});

it('adds the first lead of a real shop, who sets a password by mail', function (): void {
    config(['mail.default' => 'mailbox']);
    $this->artisan('people:add-lead', ['name' => 'Ida Lead', 'email' => 'ida@shop.example', '--pin' => '12'])->assertFailed();
    $this->artisan('people:add-lead', ['name' => 'Ida Lead', 'email' => 'ida@shop.example', '--pin' => '135790'])->assertSuccessful();
    $this->artisan('people:add-lead', ['name' => 'Ida Again', 'email' => 'ida@shop.example'])->assertFailed();
    expect(Letter::query()->where('recipient', 'ida@shop.example')->exists())->toBeTrue()
        ->and(App\People\User::query()->where('email', 'ida@shop.example')->firstOrFail()->leads())->toBeTrue();
});

it('puts out whoever is no longer active, in the middle of a session', function (): void {
    $user = $this->instructor();
    $this->postJson('/api/people/session', ['email' => $user->email, 'password' => 'mast-and-vane'])->assertOk();
    $this->getJson('/api/records/today')->assertOk();
    $user->update(['active' => false]);
    Illuminate\Support\Facades\Auth::forgetGuards();
    $this->getJson('/api/records/today')->assertUnauthorized();
});
