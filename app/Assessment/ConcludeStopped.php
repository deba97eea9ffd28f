<?php

declare(strict_types=1);

namespace App\Assessment;

use Carbon\CarbonImmutable;
use Illuminate\Console\Command;
use MillStep\Core\Assessment\Slip;
use Symfony\Component\Console\Attribute\AsCommand;

/** A stop ends a sheet, also where the tablet that marked it went flat: what nobody took back in time goes into the record. */
#[AsCommand('assessment:conclude-stopped', 'Concludes sheets that a slip has stopped')]
final class ConcludeStopped extends Command
{
    /** Beside the seconds of a slip: a tablet that takes it back may be a while without a network. */
    private const GRACE_S = 120;

    public function handle(ConcludeAssessment $conclude): int
    {
        $long = CarbonImmutable::now()->subSeconds(Slip::SECONDS + self::GRACE_S);
        foreach (SheetAttempt::stillOpen()->with('assessor')->where('stopped_at', '<', $long)->get() as $attempt) {
            $conclude($attempt, $attempt->assessor);
        }

        return self::SUCCESS;
    }
}
