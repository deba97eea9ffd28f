<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Thread;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Impossible;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/** How much of a full thread stands in a hole. */
final readonly class ThreadPercent implements Operation
{
    public function __construct(public Length $major, public Length $pitch, public Length $drill, public ThreadForm $form)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            $fields->length('major_mm'),
            $fields->length('pitch_mm'),
            $fields->length('drill_mm'),
            ThreadForm::fromFields($fields),
        );
    }

    /** @throws Impossible when the hole is as wide as the thread */
    public function compute(): ThreadShare
    {
        return $this->drill->isLessThan($this->major) ? new ThreadShare($this->form->percent($this->major, $this->pitch, $this->drill))
            : throw Impossible::because('drill_mm', 'planning.hole_as_wide_as_thread');
    }
}
