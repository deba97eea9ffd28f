<?php

declare(strict_types=1);

namespace App\Gate\Listeners;

use App\Gate\MachineSession;
use App\Gate\ReviewTurn;
use App\Support\Given;

/** Whatever may have taken a permission away: every turn that it can touch is decided anew, before the answer goes out. */
final class ReviewOpenTurns
{
    public function __construct(private readonly ReviewTurn $review)
    {
    }

    public function handle(): void
    {
        foreach (MachineSession::query()->whereNull('ended_at')->pluck('machine_id') as $machineId) {
            $this->review->at(Given::whole($machineId));
        }
    }
}
