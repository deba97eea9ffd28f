<?php

declare(strict_types=1);

namespace App\Language;

use MillStep\Core\Border\Message;

/**
 * Says messages in a language and in the reader's units, from the same locale files as the screens: for letters, files
 * and refusals. Needs no framework, so that bin/compute can say its answers too.
 *
 * A term whose name ends in `_mm` is a length; `count` decides between singular and plural; a list is joined, whole
 * sentences (`sentences`) with a blank.
 */
final class Sentences
{
    public const LANGUAGES = ['en', 'es'];

    private const MM_PER_INCH = 25.4;

    /** @var array<string, array<string, mixed>> what has been read, by language */
    private static array $read = [];

    private function __construct(public readonly string $language, private readonly string $units)
    {
    }

    /** @param  'mm'|'in'  $units */
    public static function in(string $language, string $units = 'mm'): self
    {
        return new self(in_array($language, self::LANGUAGES, true) ? $language : self::LANGUAGES[0], $units);
    }

    public function say(Message|string $message): string
    {
        return is_string($message) ? $message : $this->sayCode($message->code, $message->terms);
    }

    /** @param  array<string, mixed>  $terms */
    public function sayCode(string $code, array $terms = []): string
    {
        if (in_array($code, ['input.any_of', 'input.all_of'], true)) {
            return $this->joined(is_array($terms['list'] ?? null) ? $terms['list'] : [], $code === 'input.any_of' ? 'or' : 'and');
        }
        $template = $this->template("core.$code") ?? $this->template($code);
        if ($template === null) {
            return $code;
        }
        $forms = explode(' | ', $template);
        if (count($forms) === 2 && isset($terms['count'])) {
            $template = $forms[(int) ($terms['count'] !== 1)];
        }
        $said = (string) preg_replace_callback(
            '/\{(\w+)\}/',
            fn (array $found): string => array_key_exists($found[1], $terms) ? $this->term($terms[$found[1]], $found[1]) : $found[0],
            $template,
        );

        // A sentence begins with a capital, also where it ends in another one; unless with the name of a field.
        return preg_match('/\.(?: \{\w+\})?$/', $template) === 1 && ! str_starts_with($template, '{key}')
            ? mb_strtoupper(mb_substr($said, 0, 1)).mb_substr($said, 1) : $said;
    }

    /** A length as this reader writes it. */
    public function length(float $mm, int $digits = 3): string
    {
        return $this->units === 'mm'
            ? $this->number($mm, $digits).' mm'
            : $this->number($mm / self::MM_PER_INCH, max(3, $digits)).' in';
    }

    public function number(float $value, int $digits = 3): string
    {
        $text = number_format($value, $digits, $this->language === 'es' ? ',' : '.', '');
        $text = $digits > 0 ? rtrim(rtrim($text, '0'), '.,') : $text;

        return $text === '-0' ? '0' : $text;
    }

    /** What a locale file has under a key; null when it has nothing, or no sentence. */
    public function template(string $key): ?string
    {
        $node = self::$read[$this->language] ??= self::read($this->language);
        foreach (explode('.', $key) as $part) {
            $node = is_array($node) ? ($node[$part] ?? null) : null;
        }

        return is_string($node) ? $node : null;
    }

    /** A term as it crossed a border: words, a number, a message or a list of them. */
    public function term(mixed $term, string $name = ''): string
    {
        return match (true) {
            $term instanceof Message => $this->say($term),
            is_array($term) && is_string($term['code'] ?? null) => $this->sayCode($term['code'], self::terms($term)),
            is_array($term) => $name === 'sentences'
                ? implode(' ', array_map(fn (mixed $one): string => $this->term($one), $term))
                : implode(', ', array_map(fn (mixed $one): string => $this->term($one), $term)),
            is_int($term), is_float($term) => str_ends_with($name, '_mm') ? $this->length((float) $term) : $this->number((float) $term),
            default => is_scalar($term) ? (string) $term : '',
        };
    }

    /**
     * @param  array<array-key, mixed>  $list
     * @param  'and'|'or'  $by
     */
    private function joined(array $list, string $by): string
    {
        $words = array_values(array_map(fn (mixed $one): string => $this->term($one), $list));
        $last = array_pop($words);
        $join = $this->template("ui.list.$by") ?? $by;
        // Spanish says "u otra", "e inyección".
        if ($this->language === 'es' && preg_match($by === 'or' ? '/^h?o/iu' : '/^h?i(?!e)/iu', (string) $last) === 1) {
            $join = $by === 'or' ? 'u' : 'e';
        }

        return $words === [] ? (string) $last : implode(', ', $words)." $join $last";
    }

    /** @return array<string, mixed> */
    private static function read(string $language): array
    {
        $all = [];
        foreach (glob(dirname(__DIR__, 2)."/resources/js/*/locale/$language.json") ?: [] as $file) {
            $room = json_decode((string) file_get_contents($file), true);
            $all = array_replace_recursive($all, is_array($room) ? $room : []);
        }

        /** @var array<string, mixed> $all */
        return $all;
    }

    /**
     * @param  array<array-key, mixed>  $message
     * @return array<string, mixed>
     */
    private static function terms(array $message): array
    {
        /** @var array<string, mixed> */
        return is_array($message['terms'] ?? null) ? $message['terms'] : [];
    }
}
