<?php

declare(strict_types=1);

namespace MillStep\Core\Border;

/**
 * The typed answer of an operation. Its properties cross the JSON border in snake case; a length becomes
 * a number of millimetres and its key gains `_mm` where the property does not end in Mm already.
 */
abstract readonly class Result implements \JsonSerializable
{
    /** @return array<string, mixed> */
    public function toArray(): array
    {
        /** @var array<string, mixed> $properties */
        $properties = get_object_vars($this);

        return self::flatten($properties);
    }

    /** @return array<string, mixed> */
    final public function jsonSerialize(): array
    {
        return $this->toArray();
    }

    /**
     * @param  array<string, mixed>  $properties
     * @return array<string, mixed>
     */
    private static function flatten(array $properties): array
    {
        $out = [];
        foreach ($properties as $name => $value) {
            $key = self::snake($name);
            $length = $value instanceof Length
                || (is_array($value) && isset($value[0]) && $value[0] instanceof Length);
            $out[$length && ! str_ends_with($key, '_mm') ? $key.'_mm' : $key] = self::plain($value);
        }

        return $out;
    }

    private static function plain(mixed $value): mixed
    {
        return match (true) {
            $value instanceof Length => $value->inMm(),
            $value instanceof Message => $value->toArray(),
            $value instanceof self => $value->toArray(),
            $value instanceof \BackedEnum => $value->value,
            is_array($value) => array_map(self::plain(...), $value),
            default => $value,
        };
    }

    private static function snake(string $name): string
    {
        /** @var array<string, string> $known */
        static $known = [];

        return $known[$name] ??= strtolower((string) preg_replace('/(?<!^)[A-Z]/', '_$0', $name));
    }
}
