<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

use MillStep\Core\Exception\InvalidInput;
use MillStep\Core\Fields;
use MillStep\Core\Operation;

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

    /** @throws InvalidInput when a correction names an entry that does not exist */
    public function compute(): LadderPlace
    {
        $record = $this->ledger->asOf($this->now);
        $lapsed = $record->signOff === null ? null : $this->lapse($record, $record->signOff);
        [$stage, $next] = $this->climb($record, $record->signOff !== null && $lapsed === null);

        return new LadderPlace($stage, $record->held, $lapsed, $next);
    }

    /** @return array{Stage, list<string>} the stage reached and what the next one still needs */
    private function climb(Record $record, bool $signedOff): array
    {
        $needs = [
            $this->missing('lesson', array_diff($this->requirement->lessons, $record->lessons)),
            $this->missing('check', array_diff($this->requirement->checks, array_keys($record->checks, true, true))),
            array_values(array_filter([
                $this->shortfall('count', $this->requirement->practiceCount - $record->practiceCount),
                $this->shortfall('minutes', $this->requirement->practiceMinutes - $record->practiceMinutes),
            ], is_string(...))),
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

    private function lapse(Record $record, SignOff $signOff): ?Lapse
    {
        $requirement = $this->requirement;
        $grace = $requirement->statementGraceUntil;

        return match (true) {
            $this->now > $signOff->validUntil => Lapse::Expired,
            $signOff->statementVersion < $requirement->statementVersion && ($grace === null || $this->now > $grace) => Lapse::Statement,
            $requirement->recencyDays !== null && $record->lastAtMachine !== null
                && $this->now > $record->lastAtMachine->modify(sprintf('+%d days', $requirement->recencyDays)) => Lapse::Recency,
            $this->prerequisiteFails() => Lapse::Prerequisite,
            default => null,
        };
    }

    private function prerequisiteFails(): bool
    {
        foreach ($this->requirement->prerequisites as $permit) {
            if (! ($this->prerequisites[$permit] ?? null)?->carries()) {
                return true;
            }
        }

        return false;
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
