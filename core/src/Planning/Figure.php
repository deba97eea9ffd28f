<?php

declare(strict_types=1);

namespace MillStep\Core\Planning;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Border\Result;

/**
 * A number with its working, so that whoever presses it sees where it comes from.
 *
 * `unit` says what `value` is in: `mm`, `rpm`, `mm_rev`, `s`, `nm` (newton metres), `percent`, `divisions`; null
 * for words, which stand in `name`. A drill has both: its diameter and its own designation. `rule` names the
 * sentence that explains the figure, `terms` the formula's values.
 */
final readonly class Figure extends Result
{
    /**
     * @param  'mm'|'rpm'|'mm_rev'|'s'|'nm'|'percent'|'divisions'|null  $unit
     * @param  array<string, float|string|Message>  $terms  symbol => value, in the unit that its name ends in
     * @param  bool  $teachingValue  rests on a table row that is workshop practice, not a standard
     * @param  Message|null  $unsure  what is known against it
     */
    private function __construct(
        public string $key,
        public ?string $unit,
        public ?float $value,
        public Message|string|null $name,
        public string $rule,
        public string $formula,
        public array $terms,
        public bool $teachingValue,
        public ?Message $unsure,
    ) {
    }

    /** @param  array<string, float|string|Message>  $terms */
    public static function length(string $key, Length $value, string $rule, string $formula = '', array $terms = []): self
    {
        return new self($key, 'mm', $value->inMm(), null, $rule, $formula, $terms, false, null);
    }

    /**
     * A length whose hundredths count (or thousandths): it is called by its number, as a drill is, and so shown whole.
     *
     * @param  array<string, float|string|Message>  $terms
     */
    public static function fine(string $key, Length $value, string $rule, string $formula, array $terms, int $decimals = 2): self
    {
        $rounded = round($value->inMm(), $decimals);

        return new self($key, 'mm', $rounded, (string) $rounded, $rule, $formula, $terms, false, null);
    }

    /** @param  array<string, float|string|Message>  $terms */
    public static function drill(
        string $key,
        string $designation,
        Length $diameter,
        string $rule,
        string $formula = '',
        array $terms = [],
    ): self {
        return new self($key, 'mm', $diameter->inMm(), $designation, $rule, $formula, $terms, false, null);
    }

    /**
     * @param  'rpm'|'mm_rev'|'s'|'nm'|'percent'|'divisions'  $unit
     * @param  array<string, float|string|Message>  $terms
     */
    public static function number(string $key, string $unit, float $value, string $rule, string $formula, array $terms): self
    {
        return new self($key, $unit, $value, null, $rule, $formula, $terms, false, null);
    }

    /** @param  array<string, float|string|Message>  $terms */
    public static function text(string $key, Message|string $words, string $rule, array $terms): self
    {
        return new self($key, null, null, $words, $rule, '', $terms, true, null);
    }

    /** The same figure, marked as resting on workshop practice, with what is known against it. */
    public function teaching(?Message $unsure = null): self
    {
        return new self(
            $this->key,
            $this->unit,
            $this->value,
            $this->name,
            $this->rule,
            $this->formula,
            $this->terms,
            true,
            $unsure ?? $this->unsure,
        );
    }

    /** The same figure under another name. */
    public function as(string $key): self
    {
        return new self(
            $key,
            $this->unit,
            $this->value,
            $this->name,
            $this->rule,
            $this->formula,
            $this->terms,
            $this->teachingValue,
            $this->unsure,
        );
    }

    /** The formula's values are named by their units already. */
    public function toArray(): array
    {
        return [
            'key' => $this->key, 'unit' => $this->unit, 'value' => $this->value,
            'name' => $this->name instanceof Message ? $this->name->toArray() : $this->name,
            'rule' => $this->rule, 'formula' => $this->formula,
            'terms' => (object) array_map(
                static fn (float|string|Message $term): float|string|array => $term instanceof Message ? $term->toArray() : $term,
                $this->terms,
            ),
            'teaching_value' => $this->teachingValue, 'unsure' => $this->unsure?->toArray(),
        ];
    }
}
