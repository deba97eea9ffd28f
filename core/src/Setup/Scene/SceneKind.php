<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene;

use MillStep\Core\Planning\Drawing\Pen;
use Random\Randomizer;

/** A machine with work on it: what a sound set-up of it is, and the places where something can be put wrong. */
abstract class SceneKind
{
    /** As a question's file calls it. Registered in SceneKinds. */
    abstract public static function name(): string;

    /** A sound set-up, its sizes drawn: the review has nothing against it. */
    abstract public static function sound(Randomizer $random): SceneFacts;

    /** @return list<class-string<Place>> in the order in which they are drawn */
    abstract public static function places(): array;

    /** What is there whatever the facts. */
    abstract public static function backdrop(Pen $pen, SceneFacts $facts): void;

    /**
     * One of a list.
     *
     * @template T of int|float|string
     *
     * @param  non-empty-list<T>  $of
     * @return T
     */
    final protected static function one(Randomizer $random, array $of): int|float|string
    {
        return $of[$random->getInt(0, count($of) - 1)];
    }
}
