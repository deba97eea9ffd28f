<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Planning\Drawing\Pen;

/**
 * A kind of operation: how it is made (`make`, with its facts, figures and cautions), which of its figures a learner
 * works out, and what it draws in the section. Registered in Steps; its words stand in planning's locale files.
 */
abstract class Kind
{
    /** @return non-empty-list<string> the names it goes by in a plan */
    abstract public static function names(): array;

    /** @return array<string, 'mm'|'rpm'|'divisions'> the figures that a learner can work out, with their units */
    public static function asked(): array
    {
        return [];
    }

    /** Whether the tool's name gives away a figure that is asked. */
    public static function toolTells(): bool
    {
        return false;
    }

    public static function draw(Pen $pen, PlanStep $step, Section $section): void
    {
    }
}
