<?php

declare(strict_types=1);

namespace Tests;

use App\Competency\Permit;
use App\Demo\DemoShop;
use App\Policy\Policy;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;

/** The demo's shop without anybody in it, laid out once before the first test; each test takes its own changes back. */
final class ShopSeeder extends Seeder
{
    /** @var array<string, list<array<string, mixed>>> the rows of the permits that most tests are not about, by table */
    public static array $others = [];

    public function run(DemoShop $shop): void
    {
        $shop->shop();
        // Most tests are about one permit that builds on none: all_permits() brings the others back, as they were.
        $others = Permit::query()->where('code', '!=', 'drill-through-10')->get();
        $tables = ['competency_permits' => 'id', 'competency_statements' => 'permit_id', 'competency_machine_permit' => 'permit_id'];
        foreach ($tables as $table => $key) {
            self::$others[$table] = array_values(DB::table($table)->whereIn($key, $others->modelKeys())->orderBy($key)->get()
                ->map(static fn (object $row): array => (array) $row)->all());
        }
        foreach ($others as $permit) {
            $permit->machines()->detach();
            $permit->statements()->delete();
            $permit->delete();
        }
        $permit = Permit::query()->sole();
        $permit->update(['requirement' => [...$permit->requirement, 'prerequisites' => []]]);
        // The demo's shop has hours and companions; most tests are about neither.
        Policy::query()
            ->sole()
            ->update([
                'settings' => [
                    ...Policy::settingsInForce(),
                    'hours' => TestCase::ALWAYS,
                    'companion_required' => false,
                    'time_zone' => 'UTC',
                ],
            ]);
    }
}
