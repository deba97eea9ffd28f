<?php

declare(strict_types=1);

namespace App\Gate;

use App\Gate\Events\ClockSetBack;
use App\Gate\Listeners\ReviewOpenTurns;
use Illuminate\Console\Command;

/** Ends turns that are over at machines whose screen does not ask: idle ones, and those past the shop's hours. */
final class ReviewTurns extends Command
{
    protected $signature = 'gate:review';

    protected $description = 'Decide every open turn anew';

    public function handle(ReviewOpenTurns $review): int
    {
        ConfirmClock::isWanted() && ClockSetBack::dispatch();
        $review->handle();

        return self::SUCCESS;
    }
}
