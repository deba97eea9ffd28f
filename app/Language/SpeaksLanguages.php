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
    /** @return list<string> */
    abstract public static function spoken(): array;

    public function getAttribute($key): mixed
    {
        $value = parent::getAttribute($key);
        if (! in_array($key, self::spoken(), true) || ! isset($this->attributes['translations'])) {
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
