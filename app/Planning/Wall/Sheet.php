<?php

declare(strict_types=1);

namespace App\Planning\Wall;

/** One sheet of a wall chart, in millimetres from its upper left corner: words and filled bars, nothing else. */
final class Sheet
{
    /** @var list<array{x: float, y: float, size: float, bold: bool, words: string}> at their baseline, from the left */
    public array $words = [];

    /** @var list<array{x: float, y: float, width: float, height: float, grey: int}> grey from 0, black, to 255 */
    public array $bars = [];

    public function __construct(public readonly float $width, public readonly float $height)
    {
    }

    public function write(float $x, float $baseline, float $size, string $words, bool $bold = false): void
    {
        $this->words[] = ['x' => $x, 'y' => $baseline, 'size' => $size, 'bold' => $bold, 'words' => $words];
    }

    public function fill(float $x, float $y, float $width, float $height, int $grey = 0): void
    {
        $this->bars[] = ['x' => $x, 'y' => $y, 'width' => $width, 'height' => $height, 'grey' => $grey];
    }
}
