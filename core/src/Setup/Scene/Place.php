<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/**
 * A place of a drawn set-up that one can point at. It draws itself from the facts that the review goes by, says in words what
 * is seen there, and knows what can be wrong there. Registered in its kind of scene.
 */
abstract class Place
{
    /** As an answer names it. */
    abstract public static function name(): string;

    /** @return array{float, float, float, float} left, low, right, high */
    abstract public static function box(): array;

    abstract public static function draw(Pen $pen, SceneFacts $facts): void;

    /** What is seen there, for those who do not see it: the last part of its message's code. */
    abstract public static function state(SceneFacts $facts): string;

    /**
     * What can be put wrong there in such a set-up, every way of it.
     *
     * @return list<SceneFault>
     */
    abstract public static function faults(SceneFacts $sound): array;

    final public static function label(SceneFacts $facts): Message
    {
        return Message::of('setup.scene.'.static::name().'.'.static::state($facts), static::terms($facts));
    }

    /** @return array<string, int|float|string|Message> figures of its words, units in their names */
    protected static function terms(SceneFacts $facts): array
    {
        return [];
    }

    /** A box of a drawing, from corner to corner. */
    final protected static function block(
        Pen $pen,
        Style $style,
        float $left,
        float $low,
        float $right,
        float $high,
        bool $hatched = false,
    ): void {
        $pen->area($style, [[$left, $low], [$right, $low], [$right, $high], [$left, $high]], $hatched);
    }

    /** A hand with its thumb, from the wrist at the right. */
    final protected static function hand(Pen $pen, float $x, float $y, bool $gloved = false): void
    {
        $pen->area(Style::Outline, [
            [$x + 26, $y + 5], [$x + 14, $y + 6], [$x + 8, $y + 12], [$x + 5, $y + 11], [$x + 8, $y + 5], [$x, $y + 4],
            [$x, $y + 1], [$x + 4, $y], [$x + 4, $y - 4], [$x + 14, $y - 6], [$x + 26, $y - 5],
        ], $gloved);
    }
}
