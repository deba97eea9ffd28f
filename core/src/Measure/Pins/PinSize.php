<?php

declare(strict_types=1);

namespace MillStep\Core\Measure\Pins;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;
use MillStep\Core\Measure\Verdict;

/** A hole's size by pins: at least the widest that enters with light pressure, less than the narrowest that does not. */
final readonly class PinSize implements Operation
{
    public function __construct(public Length $go, public Length $noGo, public ?Length $lower = null, public ?Length $upper = null)
    {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): static
    {
        $go = $fields->length('go_mm');
        $noGo = $fields->length('no_go_mm');
        if ($noGo->isAtMost($go)) {
            throw $fields->fault('no_go_mm', 'input.below', ['other' => 'go_mm']);
        }
        $lower = $fields->has('lower_mm') ? $fields->length('lower_mm') : null;
        $upper = $fields->has('upper_mm') ? $fields->length('upper_mm') : null;
        if ($lower !== null && $upper?->isLessThan($lower) === true) {
            throw $fields->fault('upper_mm', 'input.below', ['other' => 'lower_mm']);
        }

        return new self($go, $noGo, $lower, $upper);
    }

    public function compute(): PinnedSize
    {
        return new PinnedSize($this->go, $this->noGo, $this->lower === null || $this->upper === null ? null : match (true) {
            $this->go->isAtLeast($this->lower) && $this->noGo->isAtMost($this->upper) => Verdict::In,
            $this->noGo->isAtMost($this->lower), $this->go->isGreaterThan($this->upper) => Verdict::Out,
            default => Verdict::Doubtful,
        });
    }
}
