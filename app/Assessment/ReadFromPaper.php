<?php

declare(strict_types=1);

namespace App\Assessment;

use App\People\User;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Assessment\PaperMarks;
use MillStep\Core\Border\InvalidInput;
use Ramsey\Uuid\Uuid;

/** Reads a printed sheet back that was filled in by hand: all of it or, where one entry cannot be taken, none. */
final class ReadFromPaper
{
    public function __construct(private readonly MarkCriterion $mark)
    {
    }

    /**
     * @param  string  $id  of this reading; read in once more it is the same marks
     * @param  string  $why  that it is from paper: where something else was marked before
     *
     * @throws Refusal as MarkCriterion
     * @throws InvalidInput at `text`
     */
    public function __invoke(SheetAttempt $attempt, User $by, string $id, string $text, string $why): SheetAttempt
    {
        return DB::transaction(function () use ($attempt, $by, $id, $text, $why): SheetAttempt {
            $lines = $attempt->load('sheet')->criteria();
            $stops = array_map(Sheet::stopsOn(...), array_column($lines, null, 'id'));
            $results = PaperMarks::read($text, $lines)->results;
            // What stops comes last: a sheet that is stopped takes nothing more.
            uksort($results, static fn (string $a, string $b): int => in_array($results[$a], $stops[$a], true)
                <=> in_array($results[$b], $stops[$b], true));
            foreach ($results as $criterion => $result) {
                $attempt = ($this->mark)($attempt, $by, Seat::Assessor, [
                    'id' => Uuid::uuid5($id, $criterion)->toString(), 'criterion' => $criterion, 'made_at' => CarbonImmutable::now(),
                    'result' => $result, 'why' => $why,
                ]);
            }

            return SheetAttempt::withSheet()->findOrFail($attempt->id);
        });
    }
}
