<?php

declare(strict_types=1);

use App\Competency\Permit;
use App\Competency\Standings;
use App\Demo\DemoHistory;
use App\Gate\BadgeRead;
use App\Learning\Lesson;
use App\Policy\Policy;
use App\Practice\DecideOnPractice;
use App\Practice\LogPractice;
use App\Workshop\Machine;

beforeEach(fn () => all_permits());

it('asks every permit for lessons, a check, practice and a sheet, and every lesson is asked for', function (): void {
    $asked = [];
    foreach (Permit::query()->get() as $permit) {
        $lessons = [...$permit->requirement['lessons'], ...$permit->requirement['guided'] ?? []];
        expect($lessons)->not->toBe([])->and($permit->requirement['checks'])->not->toBe([], $permit->code)
            ->and($permit->requirement['assessments'])->not->toBe([])->and($permit->requirement['practice_count'])->toBeGreaterThan(0);
        $asked = [...$asked, ...$lessons];
    }
    expect(Permit::query()->count())->toBe(12)
        ->and(array_diff(Lesson::query()->pluck('code')->all(), $asked))->toBe([])
        ->and(Permit::query()->where('further', false)->pluck('code')->sort()->values()->all())
        ->toBe(['bench-marking', 'drill-through-10', 'hand-drill', 'lathe-drill']);
});

it('guides the lessons that need power: none with a look before power is open to whoever has only read', function (): void {
    $guided = Permit::query()->get()->flatMap(fn (Permit $permit): array => $permit->requirement['guided'] ?? [])->unique();
    foreach (Lesson::query()->get() as $lesson) {
        $looks = array_filter(array_column($lesson->steps, 'hold'));
        // Where power comes on after the look; at the bench it is only looked.
        $looks === [] || $lesson->machine_kind === null || expect($guided->contains($lesson->code))->toBeTrue($lesson->code);
    }
    $learner = $this->person();
    foreach ($guided as $code) {
        expect($this->actingAs($learner)->getJson("/api/learning/lessons/$code")->json('progress.open'))->toBeFalse($code);
    }
});

it('opens no lesson of a further permit to whoever has not passed the checks of those that it builds on', function (): void {
    $learner = $this->person();
    $by = $this->instructor();
    $open = fn (string $code): bool => $this->actingAs($learner)->getJson("/api/learning/lessons/$code")->json('progress.open');
    bring($learner, 2, $by, code: 'drill-depth-sheet');
    expect($open('C8'))->toBeFalse();
    bring($learner, 2, $by);
    expect($open('C6'))->toBeFalse()->and($open('C8'))->toBeFalse();
    bring($learner, 2, $by, code: 'bench-marking');
    expect($open('C6'))->toBeTrue()->and($open('C8'))->toBeTrue()->and($open('C12'))->toBeFalse();
    $permit = Permit::query()->where('code', 'drill-through-10')->firstOrFail();
    app(App\Competency\PlaceHold::class)($learner, $permit, $by, 'suspended', 'Near miss.');
    expect($open('C8'))->toBeFalse();
});

it('lets a learner climb all twelve permits, lesson by lesson, in either language', function (string $language): void {
    $by = $this->instructor();
    $by->update(['pin_hash' => App\Demo\DemoShop::PIN]);
    $learner = $this->person(with: ['language' => $language]);
    app()->setLocale($language);
    Policy::query()->create([
        'settings' => [...Policy::settingsInForce(), 'guardian_required' => false],
        'in_force_from' => now()->subYear(),
    ]);
    $ordered = [
        'bench-marking', 'drill-through-10', 'drill-depth-sheet', 'drill-grab', 'drill-ream-tap', 'drill-taper', 'drill-round',
        'hand-drill',
        'lathe-drill', 'lathe-turn-part', 'lathe-ream-tap', 'lathe-long-bar',
    ];
    $history = app(DemoHistory::class);
    foreach ($ordered as $code) {
        $history->plan($learner, [$by], now()->toImmutable()->subDays(60), [
            'name' => $learner->name, 'lessons' => [], 'further' => [$code => 'signed'],
        ]);
        $history->happen();
    }
    $standings = app(Standings::class)->of(collect([$learner]), Permit::query()->with('statements')->get())[$learner->id];
    foreach ($standings as $code => $standing) {
        expect($standing->place->stage->value)->toBe(5, "$code wants ".implode(', ', $standing->place->next));
    }
})->with(fn (): array => drawn(['en', 'es'], 2));

it('counts practice for the permit that it was for, and for no other', function (): void {
    $by = $this->instructor();
    $learner = $this->person();
    $press = Machine::query()->where('slug', 'bench-drill')->firstOrFail();
    $log = fn (?string $permit) => app(DecideOnPractice::class)(app(LogPractice::class)($learner, $press, [
        'id' => fake_uuid(), 'exercise' => 'Holes', 'minutes' => 30, 'done_on' => now()->toDateString(), 'permit' => $permit,
    ]), $by, true);
    $count = fn (string $code): int => app(Standings::class)->one($learner, Permit::query()->where('code', $code)->firstOrFail())
        ->record->practiceCount;
    $log(null);
    expect($count('drill-through-10'))->toBe(1)->and($count('drill-ream-tap'))->toBe(0);
    $log('drill-ream-tap');
    expect($count('drill-through-10'))->toBe(1)->and($count('drill-ream-tap'))->toBe(1)->and($count('drill-grab'))->toBe(0);
    $this->actingAs($learner)->postJson('/api/practice/entries', [
        'id' => fake_uuid(), 'machine' => 'bench-drill', 'exercise' => 'Rings', 'minutes' => 30, 'done_on' => now()->toDateString(),
        'permit' => 'lathe-turn-part',
    ])->assertConflict()->assertJsonPath('code', 'no_such_permit');
});

it('runs steel by the press\'s own permit, brass by the further one, and keeps only what was used in use', function (): void {
    at_a_gate($this);
    $brass = ['material' => 'brass_free_cutting', 'thickness_mm' => 10, 'operation' => 'drill', 'diameter_mm' => 6];
    hold_badge($this, 'LEARNER')->assertJson(['decision' => 'alone', 'interlock' => 'on']);
    hold_badge($this, 'LEARNER', ['intent' => 'finish']);
    hold_badge($this, 'LEARNER', ['request' => $brass])->assertJson(['decision' => 'no', 'interlock' => 'off'])
        ->assertJsonPath('reasons', ['outside_scope_material', 'safety_check_not_passed']);
    bring($this->learner, 2, $this->by, code: 'drill-grab');
    hold_badge($this, 'LEARNER', ['request' => $brass])->assertJson(['decision' => 'no', 'interlock' => 'off']);
    hold_badge($this, 'TEACHER');
    hold_badge($this, 'LEARNER', ['request' => $brass])->assertJson(['decision' => 'supervised', 'interlock' => 'on']);
    hold_badge($this, 'LEARNER', ['intent' => 'finish']);
    bring($this->learner, 5, $this->by, code: 'drill-grab');
    $asked = hold_badge($this, 'LEARNER', ['request' => null])->assertJson(['event' => 'asks', 'interlock' => 'off']);
    expect($asked->json('further.0.materials'))->toContain('brass_free_cutting');
    hold_badge($this, 'LEARNER', ['request' => $brass])->assertJson(['decision' => 'alone', 'interlock' => 'on']);
    hold_badge($this, 'LEARNER', ['intent' => 'finish']);
    $used = App\Competency\LedgerEntry::query()->where('type', 'machine_time')->orderBy('seq')->get()->groupBy('permit_id')->map->count();
    $id = fn (string $code): int => Permit::query()->where('code', $code)->value('id');
    expect($used->get($id('drill-grab')))->toBe(2)->and($used->get($id('drill-through-10')))->toBe(3)
        ->and($used->get($id('drill-ream-tap')))->toBeNull();
});

it('takes the power of brass work when its own permit is held, and leaves steel to the other', function (): void {
    at_a_gate($this);
    bring($this->learner, 5, $this->by, code: 'drill-grab');
    $brass = ['material' => 'brass_free_cutting', 'thickness_mm' => 10, 'operation' => 'drill', 'diameter_mm' => 6];
    hold_badge($this, 'LEARNER', ['request' => $brass])->assertJson(['decision' => 'alone', 'interlock' => 'on']);
    app(App\Competency\PlaceHold::class)(
        $this->learner,
        Permit::query()->where('code', 'drill-grab')->firstOrFail(),
        $this->by,
        'suspended',
        'Drill not dubbed.',
    );
    screen($this)->assertJson(['interlock' => 'off']);
    hold_badge($this, 'LEARNER', ['request' => $brass])->assertJson(['decision' => 'no'])->assertJsonPath('reasons', ['held']);
    hold_badge($this, 'LEARNER')->assertJson(['decision' => 'alone', 'interlock' => 'on']);
    expect(BadgeRead::query()->count())->toBeGreaterThan(2);
});

it('gives no power by a permit that widens when the permit of the machine is not there', function (): void {
    at_a_gate($this, 0);
    bring($this->learner, 5, $this->by, code: 'drill-grab');
    App\Competency\LedgerEntry::query()->count();
    $brass = ['material' => 'brass_free_cutting', 'thickness_mm' => 10, 'operation' => 'drill', 'diameter_mm' => 6];
    $permit = Permit::query()->where('code', 'drill-through-10')->firstOrFail();
    app(App\Competency\PlaceHold::class)($this->learner, $permit, $this->by, 'suspended', 'For this test.');
    hold_badge($this, 'LEARNER', ['request' => $brass])->assertJson(['decision' => 'no', 'interlock' => 'off']);
});
