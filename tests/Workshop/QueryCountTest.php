<?php

declare(strict_types=1);

use App\People\Role;
use App\Workshop\Bar;
use App\Workshop\Crib;
use App\Workshop\Machine;
use Illuminate\Support\Facades\DB;

/** @return int how often the database was asked */
function asked($test, string $path): int
{
    $test->getJson($path)->assertOk();
    DB::flushQueryLog();
    DB::enableQueryLog();
    $test->getJson($path)->assertOk();
    DB::disableQueryLog();

    return count(DB::getQueryLog());
}

/** An empty list asks for itself alone; one with entries for what belongs to them, too. */
function self_and_its_relations(): int
{
    return 5;
}

it('asks the database no more often for a large shop than for a small one', function (string $path, Closure $more): void {
    $this->actingAs($this->person(Role::Lead));
    $before = asked($this, $path);
    $more->call($this);
    expect(asked($this, $path))->toBeLessThanOrEqual(max($before, self_and_its_relations()), $path)->and($before)->toBeLessThan(12);
})->with([
    'machines' => ['/api/workshop/machines', function (): void {
        $crib = Crib::query()->firstOrFail();
        foreach (range(1, 12) as $n) {
            Machine::query()
                ->create([
                    'slug' => "extra-$n",
                    'name' => "Extra $n",
                    'kind' => 'bench_drill_press',
                    'speeds_rpm' => [500.0],
                    'in_service' => true,
                ])
                ->cribs()
                ->attach($crib->id);
        }
    }],
    'cribs' => ['/api/workshop/cribs', function (): void {
        foreach (range(1, 12) as $n) {
            $crib = Crib::query()->create(['slug' => "extra-$n", 'name' => "Extra $n"]);
            foreach (range(1, 20) as $size) {
                $crib->tools()
                    ->create([
                        'kind' => 'drill', 'designation' => (string) $size, 'diameter_mm' => $size, 'edge' => 'normal',
                        'condition' => 'good', 'details' => [],
                    ]);
            }
        }
    }],
    'bars' => ['/api/workshop/bars', function (): void {
        foreach (range(1, 30) as $n) {
            Bar::query()->create(['material' => 'nylon', 'diameter_mm' => 10 + $n, 'length_mm' => 777, 'count' => 2]);
        }
    }],
    'plans' => ['/api/planning/plans', function (): void {
        foreach (range(1, 15) as $n) {
            $this->putJson('/api/planning/plans/'.fake_uuid(), ['name' => "Extra $n", 'kind' => 'hole', 'part' => 'foot-plate',
                'request' => [
                    'machine' => 'bench-drill', 'material' => 'mild_steel', 'thickness' => '8', 'purpose' => 'plain',
                    'size' => (string) ($n / 2 + 2), 'through' => true,
                ]])->assertCreated();
        }
    }],
    'materials' => ['/api/workshop/materials', fn (): null => null],
    'policy' => ['/api/workshop/policy', fn (): null => null],
]);
