<?php

declare(strict_types=1);

namespace App\Planning\Wall;

/** The sheets that a school's printer takes. */
enum Paper: string
{
    case A4 = 'a4';
    case Letter = 'letter';
    case A3 = 'a3';

    /** @return array{float, float} width and height upright, in millimetres */
    public function size(): array
    {
        return match ($this) {
            self::A4 => [210.0, 297.0],
            self::Letter => [215.9, 279.4],
            self::A3 => [297.0, 420.0],
        };
    }
}
