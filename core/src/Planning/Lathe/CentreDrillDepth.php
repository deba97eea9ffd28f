<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Lathe;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;
use MillStep\Core\Planning\Cutting\Cone;
use MillStep\Core\Reference\CentreDrill;

/** How deep to go for so much of the 60° cone, and how wide its mouth is then. */
final readonly class CentreDrillDepth implements Operation
{
    /** The cone of a centre, over both sides. */
    public const CONE_DEG = 60.0;

    /** So much of the cone carries a live centre well: from four fifths to nine tenths. */
    public const USUAL = 0.85;

    public function __construct(public CentreDrill $drill, public Length $pilotLength, public float $fraction)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        $drill = CentreDrill::fromFields($fields);
        $fraction = $fields->notNegative('fraction', self::USUAL);

        return $fraction <= 1 ? new self($drill, $fields->length('pilot_length_mm'), $fraction)
            : throw $fields->fault('fraction', 'input.not_from_to', ['least' => 0, 'most' => 1, 'found' => $fraction]);
    }

    public function compute(): CentreDepth
    {
        $cone = Cone::depth($this->drill->body, $this->drill->pilot, self::CONE_DEG);

        return new CentreDepth(
            $cone,
            $this->pilotLength->plus($cone->times($this->fraction)),
            $this->drill->pilot->plus($this->drill->flare()->times($this->fraction)),
        );
    }
}
