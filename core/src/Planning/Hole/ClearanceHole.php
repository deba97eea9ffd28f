<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Hole;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\NoCandidate;
use MillStep\Core\Border\Operation;
use MillStep\Core\Workshop\Drill;

/** The drill for a fastener to pass: the nearest at or above what the table or the shop's rule asks for. */
final readonly class ClearanceHole implements Operation
{
    /** @param  non-empty-list<Drill>  $drills */
    public function __construct(public Length $ideal, public array $drills)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        $major = $fields->length('major_mm');
        if ($fields->choice('rule', ['table', 'plus']) === 'plus') {
            return new self($major->plus($fields->lengthOrZero('plus_mm')), Drill::set($fields));
        }
        $fit = $fields->choice('fit', ['close', 'normal', 'loose']);
        $ideal = $fields->object('row')->length("clearance_{$fit}_mm");

        return $ideal->isAtLeast($major) ? new self($ideal, Drill::set($fields))
            : throw $fields->fault('row', 'planning.clearance_too_small');
    }

    /** @throws NoCandidate when every drill is smaller */
    public function compute(): ClearanceDrill
    {
        $drill = Drill::smallestAtLeast($this->drills, $this->ideal);

        return $drill !== null ? new ClearanceDrill($this->ideal, $drill)
            : throw NoCandidate::in(
                'drills',
                'planning.no_drill_at_least',
                ['wanted_mm' => $this->ideal->inMm(), 'nearest' => Drill::nearest($this->drills, $this->ideal)->designation ?? ''],
            );
    }
}
