<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Thread;

use MillStep\Core\Border\Result;

final readonly class TapTwist extends Result
{
    public function __construct(public float $torqueNm, public float $breaksNm, public bool $sound)
    {
    }

    /** Of a tap that twists so many times as much. */
    public function times(float $factor): self
    {
        return new self($this->torqueNm * $factor, $this->breaksNm, $this->breaksNm >= TappingTorque::WORST * $this->torqueNm * $factor);
    }

    public function toArray(): array
    {
        return ['torque_nm' => $this->torqueNm, 'breaks_nm' => $this->breaksNm, 'verdict' => $this->sound ? 'sound' : 'weak'];
    }
}
