<?php

declare(strict_types=1);

namespace App\Competency\Texts;

use App\Support\Given;

/** A person's name as it was when a line was written, and what was said in it in somebody's own words. */
final readonly class Words
{
    /** @param  array<string, string>  $texts  by the payload's key */
    public function __construct(public string $name, public array $texts = [])
    {
    }

    /** @throws \JsonException when it is none */
    public static function fromText(string $json): self
    {
        $fields = Given::fields(json_decode($json, true, 8, JSON_THROW_ON_ERROR));

        return new self(Given::text($fields['name'] ?? ''), array_map(Given::text(...), Given::fields($fields['texts'] ?? [])));
    }

    /** The same for the same words, whatever order they came in. */
    public function toText(): string
    {
        $texts = $this->texts;
        ksort($texts);

        return json_encode(
            ['name' => $this->name, 'texts' => (object) $texts],
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
    }

    /** What a commitment is to: these words of this line and of no other. */
    public function of(string $line): string
    {
        return "$line\n{$this->toText()}";
    }
}
