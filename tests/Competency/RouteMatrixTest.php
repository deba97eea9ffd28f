<?php

declare(strict_types=1);

use App\Competency\Permit;
use App\People\Cohort;
use App\People\Role;
use App\Records\Alert;
use App\Workshop\Bar;
use App\Workshop\Tool;
use Illuminate\Support\Facades\Route;

/** Who may call each route at all; what they may do with somebody else's things is tested where those things are. */
const WHO = [
    'everybody' => [
        'GET assessment/attempts/{attempt}', 'GET assessment/photos/{photo}', 'GET workshop/gauges', 'GET assessment/parts/{code}',
        // Their own readings and sums only.
        'POST assessment/attempts/{attempt}/marks', 'POST assessment/attempts/{attempt}/marks/{mark}/undo',
        // What they themselves say to an outcome.
        'POST assessment/attempts/{attempt}/answer', 'POST assessment/attempts/{attempt}/appeal',
        'PUT assessment/attempts/{attempt}/tasks/{task}', 'DELETE people/session', 'PATCH people/me', 'PUT people/me/password',
        'GET people/me/sessions', 'DELETE people/me/sessions/{name}', 'POST people/me/second-factor', 'PUT people/me/second-factor',
        'DELETE people/me/second-factor', 'POST measure/sizes',
        'GET learning/lessons/{code}', 'PUT learning/progress/{progress}/steps/{step}',
        'PUT learning/progress/{progress}/notes',
        // The learner's own hold points only.
        'GET learning/holds/{hold}/openers', 'POST learning/holds/{hold}/opening-here',
        'GET learning/attempts/{attempt}', 'POST learning/attempts/{attempt}/answers',
        // The learner's own questions only.
        'POST learning/recalls/{recall}/answer',
        'GET content/plan-choices', 'GET planning/plans', 'GET planning/plans/{plan}', 'PUT planning/plans/{plan}',
        'DELETE planning/plans/{plan}', 'POST planning/plans/{plan}/restoration',
        'GET planning/plans/{first}/compared-with/{second}', 'POST planning/{kind}', 'POST planning/{kind}/answers',
        'POST planning/drill-point', 'GET planning/charts/{chart}', 'GET planning/charts/{chart}/{format}',
        'POST workshop/checks/{kind}',
        'POST planning/{kind}/questions', 'POST planning/{kind}/files/{format}',
        'GET workshop/machines', 'GET workshop/cribs', 'GET workshop/materials', 'GET workshop/policy',
        'DELETE practice/entries/{entry}', 'GET gate/turns', 'PUT practice/entries/{entry}',
    ],
    'the learner and whoever teaches' => [
        'GET records/learners/{learner}', 'GET competency/learners/{learner}/machines',
        'GET competency/learners/{learner}/permits/{permit}/sign-off',
        'GET practice/learners/{learner}/entries',
        'GET learning/learners/{learner}/memory', 'GET assessment/learners/{learner}/measuring',
    ],
    'learners' => [
        'POST learning/checks/{code}/attempts', 'POST learning/recalls',
        'POST practice/entries',
        'POST competency/learners/{learner}/permits/{permit}/acknowledgement',
    ],
    'whoever teaches' => [
        'POST assessment/attempts', 'POST assessment/attempts/{attempt}/conclusion',
        'POST assessment/attempts/{attempt}/cancellation', 'GET assessment/attempts',
        'POST assessment/attempts/{attempt}/conduct', 'POST assessment/attempts/{attempt}/paper',
        'POST assessment/attempts/{attempt}/notes', 'POST assessment/attempts/{attempt}/photos',
        'PUT assessment/attempts/{attempt}/second', 'POST assessment/attempts/{attempt}/second',
        'POST assessment/attempts/{attempt}/appeal/answer', 'POST assessment/exceptions', 'POST assessment/attempts/{attempt}/reviews',
        'GET assessment/sheets', 'GET assessment/sheets/{code}', 'GET assessment/sheets/{code}/opening/{learner}',
        'GET records/ready', 'GET records/assessors',
        'GET assessment/gauges/{gauge}/repeatability',
        'POST workshop/gauges', 'PUT workshop/gauges/{gauge}', 'POST workshop/gauges/{gauge}/checks',
        'POST competency/learners/{learner}/permits/{permit}/holds', 'POST competency/learners/{learner}/machines/{machine}',
        'POST competency/learners/{learner}/ledger/{entry}/correction',
        'GET records/waiting', 'GET competency/permits', 'GET competency/permits-choices', 'GET competency/permits/{permit}',
        'GET gate/devices',
        'DELETE gate/devices/{device}',
        'POST gate/turns/{session}/end',
        'PUT people/me/pin',
        'POST competency/learners/{learner}/permits/{permit}/sign-off',
        'GET records/today',
        'POST gate/machines/{machine}/devices', 'PUT gate/presence', 'POST learning/holds/{hold}/open',
        'GET gate/clock', 'POST gate/clock/confirmation', 'GET learning/looks-here', 'POST learning/holds/{hold}/disowning',
        'POST learning/holds/{hold}/return',
        'POST practice/entries/{entry}/decision', 'POST planning/policy-preview',
        'GET workshop/checks/{kind}', 'PUT workshop/checks/{kind}/{key}',
        'GET workshop/bars', 'POST workshop/bars', 'DELETE workshop/bars/{bar}', 'POST workshop/cribs',
        'PUT workshop/cribs/{crib}', 'POST workshop/cribs/{crib}/sets', 'POST workshop/cribs/{crib}/tools',
        'GET workshop/file', 'POST workshop/machines/{machine}/service', 'POST workshop/machines/{machine}/day-checks',
        'PATCH workshop/tools/{tool}',
        'DELETE workshop/tools/{tool}', 'POST workshop/tools/{tool}/restore',
        'GET content/lessons', 'POST content/lessons/preview', 'GET content/lessons/{code}',
        'GET content/lessons/{code}/versions/{version}',
        'POST learning/checks/{code}/papers', 'GET learning/attempts/{attempt}/key', 'DELETE learning/attempts/{attempt}',
        'GET learning/checks', 'GET learning/checks/{code}/figures', 'GET learning/cohorts/{cohort}/warm-up',
        'GET learning/lessons/{code}/bindings', 'PUT learning/lessons/{code}/bindings/{cohort}',
        'DELETE learning/lessons/{code}/bindings/{cohort}',
    ],
    'the shop lead' => [
        'POST people/everybody', 'PUT people/everybody/{person}', 'POST people/everybody/{person}/invitation',
        'PUT people/everybody/{person}/badge', 'DELETE people/everybody/{person}/badge',
        'GET people/cohorts', 'POST people/cohorts', 'PUT people/cohorts/{cohort}',
        'GET people/class-list', 'POST people/class-list',
        'PUT competency/permits/{code}', 'PUT workshop/shop',
        'GET content/set-up', 'GET content/packs', 'POST content/packs', 'POST content/packs/{code}', 'GET content/packs/{code}/file',
        'PUT assessment/sheets/{code}', 'PUT content/lessons/{code}', 'POST content/lessons/{code}/retirement',
        'DELETE content/lessons/{code}/retirement',
        'GET people/everybody', 'PATCH people/everybody/{person}', 'DELETE people/everybody/{person}/pin',
        'POST people/everybody/{person}/forgetting',
        'DELETE people/everybody/{person}/second-factor',
        'GET assessment/tries', 'GET records/changes', 'GET records/alerts', 'POST records/alerts/{alert}/seen',
        'DELETE workshop/cribs/{crib}', 'POST workshop/file', 'POST workshop/machines',
        'PUT workshop/machines/{machine}', 'POST workshop/materials', 'PUT workshop/materials/{key}',
        'DELETE workshop/materials/{material}', 'PUT workshop/policy',
    ],
];

/** Routes where teaching alone is not enough: what more they ask is tested where they are. */
const ASKS_MORE = [
    'POST competency/learners/{learner}/permits/{permit}/sign-off',
    'POST gate/machines/{machine}/devices',
    'DELETE gate/devices/{device}',
    'POST learning/holds/{hold}/disowning',
];

/** Routes that a guest or a device may call. */
const DOORS = [
    'GET people/mailbox', 'GET people/me', 'POST people/first-lead', 'POST people/password-reset', 'PUT people/password-reset',
    'POST people/session', 'POST people/session/second-factor', 'GET gate/demo-badges', 'POST gate/reads',
    'GET gate/screen', 'POST gate/renewal', 'POST assessment/review', 'PUT assessment/review',
    'GET live/channels/{channel}', 'GET {missing}',
];

/** @return list<string> as `METHOD path`, without `api/` */
function routes_there_are(): array
{
    return collect(Route::getRoutes()->getRoutes())->filter(fn ($route): bool => str_starts_with($route->uri(), 'api/'))
        ->map(fn ($route): string => $route->methods()[0].' '.substr($route->uri(), 4))->sort()->values()->all();
}

/** @return array<string, array{string}> */
function routes_for(string ...$who): array
{
    $routes = array_merge(...array_map(fn (string $each): array => WHO[$each], $who));

    return array_combine($routes, array_map(fn (string $route): array => [$route], $routes));
}

/** Calls a route with things that are there, for a learner's own record. */
function call_route($test, string $route, App\People\User $as, App\People\User $learner): int
{
    [$method, $path] = explode(' ', $route, 2);
    $here = [
        '{learner}' => $learner->id,
        '{person}' => $learner->id,
        '{alert}' => $path === 'records/alerts/{alert}/seen' ? Alert::query()->create([
            'kind' => 'ledger_broken',
            'facts' => [],
            'raised_at' => now(),
        ])->id : null,
        '{permit}' => Permit::query()->value('code'),
        '{machine}' => 'bench-drill',
        '{crib}' => 'metric-half',
        '{tool}' => Tool::query()->value('id'),
        '{bar}' => Bar::query()->value('id'),
        '{cohort}' => in_array(
            $path,
            ['people/cohorts/{cohort}', 'learning/lessons/{code}/bindings/{cohort}', 'learning/cohorts/{cohort}/warm-up'],
            true,
        )
            ? Cohort::query()->firstOrCreate(['name' => 'Any'], ['starts_on' => now()])->id : null,
        '{material}' => 'mast_alloy',
        '{key}' => 'mast_alloy',
        '{code}' => str_contains($path, 'checks') ? 'SC-through-holes' : (str_contains($path, 'sheets') ? 'PS-through-holes' : 'C6'),
        '{kind}' => 'hole',
        '{format}' => 'svg',
    ];
    $path = (string) preg_replace_callback('/\{\w+\}/', fn (array $found): string => (string) ($here[$found[0]] ?? fake_uuid()), $path);

    return $test->actingAs($as)->json($method, "/api/$path", ['id' => fake_uuid()])->status();
}

it('knows of every route who may call it', function (): void {
    $known = [...array_merge(...array_values(WHO)), ...DOORS];
    sort($known);
    expect(routes_there_are())->toBe($known);
});

it('keeps guests out', function (string $route): void {
    [$method, $path] = explode(' ', $route, 2);
    expect($this->json($method, '/api/'.preg_replace('/\{\w+\}/', '1', $path))->status())->toBe(401);
})->with(routes_for(...array_keys(WHO)));

it('keeps learners out of what teaching does', function (string $route): void {
    $learner = $this->person();
    expect(call_route($this, $route, $learner, $learner))->toBeIn([403, 404]);
})->with(routes_for('whoever teaches', 'the shop lead'));

it('keeps instructors out of what the shop lead answers for', function (string $route): void {
    expect(call_route($this, $route, $this->instructor(), $this->person()))->toBe(403);
})->with(routes_for('the shop lead'));

it('keeps one learner out of another\'s record', function (string $route): void {
    expect(call_route($this, $route, $this->person(), $this->person()))->toBe(403);
})->with(routes_for('the learner and whoever teaches'));

it('keeps whoever teaches out of what only a learner does', function (string $route): void {
    expect(call_route($this, $route, $this->instructor(), $this->person()))->toBe(403)
        ->and(call_route($this, $route, $this->person(Role::Lead), $this->person()))->toBe(403);
})->with(routes_for('learners'));

it('lets in whom it is for', function (string $route): void {
    foreach ([$this->instructor(), $this->person(Role::Lead)] as $teacher) {
        expect(call_route($this, $route, $teacher, $this->person()))->not->toBeIn([401, 403]);
    }
})->with(array_diff_key(routes_for('the learner and whoever teaches', 'whoever teaches'), array_flip(ASKS_MORE)));

it('lets the shop lead do what the shop lead answers for', function (string $route): void {
    expect(call_route($this, $route, $this->person(Role::Lead), $this->person()))->not->toBeIn([401, 403]);
})->with(routes_for('the shop lead'));

it('lets everybody who is signed in do what is for everybody', function (string $route): void {
    $learner = $this->person();
    expect(call_route($this, $route, $learner, $learner))->not->toBeIn([401, 403]);
})->with(routes_for('everybody', 'the learner and whoever teaches', 'learners'));

it('finds nothing under a name that cannot be one', function (string $route): void {
    [$method, $path] = explode(' ', $route, 2);
    $this->actingAs($this->person(Role::Lead));
    foreach (['nothing', '99999999999999999999999', '0', '019f0000-0000-7000-8000-00000000000g', '%27;--'] as $name) {
        $status = $this->json($method, '/api/'.preg_replace('/\{\w+\}/', $name, $path), ['id' => fake_uuid()])->status();
        expect($status)->toBeLessThan(500, "$route with $name");
    }
})->with(array_filter(routes_for(...array_keys(WHO)), fn (string $route): bool => str_contains($route, '{'), ARRAY_FILTER_USE_KEY));
