<?php

declare(strict_types=1);

namespace MillStep\Core\Gate;

/** A badge at a machine's reader: who holds it, and who has the machine. */
final readonly class Tap
{
    /**
     * @param  string|null  $person  whose badge it is; null when nobody has it
     * @param  bool  $teaches  they may end turns and supervise
     * @param  string|null  $holder  who has the machine now
     */
    public function __construct(public Intent $intent, public ?string $person, public bool $teaches, public ?string $holder)
    {
    }

    public function meaning(): Meaning
    {
        $own = $this->person !== null && $this->person === $this->holder;

        return match (true) {
            $this->intent === Intent::HandOver && $own => Meaning::HandOver,
            $this->intent === Intent::HandOver && $this->teaches && $this->holder !== null => Meaning::EndByInstructor,
            $this->intent === Intent::Finish && $own => Meaning::Finish,
            $this->teaches => Meaning::Present,
            $this->person !== null && $this->holder !== null && ! $own => Meaning::InUse,
            $this->person !== null && $this->intent !== Intent::Start => Meaning::NothingToFinish,
            default => Meaning::Decide,
        };
    }
}
