<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Thread;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;

/** A thread is cut away, or pressed out of the full by a forming tap. */
enum ThreadForm: string
{
    case Cut = 'cut';
    case Form = 'form';

    /** @throws \MillStep\Core\Border\InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        return self::from($fields->choice('form', array_column(self::cases(), 'value')));
    }

    /** How far under the major diameter a hole of 100 % thread lies, in pitches. */
    private function fullThread(): float
    {
        return $this === self::Cut ? 1.299038 : 0.68;
    }

    public function percent(Length $major, Length $pitch, Length $drill): float
    {
        return 100 * $major->minus($drill)->inMm() / ($this->fullThread() * $pitch->inMm());
    }

    public function drillFor(Length $major, Length $pitch, float $percent): Length
    {
        return $major->minus($pitch->times($this->fullThread() * $percent / 100));
    }
}
