<?php

declare(strict_types=1);

use App\Competency\DefinePermit;
use App\Competency\Permit;
use App\Competency\PermitPreview;
use App\Competency\Standings;
use App\People\Role;
use MillStep\Core\Competency\LadderPlace;

/** What is asked later shuts no shop. */
beforeEach(function (): void {
    $this->freezeTime();
    at_a_gate($this);
    $this->define = function (array $requirement, ?int $days = null): array {
        $permit = $this->permit();
        $given = [
            'code' => $permit->code, 'name' => $permit->name, 'scope' => $permit->scope, 'validity_days' => $permit->validity_days,
            'requirement' => [...array_diff_key($permit->requirement, ['later' => 0, 'earlier_checks' => 0]), ...$requirement],
            'statement' => $permit->statementInForce()->body, ...($days === null ? [] : ['later_days' => $days]),
        ];
        $seen = app(PermitPreview::class)->of($given);
        app(DefinePermit::class)($given);

        return $seen;
    };
    $this->place = fn ($who = null): LadderPlace => app(Standings::class)->one($who ?? $this->learner, $this->permit()->fresh())->place;
    $this->more = ['lessons' => [...$this->permit()->requirement['lessons'], 'B2']];
});

it('lets whoever is signed run on, says by when, and takes it away after that', function (): void {
    $new = $this->person();
    $seen = ($this->define)($this->more, 30);
    expect(array_column($seen['affected'], 'name'))->not->toContain($this->learner->name)->and($seen['turns'])->toBe([]);
    hold_badge($this, 'LEARNER')->assertJson(['decision' => 'alone', 'interlock' => 'on']);
    hold_badge($this, 'LEARNER', ['intent' => 'finish']);
    expect(($this->place)()->shown())->toMatchArray(['stage' => 5, 'due' => [
        ['kind' => 'lesson', 'what' => 'B2', 'until' => now()->startOfSecond()->addDays(30)->toIso8601ZuluString()],
    ]]);
    // Whoever was not known is asked for it at its place.
    expect(($this->place)($new)->toArray()['next'])->toContain('lesson:B2')->and(($this->place)($new)->due)->toBe([]);
    app('auth')->forgetGuards();
    $this->flushHeaders()->actingAs($this->learner)->getJson("/api/records/learners/{$this->learner->id}")->assertOk()
        ->assertJsonPath('permits.0.standing.due.0.what', 'B2');
    $this->travel(31)->days();
    expect(($this->place)()->toArray())->toMatchArray(['stage' => 4, 'lapsed' => 'requirement', 'next' => ['lesson:B2']]);
});

it('keeps the day from which something is asked when the same is defined again, and forgets it with what is taken out', function (): void {
    $old = $this->permit()->requirement;
    ($this->define)($this->more, 30);
    $later = $this->permit()->requirement['later'];
    $this->travel(5)->days();
    ($this->define)([], 90);
    expect($this->permit()->requirement['later'])->toBe($later);
    ($this->define)(['lessons' => $old['lessons']]);
    expect($this->permit()->requirement)->not->toHaveKey('later');
});

it('spares nobody a lesson that was asked before and is only guided now', function (): void {
    $asked = $this->permit()->requirement;
    $pupil = $this->person();
    bring($pupil, 2, $this->by);
    $this->travel(1)->minutes();
    ($this->define)(['guided' => [], 'lessons' => [...$asked['lessons'], ...$asked['guided']]]);
    expect($this->permit()->requirement)->not->toHaveKey('later')
        ->and(($this->place)($pupil)->toArray()['next'])->toContain('lesson:'.$asked['guided'][0]);
    ($this->define)($asked);
    expect($this->permit()->requirement)->not->toHaveKey('later');
});

it('asks of everybody at once where nobody is to be spared', function (): void {
    $seen = ($this->define)($this->more, 0);
    expect(array_column($seen['affected'], 'name'))->toContain($this->learner->name);
    $this->travel(1)->seconds();
    hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'off'])->assertJsonPath('reasons.0', 'lapsed_requirement');
});

it('knows whoever passed a check that is no longer asked', function (): void {
    $pupil = $this->person();
    bring($pupil, 2, $this->by);
    ($this->define)(['checks' => ['SC-bench']]);
    expect($this->permit()->requirement['earlier_checks'])->toBe(['SC-through-holes']);
    $this->travel(1)->minutes();
    ($this->define)($this->more);
    expect(($this->place)($pupil)->toArray()['due'])->toContain('lesson:B2')
        ->and(($this->place)($pupil)->due[0]->until > now()->addDays(89))->toBeTrue();
});

it('spares every signed learner of the demo, whatever is asked for beside', function (): void {
    app(App\Demo\DemoShop::class)->people();
    $run = static fn (): array => Permit::query()->with('statements')->get()->mapWithKeys(static fn (Permit $permit): array => [
        $permit->code => App\People\User::learners()->get()
            ->filter(static fn ($one): bool => app(Standings::class)->one($one, $permit)->place->stage->value === 5)->modelKeys(),
    ])->all();
    $before = $run();
    expect(array_sum(array_map(count(...), $before)))->toBeGreaterThan(3);
    foreach (Permit::query()->with('statements')->get() as $permit) {
        app(DefinePermit::class)([
            'code' => $permit->code, 'name' => $permit->name, 'scope' => $permit->scope, 'validity_days' => $permit->validity_days,
            'requirement' => [
                ...$permit->requirement, 'lessons' => array_values(array_unique([...$permit->requirement['lessons'], 'E3', 'B5'])),
                'assessments' => array_values(array_unique([...$permit->requirement['assessments'], 'PS-taper'])),
            ],
            'statement' => $permit->statementInForce()->body,
        ]);
    }
    expect($run())->toBe($before);
});

it('is set by the lead in the browser, with what is asked since when', function (): void {
    app('auth')->forgetGuards();
    $this->flushHeaders()->actingAs($this->person(Role::Lead));
    $known = $this->getJson('/api/competency/permits/drill-through-10')->assertJsonPath('later', [])->json();
    $given = [
        'name' => $known['name'], 'validity_days' => 365, 'statement' => $known['statement'], 'machines' => $known['machines'],
        'signers' => $known['signers'], 'scope' => [
            'materials' => $known['scope']['materials'], 'operations' => $known['scope']['operations'], 'max_diameter' => '10',
            'min_thickness' => '3',
        ], 'requirement' => [...$known['requirement'], 'lessons' => [...$known['requirement']['lessons'], 'B2']], 'later_days' => 14,
    ];
    $this->putJson('/api/competency/permits/drill-through-10', [...$given, 'later_days' => 1000])->assertUnprocessable();
    $this->putJson('/api/competency/permits/drill-through-10', $given)->assertOk()
        ->assertJsonPath('permit.later.0.what', 'B2')
        ->assertJsonPath('permit.later.0.until', now()->startOfSecond()->addDays(14)->toIso8601ZuluString());
});
