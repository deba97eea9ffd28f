<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;

/** A sheet done on another piece: its material, and where it differs, words and limits of lines and what they show. */
final readonly class Variant
{
    /** What of a line may differ. */
    public const REPLACED = [
        'nominal_mm', 'plus_mm', 'minus_mm', 'lower_mm', 'upper_mm', 'at_most_mm', 'allowance_mm', 'shows', 'text', 'levels',
    ];

    /** @param  array<string, array<string, mixed>>  $replaces  by line */
    private function __construct(public string $key, public string $material, private array $replaces)
    {
    }

    /**
     * @param  array<string, mixed>  $row  as a sheet keeps it
     *
     * @throws InvalidInput
     */
    public static function fromRow(array $row): self
    {
        return self::fromFields(Fields::of($row));
    }

    /**
     * @param  Fields  $fields  `{key, material, replaces?: {line: {limits}}}`
     *
     * @throws InvalidInput
     */
    public static function fromFields(Fields $fields): self
    {
        $each = $fields->objectOrEmpty('replaces');
        /** @var array<string, array<string, mixed>> $replaces */
        $replaces = [];
        foreach ($each->keys() as $line) {
            $with = $each->object($line);
            foreach ($with->keys() as $key) {
                in_array($key, self::REPLACED, true) || throw $with->fault($key, 'assessment.variant_replaces', ['may' => self::REPLACED]);
            }
            /** @var array<string, mixed> $given */
            $given = $with->toArray();
            $replaces[$line] = $given;
        }

        return new self($fields->text('key'), $fields->text('material'), $replaces);
    }

    /** @return list<string> lines that it says something else of */
    public function lines(): array
    {
        return array_keys($this->replaces);
    }

    /**
     * @param  list<array<string, mixed>>  $lines
     * @return list<array<string, mixed>> the same, as they are on this piece
     */
    public function of(array $lines): array
    {
        return array_map(
            fn (array $line): array => [...$line, ...is_string($line['id'] ?? null) ? $this->replaces[$line['id']] ?? [] : []],
            $lines,
        );
    }

    /**
     * What its lines show, for a conclusion to carry.
     *
     * @param  list<array<string, mixed>>  $lines  of the sheet
     * @return list<array<string, mixed>> as Shown reads them
     */
    public static function shows(array $lines, string $material): array
    {
        $shows = [];
        foreach ($lines as $line) {
            if (is_array($line['shows'] ?? null)) {
                /** @var array<string, mixed> $said */
                $said = $line['shows'];
                $shows[] = ['materials' => [$material], ...$said];
            }
        }

        return $shows === [] ? [['materials' => [$material]]] : $shows;
    }
}
