<?php

declare(strict_types=1);

namespace MillStep\Core\Learning;

use MillStep\Core\Measure\Length;
use MillStep\Core\Result;

/**
 * A number of a lesson with its working, so that whoever presses it sees where it comes from.
 *
 * `kind` says how it is shown: `length` follows the reader's units, `drill` also has a designation, `speed`
 * is in rpm, `text` is words. `rule` names the sentence that explains it, `terms` the formula's values.
 */
final readonly class Figure extends Result
{
    /**
     * @param  'length'|'drill'|'speed'|'text'  $kind
     * @param  array<string, float|string>  $terms  symbol => value in the unit its name ends in
     * @param  bool  $teachingValue  rests on a table row that is workshop practice, not a standard
     */
    private function __construct(
        public string $key,
        public string $kind,
        public ?float $valueMm,
        public ?float $valueRpm,
        public ?string $name,
        public string $rule,
        public string $formula,
        public array $terms,
        public bool $teachingValue,
    ) {
    }

    /** @param  array<string, float|string>  $terms */
    public static function length(string $key, Length $value, string $rule, string $formula, array $terms): self
    {
        return new self($key, 'length', $value->inMm(), null, null, $rule, $formula, $terms, false);
    }

    /** @param  array<string, float|string>  $terms */
    public static function drill(string $key, string $designation, Length $diameter, string $rule, string $formula, array $terms): self
    {
        return new self($key, 'drill', $diameter->inMm(), null, $designation, $rule, $formula, $terms, false);
    }

    /** @param  array<string, float|string>  $terms */
    public static function speed(string $key, float $rpm, string $rule, string $formula, array $terms): self
    {
        return new self($key, 'speed', null, $rpm, null, $rule, $formula, $terms, true);
    }

    /** @param  array<string, float|string>  $terms */
    public static function text(string $key, string $words, string $rule, array $terms): self
    {
        return new self($key, 'text', null, null, $words, $rule, '', $terms, true);
    }
}
