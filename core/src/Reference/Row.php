<?php

declare(strict_types=1);

namespace MillStep\Core\Reference;

use MillStep\Core\Border\Length;

/** One row of a reference table, its cells read with their promises checked. */
final readonly class Row
{
    /** @param  array<string, string>  $cells */
    public function __construct(private string $file, private int $line, private array $cells)
    {
    }

    /** @throws BrokenTable when empty */
    public function text(string $column): string
    {
        $cell = $this->cells[$column] ?? '';

        return $cell !== '' ? $cell : throw $this->fault($column, 'is empty');
    }

    public function note(string $column): string
    {
        return $this->cells[$column] ?? '';
    }

    /** @throws BrokenTable when not a number */
    public function number(string $column): float
    {
        $cell = $this->text($column);

        return is_numeric($cell) && is_finite((float) $cell) ? (float) $cell : throw $this->fault($column, "\"$cell\" is no number");
    }

    /** @throws BrokenTable when not greater than 0 */
    public function positive(string $column): float
    {
        $value = $this->number($column);

        return $value > 0 ? $value : throw $this->fault($column, "$value is not greater than 0");
    }

    /** @throws BrokenTable when not between both */
    public function between(string $column, float $over, float $under): float
    {
        $value = $this->number($column);

        return $value > $over && $value < $under ? $value : throw $this->fault($column, "$value does not lie between $over and $under");
    }

    /**
     * @param  list<string>  $choices
     *
     * @throws BrokenTable when none of them
     */
    public function choice(string $column, array $choices): string
    {
        $cell = $this->text($column);

        return in_array($cell, $choices, true) ? $cell : throw $this->fault($column, "\"$cell\" is none of ".implode(', ', $choices));
    }

    /** @throws BrokenTable when filled with something that is no number */
    public function numberOrNull(string $column): ?float
    {
        return $this->note($column) === '' ? null : $this->number($column);
    }

    /** @throws BrokenTable */
    public function length(string $column): Length
    {
        $this->positive($column);

        return Length::mmDecimal($this->text($column));
    }

    /** @throws BrokenTable when neither true nor false */
    public function flag(string $column): bool
    {
        return match ($this->text($column)) {
            'true' => true,
            'false' => false,
            default => throw $this->fault($column, 'must be true or false'),
        };
    }

    public function fault(string $column, string $complaint): BrokenTable
    {
        return BrokenTable::at($this->file, $this->line, $column, $complaint);
    }
}
