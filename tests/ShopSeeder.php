<?php

declare(strict_types=1);

namespace Tests;

use App\Competency\Permit;
use App\Demo\DemoShop;
use App\Policy\Policy;
use Illuminate\Database\Seeder;

/** The demo's shop without anybody in it, laid out once before the first test; each test takes its own changes back. */
final class ShopSeeder extends Seeder
{
    public function run(DemoShop $shop): void
    {
        $shop->shop();
        // Most tests are about one permit that builds on none: all_permits() brings the others back.
        foreach (Permit::query()->where('code', '!=', 'drill-through-10')->get() as $permit) {
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
