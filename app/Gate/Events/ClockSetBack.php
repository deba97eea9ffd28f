<?php

declare(strict_types=1);

namespace App\Gate\Events;

use App\Support\RaisesAlert;
use Illuminate\Foundation\Events\Dispatchable;

/** The clock stands before what was written already: no machine gets power until somebody confirms that it is right. */
final readonly class ClockSetBack implements RaisesAlert
{
    use Dispatchable;

    public function kind(): string
    {
        return 'clock_set_back';
    }

    public function facts(): array
    {
        return [];
    }

    public function channels(): array
    {
        return ['shop'];
    }
}
