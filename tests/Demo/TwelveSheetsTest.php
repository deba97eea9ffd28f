<?php

declare(strict_types=1);

use App\Assessment\Mark;
use App\Assessment\SheetAttempt;
use App\Demo\DemoShop;

it('has believable histories on all twelve sheets where all permits are taught', function (): void {
    all_permits();
    app(DemoShop::class)->people();
    $concluded = SheetAttempt::query()->with('sheet')->whereNotNull('concluded_at')->get();
    expect($concluded->groupBy('sheet.code'))->toHaveCount(12)
        ->and($concluded->pluck('outcome')->unique()->sort()->values()->all())->toBe(['not_yet', 'passed', 'stopped'])
        ->and($concluded->whereNotNull('second_done_at')->count())->toBeGreaterThan(5)
        ->and(Mark::query()->whereNotNull('gauge_id')->count())->toBeGreaterThan(100)
        // Nobody marks in the future, and nobody before they began.
        ->and(Mark::query()->where('made_at', '>', now())->count())->toBe(0);
})->skip(fn (): bool => drawn(['today'], 3) === [], 'drawn every third day');
