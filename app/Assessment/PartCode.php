<?php

declare(strict_types=1);

namespace App\Assessment;

/** A code for a part that can be scribed on it and typed again: six signs, none that is taken for another. */
final class PartCode
{
    private const SIGNS = '2346789ACDEFHJKLMNPRTVWXY';

    private const LENGTH = 6;

    public static function free(): string
    {
        do {
            $code = '';
            for ($sign = 0; $sign < self::LENGTH; $sign++) {
                $code .= self::SIGNS[random_int(0, strlen(self::SIGNS) - 1)];
            }
        } while (SheetAttempt::query()->where('part_code', $code)->exists());

        return $code;
    }
}
