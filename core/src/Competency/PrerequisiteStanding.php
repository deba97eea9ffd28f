<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;

final readonly class PrerequisiteStanding
{
    public function __construct(public Stage $stage, public bool $held, public bool $lapsed)
    {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        return new self(Stage::from($fields->integer('stage', 0, 5)), $fields->flag('held', false), $fields->has('lapsed'));
    }

    public function carries(): bool
    {
        return $this->stage === Stage::Tapped && ! $this->held && ! $this->lapsed;
    }
}
