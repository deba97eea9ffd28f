<?php

declare(strict_types=1);

use App\Competency\LedgerEntry;
use App\Practice\Entry;

/** An id stands for one thing. Met again with another it is refused; it is never a silent yes. */
beforeEach(function (): void {
    $this->by = $this->instructor();
    $this->learner = $this->person();
    bring($this->learner, 5, $this->by);
    $this->used = fake_uuid();
    $this->hold = fn (array $with = [], ?App\People\User $as = null, ?int $learner = null) => $this->actingAs($as ?? $this->by)
        ->postJson('/api/competency/learners/'.($learner ?? $this->learner->id).'/permits/drill-through-10/holds', [
            'id' => $this->used, 'type' => 'suspended', 'reason' => 'Talked it through at the machine.', ...$with,
        ]);
    ($this->hold)()->assertCreated();
});

it('is refused for a hold', function (Closure $send): void {
    $send($this)->assertConflict()->assertJsonPath('code', 'id_used');
    expect(LedgerEntry::query()->where('type', 'suspended')->count())
        ->toBe(1)
        ->and(LedgerEntry::query()->where('type', 'incident_hold')->exists())
        ->toBeFalse();
})->with([
    'of another type' => [fn ($test) => ($test->hold)(['type' => 'incident_hold'])],
    'for another reason' => [fn ($test) => ($test->hold)(['reason' => 'Something else happened.'])],
    'by another person' => [fn ($test) => ($test->hold)([], $test->instructor())],
    'for another learner' => [fn ($test) => ($test->hold)([], null, $test->person()->id)],
]);

it('is refused for a signature, an acknowledgement and a correction', function (): void {
    $path = "/api/competency/learners/{$this->learner->id}";
    $line = LedgerEntry::query()->where('type', 'practice_confirmed')->firstOrFail();
    $this->postJson(
        "$path/permits/drill-through-10/sign-off",
        ['id' => $this->used, 'pin' => '2468', 'valid_until' => now()->addDays(9)->toDateString(), 'companion' => false],
    )
        ->assertConflict()
        ->assertJsonPath('code', 'id_used');
    $this->postJson("$path/ledger/{$line->id}/correction", ['id' => $this->used, 'pin' => '2468', 'reason' => 'Confirmed twice.'])
        ->assertConflict()
        ->assertJsonPath('code', 'id_used');
    $this->actingAs($this->learner)
        ->postJson("$path/permits/drill-through-10/acknowledgement", ['id' => $this->used, 'statement_version' => 1])
        ->assertConflict()
        ->assertJsonPath('code', 'id_used');
});

it('is refused for a signature that says something else', function (): void {
    $learner = $this->person();
    bring($learner, 4, $this->by);
    app(App\Competency\AcknowledgeStatement::class)($learner, $this->permit(), 1);
    $id = fake_uuid();
    $sign = fn (array $with) => $this
        ->actingAs($this->by)
        ->postJson(
            "/api/competency/learners/{$learner->id}/permits/drill-through-10/sign-off",
            [
                'id' => $id, 'pin' => '2468', 'valid_until' => now()->addDays(9)->toDateString(), 'companion' => false,
                'materials' => ['mild_steel'], ...$with,
            ],
        );
    $sign([])->assertCreated();
    $sign([])->assertCreated();
    $sign(['max_diameter' => '6'])->assertConflict()->assertJsonPath('code', 'id_used');
    $sign(['valid_until' => now()->addDays(8)->toDateString()])->assertConflict()->assertJsonPath('code', 'id_used');
});

it('is refused for an exercise of another learner, or another exercise', function (): void {
    $log = fn (App\People\User $as, array $with = []) => $this
        ->actingAs($as)
        ->postJson(
            '/api/practice/entries',
            [
                'id' => 'a0000000-0000-7000-8000-000000000001',
                'machine' => 'bench-drill',
                'exercise' => 'Foot plate',
                'minutes' => 30,
                'done_on' => now()->toDateString(),
                ...$with,
            ],
        );
    $log($this->learner)->assertCreated();
    $log($this->learner)->assertCreated();
    $log($this->person())->assertConflict()->assertJsonPath('code', 'id_used');
    $log($this->learner, ['minutes' => 480])->assertConflict()->assertJsonPath('code', 'id_used');
    expect(Entry::query()->count())->toBe(1);
});

it('is refused for a machine\'s service that says something else', function (): void {
    $service = fn (string $machine, string $reason) => $this
        ->actingAs($this->by)
        ->postJson("/api/workshop/machines/$machine/service", ['id' => $this->used, 'in_service' => false, 'reason' => $reason]);
    $service('bench-drill', 'Belt guard gone')->assertSuccessful();
    $service('bench-drill', 'Belt guard gone')->assertSuccessful();
    $service('floor-drill', 'Belt guard gone')->assertConflict()->assertJsonPath('code', 'id_used');
    $service('bench-drill', 'Something else')->assertConflict()->assertJsonPath('code', 'id_used');
});

it('is refused for a plan of another kind, and for one that was removed', function (): void {
    $hole = [
        'name' => 'A hole',
        'kind' => 'hole',
        'request' => [
            'machine' => 'bench-drill', 'cribs' => [], 'material' => 'mild_steel', 'thickness' => '8',
            'purpose' => 'plain', 'size' => '9', 'through' => true,
        ],
    ];
    $put = fn (array $body) => $this->actingAs($this->by)->putJson('/api/planning/plans/b0000000-0000-7000-8000-000000000001', $body);
    $put($hole)->assertSuccessful();
    $lathe = [
        'name' => 'Rings',
        'kind' => 'lathe',
        'request' => [
            'machine' => 'metric-lathe', 'cribs' => [], 'material' => 'nylon', 'bar' => '28', 'thickness' => '5',
            'outside' => '26', 'count' => 3, 'part_off' => true, 'support_centre' => false, 'blade' => '2',
        ],
    ];
    $put($lathe)->assertConflict()->assertJsonPath('code', 'id_used');
    $this->deleteJson('/api/planning/plans/b0000000-0000-7000-8000-000000000001')->assertNoContent();
    $put($hole)->assertConflict()->assertJsonPath('code', 'id_used');
});
