<?php

declare(strict_types=1);

use App\People\Http\FromWhom;
use App\People\Role;
use App\Practice\Entry;
use Illuminate\Support\Facades\Hash;

it('puts nothing to the name of somebody who signed in meanwhile', function (): void {
    [$ada, $ben] = [$this->person(), $this->person()];
    $log = fn (array $headers) => $this
        ->actingAs($ben)
        ->postJson(
            '/api/practice/entries',
            [
                'id' => fake_uuid(),
                'machine' => 'bench-drill',
                'exercise' => 'Foot plate',
                'minutes' => 30,
                'done_on' => now()->toDateString(),
            ],
            $headers,
        );
    $log([FromWhom::HEADER => (string) $ada->id])->assertConflict()->assertJsonPath('code', 'another_person');
    expect(Entry::query()->exists())->toBeFalse();
    $log([FromWhom::HEADER => (string) $ben->id])->assertCreated();
});

it('takes no command that does not say', function (): void {
    $this->actingAs($this->person())
        ->call('POST', '/api/practice/entries', server: ['HTTP_X_MILL_STEP_FROM' => '', 'HTTP_ACCEPT' => 'application/json'])
        ->assertStatus(409);
});

it('says in words and with a code that a session has ended', function (): void {
    $this->getJson('/api/records/today')
        ->assertUnauthorized()
        ->assertJson(['code' => 'signed_out'])
        ->assertJsonPath('message', fn (string $words) => str_contains($words, 'Sign in to go on'));
});

it('lets the owner set a PIN with the password, and the lead only take it away', function (): void {
    $by = $this->instructor();
    $pin = fn (array $with) => $this
        ->actingAs($by->refresh())
        ->putJson('/api/people/me/pin', ['password' => 'mast-and-vane', 'pin' => '9753', ...$with]);
    $pin(['password' => 'wrong'])->assertJsonValidationErrors('password');
    foreach (['12', '1111', '1234', 'abcd', '1234567890123'] as $poor) {
        $pin(['pin' => $poor])->assertJsonValidationErrors('pin');
    }
    $pin([])->assertNoContent();
    expect(Illuminate\Support\Facades\Hash::check('9753', (string) $by->refresh()->pin_hash))->toBeTrue();
    $this->actingAs($this->person(Role::Lead))
        ->deleteJson("/api/people/everybody/{$by->id}/pin")
        ->assertOk()
        ->assertJson(['pin' => 'none']);
    expect($by->refresh()->pin_hash)->toBeNull();
    $this->actingAs($this->person())->putJson('/api/people/me/pin', ['password' => 'mast-and-vane', 'pin' => '9753'])->assertForbidden();
});

it('locks the PIN after five wrong ones however they are counted', function (): void {
    $by = $this->instructor();
    $wrong = function () use ($by): string {
        try {
            app(App\People\Pin::class)->confirm($by, '0000');
        } catch (App\Support\Refusal $refusal) {
            return $refusal->reason;
        }

        return 'let in';
    };
    // The same model, never refreshed: as fifty requests that all read the person before the first was counted.
    $answers = array_map(fn () => $wrong(), range(1, 50));
    expect(array_count_values($answers))->toBe(['pin_wrong' => 4, 'pin_locked' => 46]);
    expect(fn () => app(App\People\Pin::class)->confirm($by, '2468'))->toThrow(App\Support\Refusal::class, 'locked');
    $this->travel(16)->minutes();
    app(App\People\Pin::class)->confirm($by, '2468');
    expect($by->refresh())->pin_failures->toBe(0)->pin_locked_until->toBeNull();
});

it('ends the sessions of whoever is deactivated, and lets nobody deactivate themselves', function (): void {
    $lead = $this->person(Role::Lead);
    $this->actingAs($lead)
        ->patchJson("/api/people/everybody/{$lead->id}", ['active' => false])
        ->assertForbidden()
        ->assertJsonPath('code', 'own_account');
    $other = $this->person();
    $this->patchJson("/api/people/everybody/{$other->id}", ['active' => false])->assertOk()->assertJson(['active' => false]);
    $this->patchJson("/api/people/everybody/{$other->id}", ['active' => true])->assertOk()->assertJson(['active' => true]);
});

it('lets an auditor read records and changes, and change nothing', function (): void {
    $auditor = $this->person(Role::Auditor);
    $learner = $this->person();
    $this->actingAs($auditor)->getJson("/api/records/learners/{$learner->id}")->assertOk();
    $this->getJson('/api/records/changes')->assertOk();
    foreach (["/api/competency/learners/{$learner->id}/permits/drill-through-10/holds",
        "/api/competency/learners/{$learner->id}/permits/drill-through-10/sign-off", '/api/practice/entries',
        '/api/gate/machines/bench-drill/devices'] as $path) {
        $this->postJson($path, ['id' => fake_uuid()])->assertForbidden();
    }
});

it('locks nobody out whose right PIN was counted and never answered, since the server died each time', function (): void {
    $by = $this->instructor();
    $dies = Mockery::mock(Hash::getFacadeRoot());
    $dies->shouldReceive('check')->times(8)->andThrow(new RuntimeException('killed'));
    $alive = Hash::getFacadeRoot();
    Hash::swap($dies);
    foreach (range(1, 8) as $ignored) {
        expect(fn () => app(App\People\Pin::class)->confirm($by, '2468'))->toThrow(RuntimeException::class);
        $this->travel(3)->seconds();
    }
    Hash::swap($alive);
    expect($by->refresh()->pin_failures)->toBe(1);
    app(App\People\Pin::class)->confirm($by, '2468');
    // Another guess each time is another try, answered or not; and so is the same at once.
    $dies->shouldReceive('check')->andThrow(new RuntimeException('killed'));
    Hash::swap($dies);
    foreach (['1111', '2222', '1111', '2222', '3333'] as $guess) {
        expect(fn () => app(App\People\Pin::class)->confirm($by, $guess))->toThrow(RuntimeException::class);
    }
    Hash::swap($alive);
    expect(fn () => app(App\People\Pin::class)->confirm($by, '2468'))->toThrow(App\Support\Refusal::class, 'locked');
    $other = $this->instructor();
    Hash::swap($dies);
    foreach (range(1, 5) as $ignored) {
        expect(fn () => app(App\People\Pin::class)->confirm($other, '1111'))->toThrow(RuntimeException::class);
    }
    Hash::swap($alive);
    expect(fn () => app(App\People\Pin::class)->confirm($other, '1111'))->toThrow(App\Support\Refusal::class, 'locked');
});
