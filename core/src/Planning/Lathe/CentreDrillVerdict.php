<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Lathe;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;
use MillStep\Core\Reference\CentreDrill;

/** Does a centre carry? Too shallow and only the pilot bears, too deep and the body has spoiled the cone. */
final readonly class CentreDrillVerdict implements Operation
{
    /** Keeps a mouth that lies on a limit on its right side. */
    private const NOISE = 1e-9;

    public function __construct(public CentreDrill $drill, public Length $mouth)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(CentreDrill::fromFields($fields), $fields->length('mouth_mm'));
    }

    public function compute(): CentreCheck
    {
        $fraction = $this->mouth->minus($this->drill->pilot)->ratioTo($this->drill->flare());

        return new CentreCheck($fraction, match (true) {
            $fraction <= self::NOISE => CentreVerdict::PilotOnly,
            $fraction < 0.6 - self::NOISE => CentreVerdict::TooShallow,
            $fraction < 0.8 - self::NOISE => CentreVerdict::Shallow,
            $fraction <= 0.9 + self::NOISE => CentreVerdict::Good,
            $fraction < 1 - self::NOISE => CentreVerdict::Full,
            default => CentreVerdict::TooDeep,
        });
    }
}
