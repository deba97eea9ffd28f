<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;

/** A reading of an instrument: a size as typed, or zero, or (for a deviation) one with a sign. */
final class Reading
{
    /**
     * @param  'mm'|'in'  $defaultUnit
     *
     * @throws InvalidInput with field `text`
     */
    public static function parse(string $text, string $defaultUnit = 'mm', bool $signed = false): Length
    {
        $said = trim($text);
        $negative = $signed && preg_match('/^[-−–]/u', $said) === 1;
        $bare = $signed ? (string) preg_replace('/^[-−–+]\s*/u', '', $said) : $said;
        if (preg_match('/^0+(?:[.,]0*)?\s*(?:mm|in|inch|")?$/i', $bare) === 1) {
            return Length::zero();
        }
        $length = Size::parse($bare, $defaultUnit)->diameter;

        return $negative ? Length::zero()->minus($length) : $length;
    }
}
