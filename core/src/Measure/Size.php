<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Border\Result;

/** A size as the shop says it: its diameter, the system it comes from and its name there. */
final readonly class Size extends Result
{
    private const GREATEST_MM = 100;

    private const LONGEST_MM = 10_000;

    private const DECIMAL = '(?:\d{1,6}(?:[.,]\d{0,15})?|[.,]\d{1,15})';

    private const INCH = '(?:"|inch|in)';

    private function __construct(
        public Length $diameter,
        public SizeSystem $system,
        public string $designation,
    ) {
    }

    /**
     * Understands `#7`, `No. 7`, `F`, `3/8`, `1-1/4 in`, `15 thou`, `6.8 mm`, `6,8`, `.201"`, `⌀6`, `#7 drill`, `half inch`.
     *
     * @param  'mm'|'in'  $defaultUnit  for a decimal that names none
     *
     * @throws InvalidInput with field `text` when it is no size, is zero or is over 100 mm
     */
    public static function parse(string $text, string $defaultUnit = 'mm'): self
    {
        $size = self::understand($text, $defaultUnit);

        return $size->diameter->isAtMost(Length::mm(self::GREATEST_MM)) ? $size
            : throw self::refusal(trim($text), 'too_large',
                ['found_mm' => round($size->diameter->inMm(), 1), 'most_mm' => self::GREATEST_MM]);
    }

    /**
     * A length of stock, written as a size is, and as long as stock comes.
     *
     * @param  'mm'|'in'  $defaultUnit
     *
     * @throws InvalidInput with field `text` when it is no length, is zero or is over 10 m
     */
    public static function length(string $text, string $defaultUnit = 'mm'): self
    {
        $size = self::understand($text, $defaultUnit);

        return $size->diameter->isAtMost(Length::mm(self::LONGEST_MM)) ? $size
            : throw self::refusal(trim($text), 'too_long');
    }

    /**
     * @param  'mm'|'in'  $defaultUnit
     *
     * @throws InvalidInput
     */
    private static function understand(string $text, string $defaultUnit): self
    {
        $said = trim($text);
        $plain = strlen($said) > 40 ? '' : SizeWords::plain($said);
        $size = self::named($plain) ?? self::fraction($plain) ?? self::decimal($plain, $defaultUnit);
        if ($size === null) {
            throw $said === '' ? self::refusal($said, 'empty') : InvalidInput::named('text', SizeMeant::by($said, $plain));
        }
        if (! $size->diameter->isPositive()) {
            throw self::refusal($said, 'zero');
        }

        return $size;
    }

    private static function named(string $said): ?self
    {
        if (preg_match('/^(?:#|no\.?|number)\s*(\d{1,2})$/i', $said, $m) === 1) {
            $designation = '#'.(int) $m[1];
            $system = SizeSystem::Number;
        } elseif (preg_match('/^(?:letter\s+)?([a-z])$/i', $said, $m) === 1) {
            $designation = strtoupper($m[1]);
            $system = SizeSystem::Letter;
        } else {
            return null;
        }
        $diameter = DrillTable::standard()->find($system, $designation);

        return $diameter === null ? null : new self($diameter, $system, $designation);
    }

    private static function fraction(string $said): ?self
    {
        if (preg_match('/^(?:(\d{1,2})(?:\s*-\s*|\s+))?(\d{1,3})\s*\/\s*(\d{1,2})\s*'.self::INCH.'?$/i', $said, $m) !== 1) {
            return null;
        }
        [$whole, $numerator, $denominator] = [(int) $m[1], (int) $m[2], (int) $m[3]];
        if ($denominator < 1 || $denominator > 64 || ($denominator & ($denominator - 1)) !== 0) {
            return null;
        }
        $numerator += $whole * $denominator;
        while ($denominator > 1 && $numerator % 2 === 0) {
            $numerator = intdiv($numerator, 2);
            $denominator = intdiv($denominator, 2);
        }
        $units = intdiv($numerator, $denominator);
        $rest = $numerator % $denominator;
        $designation = match (true) {
            $rest === 0 => (string) $units,
            $units === 0 => "$rest/$denominator",
            default => "$units-$rest/$denominator",
        };

        return new self(Length::inchFraction($numerator, $denominator), SizeSystem::FractionInch, $designation);
    }

    private static function decimal(string $said, string $defaultUnit): ?self
    {
        if (preg_match('/^('.self::DECIMAL.')\s*(mm|cm|m|ft|\'|thousandths?|thou|'.self::INCH.')?$/i', $said, $m) !== 1) {
            return null;
        }
        $number = str_replace(',', '.', $m[1]);
        $unit = strtolower($m[2] ?? $defaultUnit);
        if ($unit === 'mm') {
            return new self(Length::mmDecimal($number), SizeSystem::Metric, self::shortest($number));
        }
        if ($unit === 'cm' || $unit === 'm') {
            $length = Length::mm(round(Length::mmDecimal($number)->inMm() * ($unit === 'm' ? 1000 : 10), 9));

            return new self($length, SizeSystem::Metric, self::shortest(number_format($length->inMm(), 9, '.', '')));
        }
        $inches = Length::inchDecimal($number);
        $length = match (true) {
            str_starts_with($unit, 'thou') => Length::mm($inches->inMm() / 1000),
            $unit === 'ft' || $unit === "'" => Length::mm($inches->inMm() * 12),
            default => $inches,
        };

        return new self($length, SizeSystem::DecimalInch, self::inchName($length));
    }

    /** Three decimals at least, four where the third does not tell. */
    private static function inchName(Length $length): string
    {
        $four = number_format($length->inInches(), 4, '.', '');

        return (str_ends_with($four, '0') ? substr($four, 0, -1) : $four).' in';
    }

    private static function shortest(string $number): string
    {
        [$whole, $part] = explode('.', $number.'.', 3);
        $whole = ltrim($whole, '0');
        $part = rtrim($part, '0');

        return ($whole === '' ? '0' : $whole).($part === '' ? '' : '.'.$part);
    }

    /** @param  array<string, float|int>  $terms */
    private static function refusal(string $said, string $why, array $terms = []): InvalidInput
    {
        return InvalidInput::at('text', "measure.size.$why", ['said' => Message::quote($said), ...$terms]);
    }
}
