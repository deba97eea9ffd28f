<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;

/** What may be repeated is repeated once when the database goes away under it. */
beforeEach(function (): void {
    $this->tries = 0;
    $this->fails = 1;
    $this->with = 'SQLSTATE[57P01]: Admin shutdown: 7 FATAL:  terminating connection due to administrator command';
    // In the place of what answers for an address that is not there, behind everything that stands before it.
    $missing = collect(Route::getRoutes()->getRoutes())->first(fn ($route) => $route->uri() === 'api/{missing}');
    $missing->uses(function () {
        $this->tries++;
        $this->tries <= $this->fails && throw new PDOException($this->with);

        return ['done' => true];
    });
});

it('is done at the second try', function (string $method, array $body): void {
    $this->json($method, '/api/away', $body)->assertOk()->assertJson(['done' => true]);
    expect($this->tries)->toBe(2);
})->with([['GET', []], ['POST', ['id' => '01a2329b-146d-736b-bad0-c537e3067d18']]]);

it('is not repeated without an id of its own, and not a third time', function (string $method, array $body, int $fails, int $tries): void {
    $this->fails = $fails;
    $this->json($method, '/api/away', $body)->assertStatus(503)->assertHeader('Retry-After', '2')->assertJson(['code' => 'away']);
    expect($this->tries)->toBe($tries);
})->with([
    'no id' => ['POST', ['name' => 'x'], 1, 1],
    'an id that is none' => ['POST', ['id' => 'mine'], 1, 1],
    'a list as id' => ['POST', ['id' => ['01a2329b-146d-736b-bad0-c537e3067d18']], 1, 1],
    'a removal' => ['DELETE', [], 1, 1],
    'twice away' => ['GET', [], 2, 2],
]);

it('does not repeat what failed for another reason', function (): void {
    $this->with = 'SQLSTATE[23505]: Unique violation: 7 ERROR:  duplicate key value';
    $this->json('GET', '/api/away')->assertStatus(500);
    expect($this->tries)->toBe(1);
});
