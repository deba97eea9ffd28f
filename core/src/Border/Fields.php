<?php

declare(strict_types=1);

namespace MillStep\Core\Border;

/**
 * Reads and checks the keys of one JSON object. Nothing is clamped, cast or guessed: what does not fit is
 * refused with the key, what was found and what would do.
 */
final readonly class Fields
{
    private const GREATEST = 1e9;

    /** @param  array<array-key, mixed>  $values */
    private function __construct(private array $values, private string $path = '', private ?string $top = null)
    {
    }

    /** @param  array<array-key, mixed>  $values */
    public static function of(array $values): self
    {
        return new self($values);
    }

    /** @return array<array-key, mixed> as they came, unchecked */
    public function toArray(): array
    {
        return $this->values;
    }

    /** @return list<string> */
    public function keys(): array
    {
        return array_map(strval(...), array_keys($this->values));
    }

    public function has(string $key): bool
    {
        return isset($this->values[$key]);
    }

    public function isObject(string $key): bool
    {
        $value = $this->values[$key] ?? null;

        return is_array($value) && ($value === [] || ! array_is_list($value));
    }

    /** @throws InvalidInput */
    public function number(string $key, ?float $default = null): float
    {
        $value = $this->values[$key] ?? null;
        if ($value === null && $default !== null) {
            return $default;
        }
        if (! is_int($value) && ! is_float($value)) {
            throw $value === null
                ? $this->fault($key, 'input.missing_number')
                : $this->fault($key, 'input.no_number', ['found' => self::describe($value)]);
        }
        if (! is_finite((float) $value) || abs($value) > self::GREATEST) {
            throw $this->fault($key, 'input.not_finite');
        }

        return (float) $value;
    }

    /** @throws InvalidInput */
    public function positive(string $key, ?float $default = null): float
    {
        $value = $this->number($key, $default);

        return $value > 0 ? $value : throw $this->fault($key, 'input.not_positive', ['found' => $value]);
    }

    /** @throws InvalidInput */
    public function notNegative(string $key, ?float $default = null): float
    {
        $value = $this->number($key, $default);

        return $value >= 0 ? $value : throw $this->fault($key, 'input.negative', ['found' => $value]);
    }

    /**
     * Greater than `$over` and less than `$under`.
     *
     * @throws InvalidInput
     */
    public function between(string $key, float $over, float $under, ?float $default = null): float
    {
        $value = $this->number($key, $default);

        return $value > $over && $value < $under ? $value
            : throw $this->fault($key, 'input.not_between', ['over' => $over, 'under' => $under, 'found' => $value]);
    }

    /** @throws InvalidInput */
    public function integer(string $key, int $least, int $most = 1_000_000, ?int $default = null): int
    {
        $value = $this->number($key, $default === null ? null : (float) $default);
        if ($value !== floor($value) || $value < $least || $value > $most) {
            throw $this->fault($key, 'input.no_whole_number', ['least' => $least, 'most' => $most, 'found' => $value]);
        }

        return (int) $value;
    }

    /**
     * A length greater than 0, given in millimetres.
     *
     * @throws InvalidInput
     */
    public function length(string $key, ?float $default = null): Length
    {
        $length = $this->toLength($key, $this->positive($key, $default));

        return $length->isPositive() ? $length : throw $this->fault($key, 'input.too_small');
    }

    /**
     * A length of 0 or more, given in millimetres.
     *
     * @throws InvalidInput
     */
    public function lengthOrZero(string $key, ?float $default = null): Length
    {
        return $this->toLength($key, $this->notNegative($key, $default));
    }

    /**
     * A coordinate or deviation, given in millimetres.
     *
     * @throws InvalidInput
     */
    public function coordinate(string $key, ?float $default = null): Length
    {
        return $this->toLength($key, $this->number($key, $default));
    }

    /** @throws InvalidInput */
    public function text(string $key, ?string $default = null): string
    {
        $value = $this->values[$key] ?? $default;

        return is_string($value) ? $value
            : throw $value === null
                ? $this->fault($key, 'input.missing_text')
                : $this->fault($key, 'input.no_text', ['found' => self::describe($value)]);
    }

    /**
     * A text that says something.
     *
     * @throws InvalidInput
     */
    public function name(string $key): string
    {
        $text = trim($this->text($key));

        return $text !== '' ? $text : throw $this->fault($key, 'input.empty');
    }

    /**
     * @template T of string
     *
     * @param  list<T>  $choices
     * @return T
     *
     * @throws InvalidInput
     */
    public function choice(string $key, array $choices, ?string $default = null): string
    {
        $value = $this->text($key, $default);
        foreach ($choices as $choice) {
            if ($choice === $value) {
                return $choice;
            }
        }
        throw $this->fault($key, 'input.none_of', ['choices' => array_values($choices), 'found' => Message::quote($value)]);
    }

    /** What speaks for something dangerous: only true is true, and what was left out is as the caller says. */
    public function isTrue(string $key, bool $absent): bool
    {
        return array_key_exists($key, $this->values) ? $this->values[$key] === true : $absent;
    }

    /** @throws InvalidInput */
    public function flag(string $key, ?bool $default = null): bool
    {
        $value = $this->values[$key] ?? $default;

        return is_bool($value) ? $value
            : throw $value === null
                ? $this->fault($key, 'input.missing_flag')
                : $this->fault($key, 'input.no_flag', ['found' => self::describe($value)]);
    }

    /**
     * An ISO 8601 instant with its time zone.
     *
     * @throws InvalidInput
     */
    public function instant(string $key): \DateTimeImmutable
    {
        $text = $this->text($key);
        if (preg_match('/^\d{4}-\d\d-\d\d(T\d\d:\d\d(:\d\d(\.\d{1,9})?)?(Z|[+-]\d\d:?\d\d))?$/', $text) === 1) {
            try {
                $instant = new \DateTimeImmutable($text, new \DateTimeZone('UTC'));
                if ($instant->format('Y-m-d') === substr($text, 0, 10)) {
                    return $instant;
                }
            } catch (\Exception) {
                // Said below: the text is no date.
            }
        }
        throw $this->fault($key, 'input.no_instant', ['found' => Message::quote($text)]);
    }

    /** @throws InvalidInput */
    public function object(string $key): self
    {
        $value = $this->values[$key] ?? null;
        if (! is_array($value) || ($value !== [] && array_is_list($value))) {
            throw $value === null
                ? $this->fault($key, 'input.missing_object')
                : $this->fault($key, 'input.no_object', ['found' => self::describe($value)]);
        }

        return new self($value, $this->path.$key.'.', $this->top ?? $key);
    }

    /** @throws InvalidInput */
    public function objectOrEmpty(string $key): self
    {
        return $this->has($key) ? $this->object($key) : new self([], $this->path.$key.'.', $this->top ?? $key);
    }

    /**
     * @return list<self>
     *
     * @throws InvalidInput
     */
    public function objects(string $key, int $least = 0): array
    {
        $out = [];
        foreach ($this->listOf($key, $least) as $index => $value) {
            if (! is_array($value) || ($value !== [] && array_is_list($value))) {
                throw $this->fault($key, 'input.no_objects', ['entry' => $index, 'found' => self::describe($value)]);
            }
            $out[] = new self($value, sprintf('%s%s[%d].', $this->path, $key, $index), $this->top ?? $key);
        }

        return $out;
    }

    /**
     * @return list<string>
     *
     * @throws InvalidInput
     */
    public function texts(string $key): array
    {
        return array_map(
            fn (mixed $value): string => is_string($value) ? $value
                : throw $this->fault($key, 'input.no_texts', ['found' => self::describe($value)]),
            $this->listOf($key, 0),
        );
    }

    /**
     * @return non-empty-list<float>
     *
     * @throws InvalidInput
     */
    public function positives(string $key): array
    {
        $values = $this->listOf($key, 1);
        $out = [];
        foreach ($values as $index => $value) {
            $out[] = (new self([$key => $value], $this->path, $this->top))->positiveEntry($key, $index);
        }

        return $out !== [] ? $out : throw $this->fault($key, 'input.empty');
    }

    /**
     * @return list<mixed>
     *
     * @throws InvalidInput
     */
    private function listOf(string $key, int $least): array
    {
        $value = $this->values[$key] ?? null;
        if (! is_array($value) || ! array_is_list($value)) {
            throw $value === null
                ? $this->fault($key, 'input.missing_list')
                : $this->fault($key, 'input.no_list', ['found' => self::describe($value)]);
        }
        if (count($value) < $least) {
            throw $least === 1 ? $this->fault($key, 'input.empty') : $this->fault($key, 'input.too_few', ['least' => $least]);
        }

        return $value;
    }

    private function positiveEntry(string $key, int $index): float
    {
        try {
            return $this->positive($key);
        } catch (InvalidInput $fault) {
            throw InvalidInput::at($this->top ?? $key, 'input.entry', ['entry' => $index, 'fault' => $fault->says]);
        }
    }

    private function toLength(string $key, float $mm): Length
    {
        if (abs($mm) > Length::GREATEST_MM) {
            throw $this->fault($key, 'input.too_long');
        }

        return Length::mm($mm);
    }

    /**
     * Says which key is at fault: the topmost key goes into the error's field, the whole path into its term `key`.
     *
     * @param  array<string, string|int|float|Message|list<string|Message>>  $terms
     */
    public function fault(string $key, string $code, array $terms = []): InvalidInput
    {
        return InvalidInput::at($this->top ?? $key, $code, ['key' => $this->path.$key, ...$terms]);
    }

    private static function describe(mixed $value): Message
    {
        return match (true) {
            is_string($value) => Message::of('input.found.text', ['text' => Message::quote($value)]),
            is_bool($value) => Message::of($value ? 'input.found.true' : 'input.found.false'),
            is_array($value) => Message::of(array_is_list($value) && $value !== [] ? 'input.found.list' : 'input.found.object'),
            is_int($value), is_float($value) => Message::of('input.found.number', ['number' => $value]),
            default => Message::of('input.found.nothing'),
        };
    }
}
