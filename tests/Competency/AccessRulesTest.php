<?php

declare(strict_types=1);

use App\People\Role;
use Illuminate\Support\Facades\Route;

/** Every route that is not for guests or devices, with what stands in its braces. */
function guardedRoutes(): array
{
    $open = [
        'api/people/session', 'api/people/session/second-factor', 'api/people/first-lead', 'api/people/password-reset',
        'api/people/mailbox', 'api/people/me',
        'api/live/channels/{channel}', 'api/{missing}',
        // By a link to one sheet.
        'api/assessment/review',
    ];
    $device = ['api/gate/screen', 'api/gate/reads', 'api/gate/demo-badges', 'api/gate/renewal'];

    return collect(Route::getRoutes()->getRoutes())
        ->filter(fn ($route) => str_starts_with($route->uri(), 'api/') && ! in_array($route->uri(), [...$open, ...$device], true))
        ->map(fn ($route) => [$route->methods()[0], '/'.preg_replace('/\{\w+\}/', '1', $route->uri())])->values()->all();
}

it('lets no guest past the door', function (): void {
    $routes = guardedRoutes();
    expect(count($routes))->toBeGreaterThan(15);
    foreach ($routes as [$method, $path]) {
        expect($this->json($method, $path)->status())->toBe(401, "$method $path");
    }
});

it('takes no person\'s session for a device, and no unknown token', function (): void {
    $this->actingAs($this->instructor())
        ->postJson('/api/gate/reads', ['id' => fake_uuid(), 'intent' => 'start', 'badge' => 'X'])
        ->assertUnauthorized();
    $this->withToken('1|wrong')->getJson('/api/gate/screen')->assertUnauthorized();
});

it('shows a learner their own record and nobody else\'s', function (): void {
    [$me, $other] = [$this->person(), $this->person()];
    $this->actingAs($me)->getJson("/api/records/learners/{$me->id}")->assertOk();
    foreach (["/api/records/learners/{$other->id}", "/api/practice/learners/{$other->id}/entries",
        "/api/competency/learners/{$other->id}/permits/drill-through-10/sign-off", '/api/records/today'] as $path) {
        $this->getJson($path)->assertForbidden();
    }
});

it('keeps what teaching does from learners', function (string $method, string $path): void {
    $learner = $this->person();
    $this->actingAs($learner)->json($method, str_replace('{me}', (string) $learner->id, $path), ['id' => fake_uuid()])->assertForbidden();
})->with([
    ['POST', '/api/competency/learners/{me}/permits/drill-through-10/sign-off'],
    ['POST', '/api/competency/learners/{me}/permits/drill-through-10/holds'],
    ['POST', '/api/competency/learners/{me}/machines/bench-drill'],
    ['POST', '/api/assessment/attempts'],
    ['POST', '/api/gate/machines/bench-drill/devices'],
    ['PUT', '/api/gate/presence'],
]);

it('keeps what learning does from whoever teaches', function (): void {
    $this->actingAs($this->instructor());
    $this->postJson('/api/learning/checks/SC-through-holes/attempts', ['id' => fake_uuid()])->assertForbidden();
    $this->postJson('/api/practice/entries', ['id' => fake_uuid()])->assertForbidden();
});

it('refuses a NUL at the door, wherever it stands', function (array $body): void {
    $learner = $this->person();
    $this->actingAs($this->instructor())
        ->postJson(
            "/api/competency/learners/{$learner->id}/permits/drill-through-10/holds",
            ['id' => fake_uuid(), 'type' => 'suspended', 'reason' => 'For a talk.', ...$body],
        )
        ->assertUnprocessable();
})->with([[['reason' => "For\0 a talk."]], [['type' => "sus\0pended"]], [["ex\0tra" => 'x']], [['deep' => ['er' => ["a\0b"]]]]]);

it('has no record of somebody who does not learn', function (): void {
    $this->actingAs($this->person(Role::Lead))->getJson('/api/records/learners/'.$this->instructor()->id)->assertForbidden();
});
