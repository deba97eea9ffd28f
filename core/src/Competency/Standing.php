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

        return new self($fields->instant('now'), $requirement, Ledger::fromFields($fields), $prerequisites);
    }

    public function compute(): LadderPlace
    {
        return $this->of($this->ledger->asOf($this->now));
    }

    /** The place that a record already folded has; whoever keeps the record need not read the ledger again. */
    public function of(Record $record): LadderPlace
    {
        $lapsed = $record->signature === null ? null : $this->lapse($record, $record->signature);
        [$stage, $next] = $this->climb($record, $record->signature !== null && $lapsed === null);

        return new LadderPlace($stage, $record->held(), $lapsed, $next);
    }

    /** @return list<string> permits that this one builds on and that do not carry now */
    public function prerequisitesMissing(): array
    {
        return array_values(array_filter(
            $this->requirement->prerequisites,
            fn (string $permit): bool => ($this->prerequisites[$permit] ?? null)?->carries() !== true,
        ));
    }

    /** @return array{Stage, list<string>} the stage reached and what the next one still needs */
    private function climb(Record $record, bool $signedOff): array
    {
        $needs = [
            $this->missing('lesson', $this->undone($this->requirement->lessons, $record)),
            $this->missing('check', array_diff($this->requirement->checks, array_keys($record->checks, true, true))),
            [
                ...array_values(array_filter([
                    $this->shortfall('count', $this->requirement->practiceCount - $record->practiceCount),
                    $this->shortfall('minutes', $this->requirement->practiceMinutes - $record->practiceMinutes),
                ], is_string(...))),
                ...$this->missing('guided', $this->undone($this->requirement->guided, $record)),
            ],
            $this->missing('assessment', array_diff($this->requirement->assessments, array_keys($record->assessments, 'passed', true))),
            $signedOff ? [] : ['sign_off'],
        ];
        foreach ($needs as $stage => $missing) {
            if ($missing !== []) {
                return [Stage::from($stage), $missing];
            }
        }

        return [Stage::Tapped, []];
    }

    private function lapse(Record $record, Signature $signature): ?Lapse
    {
        $requirement = $this->requirement;
        $grace = $requirement->statementGraceUntil;

        return match (true) {
            $this->now > $signature->validUntil => Lapse::Expired,
            $signature->statementVersion !== $requirement->statementVersion && ($grace === null || $this->now > $grace) => Lapse::Statement,
            $requirement->recencyDays !== null && $record->lastAtMachine !== null
                && $this->now > $record->lastAtMachine->modify(sprintf('+%d days', $requirement->recencyDays)) => Lapse::Recency,
            $this->prerequisitesMissing() !== [] => Lapse::Prerequisite,
            default => null,
        };
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
     * @param  array<int, string>  $ids
     * @return list<string>
     */
    private function missing(string $kind, array $ids): array
    {
        return array_values(array_map(static fn (string $id): string => "$kind:$id", $ids));
    }

    private function shortfall(string $kind, int $missing): ?string
    {
        return $missing > 0 ? "practice:$kind:$missing" : null;
    }
}
