<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Operation;
use MillStep\Core\Competency\Ledger\Ledger;

/** Where one learner stands with one permit, as of an instant, computed from the ledger alone. */
final readonly class Standing implements Operation
{
    /** @param  array<string, PrerequisiteStanding>  $prerequisites by permit */
    public function __construct(
        public \DateTimeImmutable $now,
        public Requirement $requirement,
        public Ledger $ledger,
        public array $prerequisites,
    ) {
    }

    public static function fromFields(Fields $fields): static
    {
        $requirement = Requirement::fromFields($fields->object('requirement'));
        $given = $fields->objectOrEmpty('prerequisites');
        $prerequisites = [];
        foreach ($requirement->prerequisites as $permit) {
            if ($given->has($permit)) {
                $prerequisites[$permit] = PrerequisiteStanding::fromFields($given->object($permit));
            }
        }

        // The shop's own is read as it was written; an account of what happened by its dates.
        $ledger = $fields->flag('own_ledger', false) ? Ledger::fromFields($fields) : Ledger::history($fields);

        return new self($fields->instant('now'), $requirement, $ledger, $prerequisites);
    }

    public function compute(): LadderPlace
    {
        return $this->of($this->ledger->asOf($this->now));
    }

    /** The place that a record already folded has; whoever keeps the record need not read the ledger again. */
    public function of(Record $record): LadderPlace
    {
        $asked = AskedNow::of($this, $record);
        $lapsed = $record->signature === null ? null : $this->lapse($record, $record->signature, $asked->requirement);
        // What is overdue takes a signature away, not what was climbed before it was asked.
        if ($asked->overdue !== [] && $record->signature !== null) {
            [$stage] = $this->climb($record, $asked->requirement->without($asked->overdue));
            if ($stage === Stage::Drilled) {
                return new LadderPlace($stage, $record->held(), $lapsed ?? Lapse::Requirement, [
                    ...array_map(static fn (Later $one): Need => $one->need(), $asked->overdue),
                    ...($lapsed === null ? [] : [Need::signOff()]),
                ], $asked->due);
            }
        }
        [$stage, $next] = $this->climb($record, $asked->requirement);
        if ($stage === Stage::Drilled) {
            [$stage, $next] = $record->signature !== null && $lapsed === null ? [Stage::Tapped, []] : [$stage, [Need::signOff()]];
        }

        return new LadderPlace($stage, $record->held(), $lapsed, $next, $asked->due);
    }

    /** @return list<string> permits that this one builds on, is asked for now, and that do not carry */
    public function prerequisitesMissing(Record $record): array
    {
        return $this->notCarrying(AskedNow::of($this, $record)->requirement);
    }

    /** Whether that need is met. */
    public function isMet(Need $need, Record $record): bool
    {
        return match ($need->kind) {
            NeedKind::Prerequisite => ($this->prerequisites[(string) $need->what] ?? null)?->carries() === true,
            NeedKind::Lesson, NeedKind::Guided => $this->undone([(string) $need->what], $record) === [],
            NeedKind::Check => ($record->checks[$need->what] ?? false) === true,
            NeedKind::Rehearsal => isset($record->rehearsals[$need->what]),
            NeedKind::Assessment => ($record->assessments[$need->what] ?? null) === 'passed',
            default => throw new \LogicException((string) $need),
        };
    }

    /** @return array{Stage, list<Need>} the stage reached without a signature, and what the next one still needs */
    private function climb(Record $record, Requirement $asked): array
    {
        $missing = fn (NeedKind $kind): array => array_values(array_filter(
            array_map(static fn (string $what): Need => Need::of($kind, $what), $asked->listed($kind)),
            fn (Need $need): bool => ! $this->isMet($need, $record),
        ));
        $needs = [
            $missing(NeedKind::Lesson),
            $missing(NeedKind::Check),
            [
                ...$missing(NeedKind::Rehearsal),
                ...self::shortfall('count', $asked->practiceCount - $record->practiceCount),
                ...self::shortfall('minutes', $asked->practiceMinutes - $record->practiceMinutes),
                ...$missing(NeedKind::Guided),
            ],
            $missing(NeedKind::Assessment),
        ];
        foreach ($needs as $stage => $open) {
            if ($open !== []) {
                return [Stage::from($stage), $open];
            }
        }

        return [Stage::Drilled, []];
    }

    private function lapse(Record $record, Signature $signature, Requirement $asked): ?Lapse
    {
        $grace = $asked->statementGraceUntil;

        return match (true) {
            $this->now > $signature->validUntil => Lapse::Expired,
            $signature->statementVersion !== $asked->statementVersion && ($grace === null || $this->now > $grace) => Lapse::Statement,
            $asked->recencyDays !== null && $record->lastAtMachine !== null
                && $this->now > $record->lastAtMachine->modify(sprintf('+%d days', $asked->recencyDays)) => Lapse::Recency,
            $this->notCarrying($asked) !== [] => Lapse::Prerequisite,
            default => null,
        };
    }

    /** @return list<string> */
    private function notCarrying(Requirement $asked): array
    {
        return array_values(array_filter(
            $asked->prerequisites,
            fn (string $permit): bool => ($this->prerequisites[$permit] ?? null)?->carries() !== true,
        ));
    }

    /**
     * @param  list<string>  $lessons
     * @return list<string> those not completed in a version that still counts
     */
    private function undone(array $lessons, Record $record): array
    {
        return array_values(array_filter(
            $lessons,
            fn (string $lesson): bool => ($record->lessons[$lesson] ?? -1) < ($this->requirement->accepted[$lesson] ?? 0),
        ));
    }

    /**
     * @param  'count'|'minutes'  $kind
     * @return list<Need>
     */
    private static function shortfall(string $kind, int $missing): array
    {
        return $missing > 0 ? [Need::practice($kind, $missing)] : [];
    }
}
