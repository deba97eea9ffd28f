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
    /** So much of the cone carries well, and no more. */
    public const GOOD_FROM = 0.8;

    public const GOOD_TO = 0.9;

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
            $fraction < self::GOOD_FROM - self::NOISE => CentreVerdict::Shallow,
            $fraction <= self::GOOD_TO + self::NOISE => CentreVerdict::Good,
            $fraction < 1 - self::NOISE => CentreVerdict::Full,
            default => CentreVerdict::TooDeep,
        });
    }
}
