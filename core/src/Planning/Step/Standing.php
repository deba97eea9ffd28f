<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Message;

/** What holds at every step of its kind. It stands before each of them in one quiet line; none is ever left out. */
enum Standing: string
{
    case Eyes = 'eyes';
    case KeyOut = 'key_out';
    case Held = 'held';
    case Standstill = 'standstill';
    case Brush = 'brush';

    /** @return list<self> of whatever turns: on the lathe it is the work, and the chuck holds it */
    public static function underPower(bool $onLathe): array
    {
        return $onLathe
            ? [self::Eyes, self::KeyOut, self::Standstill, self::Brush]
            : [self::Eyes, self::KeyOut, self::Held, self::Standstill, self::Brush];
    }

    public function word(): Message
    {
        return Message::of("planning.standing.$this->value");
    }
}
