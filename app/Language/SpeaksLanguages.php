<?php

declare(strict_types=1);

namespace App\Language;

use App\Support\Given;

/**
 * A model whose words came with translations: each attribute named in `spoken()` is read in the language of whoever
 * asks, where there is one, else as it was written. What is kept and signed is what was written: `getRawOriginal`.
 *
 * @property array<string, array<string, mixed>> $translations  by language, what differs
 */
trait SpeaksLanguages
{
    /** @var array<string, array{array{string, mixed, mixed}, mixed}> by attribute: what it was read from, and as it reads */
    private array $heard = [];

    /** @return list<string> */
    abstract public static function spoken(): array;

    public function getAttribute($key): mixed
    {
        if (! in_array($key, self::spoken(), true)) {
            return parent::getAttribute($key);
        }
        // A sheet's lines are asked for some hundred times while it is shown: they are read and laid over once.
        $from = [app()->getLocale(), $this->attributes[$key] ?? null, $this->attributes['translations'] ?? null];
        if (($this->heard[$key][0] ?? null) !== $from) {
            $this->heard[$key] = [$from, $this->heard($key)];
        }

        return $this->heard[$key][1];
    }

    private function heard(string $key): mixed
    {
        $value = parent::getAttribute($key);
        if (! isset($this->attributes['translations'])) {
            return $value;
        }
        $said = Given::fields(Given::fields(parent::getAttribute('translations'))[app()->getLocale()] ?? null)[$key] ?? null;

        return $said === null ? $value : self::laidOver($value, $said);
    }

    public function initializeSpeaksLanguages(): void
    {
        $this->mergeCasts(['translations' => 'array']);
    }

    /** Entries of a list are found again by their id or key, so that a translation says only what it says differently. */
    private static function laidOver(mixed $value, mixed $said): mixed
    {
        if (is_array($value) && is_string($said) && isset($value['text'])) {
            return [...$value, 'text' => $said];
        }
        if (! is_array($value) || ! is_array($said)) {
            return $said;
        }
        foreach ($value as $index => $entry) {
            $name = is_array($entry) ? Given::text($entry['id'] ?? $entry['key'] ?? $index) : $index;
            if (array_key_exists($name, $said)) {
                $value[$index] = self::laidOver($entry, $said[$name]);
            }
        }

        return $value;
    }
}
