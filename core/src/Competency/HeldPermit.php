<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;

/** A permit that is needed, as the person holds it. */
final readonly class HeldPermit
{
    /** @param  Scope|null  $about  what the permit itself is for, signed or not; everything where it is not said */
    public function __construct(
        public Stage $stage,
        public bool $held,
        public ?Lapse $lapsed,
        public Scope $scope,
        public ?Scope $about = null,
    ) {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        return new self(
            Stage::from($fields->integer('stage', 0, 5)),
            $fields->flag('held'),
            $fields->has('lapsed') ? Lapse::from($fields->choice('lapsed', array_column(Lapse::cases(), 'value'))) : null,
            Scope::fromFields($fields->objectOrEmpty('scope')),
            $fields->has('about') ? Scope::fromFields($fields->object('about')) : null,
        );
    }

    /** Whether this work is this permit's: within the signature where it carries one, else within what the permit is for. */
    public function isFor(AccessRequest $request): bool
    {
        return $this->scope->covers($request) && $this->about?->covers($request) !== false;
    }

    /** The same permit with no limits of its own but a companion: what is done is judged by another. */
    public function unlimited(): self
    {
        return new self($this->stage, $this->held, $this->lapsed, new Scope(null, null, null, $this->scope->companion));
    }
}
