<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Assessment\Outcome;
use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Familiarity;
use MillStep\Core\Competency\Ledger\Entry;
use MillStep\Core\Competency\Ledger\Fold;
use MillStep\Core\Competency\Ledger\Line;

/** A practical sheet was concluded; on each of its pieces the latest counts, and one that is passed is enough. */
final readonly class AssessmentConcluded implements Entry
{
    /**
     * @param  string  $piece  which further piece of the sheet it was done on; empty for its first, and for one that has but one
     * @param  string|null  $machine  at which it was done: whoever passed there knows it
     */
    private function __construct(public string $assessment, public Outcome $outcome, public string $piece, public ?string $machine)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            $fields->text('assessment'),
            Outcome::from($fields->choice('outcome', array_column(Outcome::cases(), 'value'))),
            $fields->flag('further_piece', false) ? $fields->text('variant') : '',
            $fields->has('machine') ? $fields->text('machine') : null,
        );
    }

    public function restricts(): bool
    {
        return $this->outcome !== Outcome::Passed;
    }

    public function foldInto(Fold $fold, Line $line): void
    {
        $fold->concluded($this->assessment, $this->piece, $this->outcome);
        if ($this->machine !== null && $this->outcome === Outcome::Passed) {
            $fold->knows($this->machine, new Familiarity($line->at, 'sheet'));
        }
    }
}
