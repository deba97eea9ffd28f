<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;

/** A permit that is needed, as the person holds it. */
final readonly class HeldPermit
{
    public function __construct(public Stage $stage, public bool $held, public ?Lapse $lapsed, public Scope $scope)
    {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        return new self(
            Stage::from($fields->integer('stage', 0, 5)),
            $fields->flag('held'),
            $fields->has('lapsed') ? Lapse::from($fields->choice('lapsed', array_column(Lapse::cases(), 'value'))) : null,
            Scope::fromFields($fields->objectOrEmpty('scope')),
        );
    }
}
