<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment\Measuring;

use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Measure\Reading;

/** What was typed for one reading, field by field; a fault names the field. */
final class Typed
{
    private const YES = ['yes' => true, 'no' => false];

    /**
     * @param  array<string, string>  $typed
     * @param  'mm'|'in'  $units
     *
     * @throws InvalidInput
     */
    public static function length(array $typed, string $field, string $units, bool $signed = false): Length
    {
        $text = trim($typed[$field] ?? '');
        if ($text === '') {
            throw InvalidInput::at($field, 'assessment.reading_missing');
        }
        try {
            return Reading::parse($text, $units, $signed);
        } catch (InvalidInput $fault) {
            throw InvalidInput::named($field, $fault->says);
        }
    }

    /**
     * @param  array<string, string>  $typed
     *
     * @throws InvalidInput
     */
    public static function yes(array $typed, string $field): bool
    {
        return self::YES[$typed[$field] ?? ''] ?? throw InvalidInput::at($field, 'assessment.go_or_not');
    }

    /**
     * @param  array<string, string>  $typed
     *
     * @throws InvalidInput
     */
    public static function turns(array $typed, string $field): float
    {
        $text = str_replace(',', '.', trim($typed[$field] ?? ''));

        return preg_match('/^\d{1,2}(?:\.\d{1,2})?$/', $text) === 1 ? (float) $text
            : throw InvalidInput::at($field, 'assessment.turns_missing');
    }
}
