<?php

declare(strict_types=1);

namespace MillStep\Core\Border;

/**
 * A length, held as a whole number of femtometres (1e-12 mm). 1/64 in, 0.0001 in and 0.001 mm are all
 * whole numbers of them, so sums and comparisons of shop sizes are exact; computed lengths lose less than
 * any figure of this trade can show.
 */
final readonly class Length
{
    /** Two lengths nearer than this are the same length to the shop. */
    public const TOLERANCE_MM = 0.0005;

    public const GREATEST_MM = 1e6;

    private const PER_MM = 1_000_000_000_000;

    private const TOLERANCE = 500_000_000;

    private const PER_INCH = 25_400_000_000_000;

    private function __construct(private int $femtometres)
    {
    }

    /** @throws \DomainException when not finite or over a kilometre */
    public static function mm(float|int $millimetres): self
    {
        if (! is_finite((float) $millimetres) || abs($millimetres) > self::GREATEST_MM) {
            throw new \DomainException('over_a_kilometre');
        }

        return new self(is_int($millimetres) ? $millimetres * self::PER_MM : (int) round($millimetres * self::PER_MM));
    }

    /** Exact for any denominator that divides 25 400 µm evenly, 64ths among them. */
    public static function inchFraction(int $numerator, int $denominator): self
    {
        return new self(intdiv($numerator * self::PER_INCH, $denominator));
    }

    /** `$decimal` as written, for example "0.201". */
    public static function inchDecimal(string $decimal): self
    {
        return self::fromDecimal($decimal, self::PER_INCH);
    }

    /** `$decimal` as written, for example "6.8". */
    public static function mmDecimal(string $decimal): self
    {
        return self::fromDecimal($decimal, self::PER_MM);
    }

    public static function zero(): self
    {
        return new self(0);
    }

    public function inMm(): float
    {
        return $this->femtometres / self::PER_MM;
    }

    public function inInches(): float
    {
        return $this->femtometres / self::PER_INCH;
    }

    /** @throws \DomainException when the sum is over a kilometre */
    public function plus(self $other): self
    {
        return self::checked($this->femtometres + $other->femtometres);
    }

    /** @throws \DomainException when the difference is over a kilometre */
    public function minus(self $other): self
    {
        return self::checked($this->femtometres - $other->femtometres);
    }

    /** @throws \DomainException when the product is over a kilometre */
    public function times(float|int $factor): self
    {
        return is_int($factor) ? self::checked($this->femtometres * $factor) : self::mm($this->inMm() * $factor);
    }

    public function absolute(): self
    {
        return new self(abs($this->femtometres));
    }

    public function ratioTo(self $other): float
    {
        return $this->femtometres / $other->femtometres;
    }

    /** -1, 0 or 1 without the shop's tolerance, for sorting. */
    public function compareExactly(self $other): int
    {
        return $this->femtometres <=> $other->femtometres;
    }

    public function equals(self $other): bool
    {
        return abs($this->femtometres - $other->femtometres) <= self::TOLERANCE;
    }

    public function isLessThan(self $other): bool
    {
        return $this->femtometres < $other->femtometres - self::TOLERANCE;
    }

    public function isGreaterThan(self $other): bool
    {
        return $other->isLessThan($this);
    }

    public function isAtMost(self $other): bool
    {
        return ! $other->isLessThan($this);
    }

    public function isAtLeast(self $other): bool
    {
        return ! $this->isLessThan($other);
    }

    public function isPositive(): bool
    {
        return $this->femtometres > 0;
    }

    private static function checked(int|float $femtometres): self
    {
        // PHP turns an integer that overflows into a float.
        return is_int($femtometres) && abs($femtometres) <= self::GREATEST_MM * self::PER_MM
            ? new self($femtometres)
            : throw new \DomainException('over_a_kilometre');
    }

    private static function fromDecimal(string $decimal, int $perUnit): self
    {
        [$whole, $part] = explode('.', $decimal.'.', 3);
        $part = substr($part, 0, 12);
        $value = (int) $whole * $perUnit;
        if ($part !== '') {
            // Digit by digit keeps the product inside 64 bits and exact while the unit divides evenly.
            $unit = $perUnit;
            foreach (str_split($part) as $digit) {
                $unit = intdiv($unit, 10);
                $value += (int) $digit * $unit;
            }
        }

        return new self($value);
    }
}
