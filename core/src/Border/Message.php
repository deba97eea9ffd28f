<?php

declare(strict_types=1);

namespace MillStep\Core\Border;

/**
 * What is to be said, as a code and its terms; a locale file has the sentence. Nothing in the core says it in words,
 * and nothing matches on words.
 *
 * A term's name ends in its unit (`needed_mm`, `chosen_rpm`), so that whoever says it can show a length in the
 * reader's units. `count` decides between singular and plural. A term may be a message, or a list of them.
 */
final readonly class Message implements \JsonSerializable
{
    /** @param  array<string, mixed>  $terms */
    private function __construct(public string $code, public array $terms)
    {
    }

    /** @param  array<string, string|int|float|self|list<string|self>>  $terms */
    public static function of(string $code, array $terms = []): self
    {
        // JSON has no infinity: what was given is told as text.
        return new self($code, array_map(
            static fn (mixed $term): mixed => is_float($term) && ! is_finite($term) ? (string) $term : $term,
            $terms,
        ));
    }

    /**
     * Any one of these would do.
     *
     * @param  non-empty-list<string|self>  $words
     */
    public static function anyOf(array $words): self|string
    {
        return count($words) === 1 ? $words[0] : new self('input.any_of', ['list' => $words]);
    }

    /**
     * All of these, one after the other.
     *
     * @param  non-empty-list<string|self>  $words
     */
    public static function allOf(array $words): self|string
    {
        return count($words) === 1 ? $words[0] : new self('input.all_of', ['list' => $words]);
    }

    /** @param  array<string, string|int|float|self|list<string|self>>  $terms */
    public function with(array $terms): self
    {
        return new self($this->code, [...$this->terms, ...$terms]);
    }

    /**
     * What crossed the border and came back, as it was: a message where there was one, in a list or in a message too.
     */
    public static function read(mixed $value): mixed
    {
        if (! is_array($value)) {
            return $value;
        }
        if (array_keys($value) === ['code', 'terms'] && is_string($value['code']) && is_array($value['terms'])) {
            $terms = [];
            foreach ($value['terms'] as $name => $term) {
                $terms[(string) $name] = self::read($term);
            }

            return new self($value['code'], $terms);
        }

        return array_map(self::read(...), $value);
    }

    /** What somebody typed, shortened so that an answer does not grow with its question. */
    public static function quote(string $said, int $letters = 40): string
    {
        return mb_strimwidth(mb_scrub($said), 0, $letters, '…');
    }

    /**
     * The same messages, each once, in their order.
     *
     * @param  list<self>  $messages
     * @return list<self>
     */
    public static function distinct(array $messages): array
    {
        $once = [];
        foreach ($messages as $message) {
            $once[serialize($message)] ??= $message;
        }

        return array_values($once);
    }

    /** @return array{code: string, terms: object} */
    public function jsonSerialize(): array
    {
        return ['code' => $this->code, 'terms' => (object) $this->terms];
    }

    /** @return array{code: string, terms: object} as it crosses the border; no terms are an empty object there */
    public function toArray(): array
    {
        $plain = static fn (mixed $term): mixed => $term instanceof self ? $term->toArray() : $term;

        return [
            'code' => $this->code,
            'terms' => (object) array_map(
                static fn (mixed $term): mixed => is_array($term) ? array_map($plain, $term) : $plain($term),
                $this->terms,
            ),
        ];
    }
}
