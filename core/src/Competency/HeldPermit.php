<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;

/** A permit that is needed, as the person holds it. What it covers is the signature within what the permit is for today. */
final readonly class HeldPermit
{
    /**
     * @param  Scope  $scope  of the signature
     * @param  Scope|null  $about  what the permit itself is for today; no limit where it is not said
     * @param  bool  $familiar  they know this very machine
     */
    public function __construct(
        public Stage $stage,
        public bool $held,
        public ?Lapse $lapsed,
        public Scope $scope,
        public ?Scope $about = null,
        public bool $familiar = true,
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
            $fields->isTrue('familiar', absent: true),
        );
    }

    /** @return non-empty-list<Scope> all that limits it: work is covered that lies within each of them */
    public function limits(): array
    {
        return $this->about === null ? [$this->scope] : [$this->scope, $this->about];
    }

    public function covers(AccessRequest $request): bool
    {
        return $this->scope->covers($request) && $this->about?->covers($request) !== false;
    }

    /** Whether this work is what the permit is for. One that limits nothing is for no work in particular. */
    public function isForWork(AccessRequest $request): bool
    {
        $for = $this->about?->limitsAnything() === true ? $this->about : $this->scope;

        return $for->limitsAnything() && $for->covers($request);
    }

    public function wantsCompanion(): bool
    {
        return $this->scope->companion || $this->about?->companion === true;
    }

    /** The same permit with each limit that the further one names left to that one. Stage, lapse and companion stay. */
    public function widenedBy(self $further): self
    {
        return new self(
            $this->stage,
            $this->held,
            $this->lapsed,
            $this->scope->replacedBy(...$further->limits()),
            $this->about?->replacedBy(...$further->limits()),
            $this->familiar,
        );
    }
}
