<?php

declare(strict_types=1);

namespace App\Assessment;

use Carbon\CarbonImmutable;
use MillStep\Core\Assessment\Conduct;
use MillStep\Core\Assessment\Moment;

/**
 * What the lines of a sheet come to: for each seat and criterion the verdict that stands, the readings that count, and what counts
 * no longer.
 */
final class Marks
{
    /** @var array<string, list<Mark>> by seat and criterion, those that nobody undid; the last one stands */
    private array $verdicts = [];

    /** @var array<string, list<Mark>> those that count */
    private array $readings = [];

    /** @var array<string, list<Mark>> readings that a correction put aside, and whatever was undone */
    private array $aside = [];

    /** @var array<string, Mark> that the learner does not measure */
    private array $declined = [];

    /** @var array<string, list<Mark>> */
    private array $notes = [];

    /** @var array<string, Mark> what was said of the outcome, by kind; of the learner's word the learner's own */
    private array $said = [];

    /** @var list<array{Moment, CarbonImmutable}> */
    private array $conduct = [];

    /** How often somebody has marked or measured, whatever became of it. */
    private int $made = 0;

    /** @param  iterable<Mark>  $marks  in the order in which they were recorded */
    public function __construct(iterable $marks)
    {
        foreach ($marks as $mark) {
            $at = self::at($mark->criterion, $mark->seat);
            $this->made += in_array($mark->kind, ['verdict', 'reading', 'declined'], true) ? 1 : 0;
            match ($mark->kind) {
                'verdict' => $this->verdicts[$at][] = $mark,
                'reading' => $this->read($at, $mark),
                'declined' => $this->declined[$at] = $mark,
                'undone' => $this->undo($at, $mark->value['mark'] ?? ''),
                'note' => $this->notes[$mark->criterion][] = $mark,
                'conduct' => $this->conduct[] = [Moment::from($mark->value['moment'] ?? ''), $mark->made_at],
                'answered', 'appealed', 'appeal_answered' => $this->said[$mark->kind] = $mark,
            };
        }
    }

    public function verdict(string $criterion, Seat $seat = Seat::Assessor): ?Mark
    {
        $verdicts = $this->verdicts[self::at($criterion, $seat)] ?? [];

        return $verdicts === [] ? null : $verdicts[count($verdicts) - 1];
    }

    /** @return list<Mark> */
    public function readings(string $criterion, Seat $seat = Seat::Assessor): array
    {
        return $this->readings[self::at($criterion, $seat)] ?? [];
    }

    /** Whether the learner has measured it, or it was said that they do not. */
    public function learnerIsDone(string $criterion): bool
    {
        return $this->readings($criterion, Seat::Learner) !== [] || $this->learnerDeclined($criterion);
    }

    public function learnerDeclined(string $criterion): bool
    {
        return $this->readings($criterion, Seat::Learner) === [] && isset($this->declined[self::at($criterion, Seat::Learner)]);
    }

    /** Why the learner does not measure it. */
    public function whyDeclined(string $criterion): ?string
    {
        return $this->learnerDeclined($criterion) ? $this->declined[self::at($criterion, Seat::Learner)]->why : null;
    }

    /** @return list<Mark> */
    public function notes(string $criterion): array
    {
        return $this->notes[$criterion] ?? [];
    }

    /** @return list<Mark> what was marked and counts no longer, the earliest first */
    public function before(string $criterion, Seat $seat = Seat::Assessor): array
    {
        $at = self::at($criterion, $seat);
        $before = [...array_slice($this->verdicts[$at] ?? [], 0, -1), ...$this->aside[$at] ?? []];
        usort($before, static fn (Mark $a, Mark $b): int => $a->seq <=> $b->seq);

        return $before;
    }

    /** How it went by the clock. */
    public function conduct(): Conduct
    {
        return Conduct::of($this->conduct);
    }

    /** How often somebody has marked or measured, also where it was taken back. */
    public function made(): int
    {
        return $this->made;
    }

    /**
     * What was said of the outcome: the learner's word, an appeal, and what another assessor answers to it.
     *
     * @param  'answered'|'appealed'|'appeal_answered'  $kind
     */
    public function said(string $kind): ?Mark
    {
        return $this->said[$kind] ?? null;
    }

    /** A correction begins anew; a reading without one is taken beside those before it. */
    private function read(string $at, Mark $mark): void
    {
        if ($mark->why !== null || ($mark->value['anew'] ?? false)) {
            $this->aside[$at] = [...$this->aside[$at] ?? [], ...$this->readings[$at] ?? []];
            $this->readings[$at] = [];
        }
        $this->readings[$at][] = $mark;
    }

    private function undo(string $at, string $id): void
    {
        $isIt = static fn (Mark $mark): bool => $mark->id === $id;
        foreach ([&$this->verdicts, &$this->readings] as &$marks) {
            $this->aside[$at] = [...$this->aside[$at] ?? [], ...array_values(array_filter($marks[$at] ?? [], $isIt))];
            $marks[$at] = array_values(array_filter($marks[$at] ?? [], static fn (Mark $mark): bool => ! $isIt($mark)));
        }
    }

    private static function at(string $criterion, Seat $seat): string
    {
        return "{$seat->value} $criterion";
    }
}
