<?php

declare(strict_types=1);

namespace App\Planning\Wall;

use App\Language\Sentences;
use Illuminate\Support\Str;
use MillStep\Core\Planning\Chart\Chart;

/**
 * Sets a chart on sheets so that it is read from two metres: its figures are six millimetres high at least (ten minutes of
 * arc, twice what sound eyes need). What does not fit at that size goes on to another sheet, never into smaller letters.
 */
final class ChartPages
{
    private const MARGIN = 10.0;

    /** Sizes of the figures' letters; a figure is 0.73 of it high. */
    private const FIGURES = [11.0, 9.6, 8.3];

    /** Of words, against figures. */
    private const WORDS = 0.72;

    private const HEADING = 5.0;

    private const NOTE = 4.2;

    private const PAD = 4.0;

    /** Between two columns of lines. */
    private const GUTTER = 8.0;

    /** @var list<list<string>> */
    private readonly array $cells;

    /** @var list<string> */
    private readonly array $headings;

    /** @var list<float> the least that each column takes */
    private readonly array $least;

    /**
     * @param  list<list<bool>>  $code  the squares of the code that opens the chart on a phone, row by row
     * @param  float  $figure  size of the figures' letters
     */
    private function __construct(
        private readonly Chart $chart,
        private readonly Sentences $says,
        private readonly Imprint $imprint,
        private readonly array $code,
        private readonly float $figure,
        private readonly float $width,
        private readonly float $height,
    ) {
        $this->headings = array_map(static fn ($column): string => $says->say($column->heading), $chart->columns);
        $this->cells = array_map(static fn ($line): array => array_map($says->say(...), $line->cells), $chart->lines);
        $this->least = array_map($this->columnWidth(...), array_keys($chart->columns));
    }

    /**
     * Upright or lying, in the size that takes the fewest sheets; of those the largest.
     *
     * @return non-empty-list<Sheet>
     */
    public static function of(Chart $chart, Sentences $says, Imprint $imprint, Paper $paper): array
    {
        [$short, $long] = $paper->size();
        $code = self::squares($imprint->url);
        $ways = [];
        foreach (self::FIGURES as $figure) {
            foreach ([[$short, $long], [$long, $short]] as [$width, $height]) {
                $ways[] = (new self($chart, $says, $imprint, $code, $figure, $width, $height))->set();
            }
        }
        // The first of those that are equally few is the largest, since a sort keeps their order.
        usort($ways, static fn (array $a, array $b): int => count($a) <=> count($b));

        return $ways[0];
    }

    /** @return non-empty-list<Sheet> */
    private function set(): array
    {
        $columns = array_keys($this->headings);
        $sheets = [];
        foreach ($this->natural($columns) <= $this->room() ? [$columns] : $this->split($columns) as $group) {
            array_push($sheets, ...$this->sheets($group));
        }
        foreach ($sheets as $index => $sheet) {
            $this->foot($sheet, $index + 1, count($sheets));
        }

        return $sheets !== [] ? $sheets : throw new \LogicException('A chart has at least one sheet.');
    }

    private function room(): float
    {
        return $this->width - 2 * self::MARGIN;
    }

    /**
     * The first column stands on every sheet.
     *
     * @param  list<int>  $columns
     * @return list<list<int>>
     */
    private function split(array $columns): array
    {
        $first = array_shift($columns) ?? 0;
        $groups = [[$first]];
        foreach ($columns as $column) {
            $last = count($groups) - 1;
            if (count($groups[$last]) > 1 && $this->natural([...$groups[$last], $column]) > $this->room()) {
                $groups[] = [$first, $column];
            } else {
                $groups[$last][] = $column;
            }
        }

        return $groups;
    }

    /** @param  list<int>  $columns */
    private function natural(array $columns): float
    {
        return array_sum(array_map(fn (int $column): float => $this->least[$column], $columns));
    }

    /** The least that a column takes: its widest figure, or its widest word; and for words at least what reads well. */
    private function columnWidth(int $column): float
    {
        $words = $this->chart->columns[$column]->words;
        $size = $this->size($column);
        $widest = max(0.0, ...array_map(static fn (array $cells): float => $words
            ? min(4.2 * $size, Lettering::width($cells[$column], $size, true))
            : Lettering::width($cells[$column], $size, true), $this->cells));
        $narrowest = $words ? max(0.0, ...array_map(
            static fn (array $cells): float => Lettering::narrowest($cells[$column], $size, true),
            $this->cells,
        )) : 0.0;

        return max($widest, $narrowest, Lettering::narrowest($this->headings[$column], self::HEADING, true)) + self::PAD;
    }

    private function size(int $column): float
    {
        return $this->figure * ($this->chart->columns[$column]->words ? self::WORDS : 1.0);
    }

    /**
     * @param  list<int>  $columns
     * @return list<Sheet>
     */
    private function sheets(array $columns): array
    {
        $room = $this->room();
        $natural = $this->natural($columns);
        $blocks = $this->hasWords($columns) ? 1 : max(1, (int) floor(($room + self::GUTTER) / ($natural + self::GUTTER)));
        $widths = $this->widths($columns, ($room - ($blocks - 1) * self::GUTTER) / $blocks);
        $sheets = [];
        $sheet = null;
        $block = 0;
        $y = $top = $bottom = 0.0;
        foreach ($this->cells as $index => $cells) {
            $height = $this->lineHeight($cells, $columns, $widths);
            if ($sheet !== null && $y + $height > $bottom && $block + 1 < $blocks) {
                $block++;
                $y = $this->heads($sheet, $columns, $widths, $this->left($block, $widths), $top);
            } elseif ($sheet === null || $y + $height > $bottom) {
                $sheets[] = $sheet = new Sheet($this->width, $this->height);
                $bottom = $this->height - self::MARGIN - 6;
                $top = $this->title($sheet);
                $block = 0;
                $y = $this->heads($sheet, $columns, $widths, $this->left($block, $widths), $top);
            }
            $this->line($sheet, $index, $columns, $widths, $this->left($block, $widths), $y, $height);
            $y += $height;
        }
        if ($sheets === []) {
            $sheets[] = $sheet = new Sheet($this->width, $this->height);
            $this->title($sheet);
        }

        return $sheets;
    }

    /** @param  list<float>  $widths */
    private function left(int $block, array $widths): float
    {
        return self::MARGIN + $block * (array_sum($widths) + self::GUTTER);
    }

    /** @param  list<int>  $columns */
    private function hasWords(array $columns): bool
    {
        return array_filter($columns, fn (int $column): bool => $this->chart->columns[$column]->words) !== [];
    }

    /**
     * What is over goes to the words, by how many there are; where there are none, to all alike.
     *
     * @param  list<int>  $columns
     * @return list<float>
     */
    private function widths(array $columns, float $room): array
    {
        $least = array_map(fn (int $column): float => $this->least[$column], $columns);
        $words = $this->hasWords($columns);
        $shares = array_map(fn (int $column): float => match (true) {
            ! $words => 1.0,
            $this->chart->columns[$column]->words => $this->amount($column),
            default => 0.0,
        }, $columns);
        $more = max(0.0, $room - array_sum($least)) / max(1.0, array_sum($shares));

        return array_map(static fn (float $width, float $share): float => $width + $more * $share, $least, $shares);
    }

    /** How many letters stand in a column. */
    private function amount(int $column): float
    {
        return (float) max(1, array_sum(array_map(static fn (array $cells): int => mb_strlen($cells[$column]), $this->cells)));
    }

    /** @return float where the table begins */
    private function title(Sheet $sheet): float
    {
        $code = min(26.0, $this->width / 9);
        $this->code($sheet, $this->width - self::MARGIN - $code, self::MARGIN, $code);
        $room = $this->room() - $code - 6;
        $y = self::MARGIN;
        foreach (Lettering::wrap(Str::ucfirst($this->says->say($this->chart->title)), 11, $room, true) as $line) {
            $y += 11;
            $sheet->write(self::MARGIN, $y - 2, 11, $line, true);
        }
        $legend = implode('  ·  ', array_map($this->says->say(...), $this->chart->legend));
        foreach ($legend === '' ? [] : Lettering::wrap($legend, $this->figure * self::WORDS, $room, true) as $line) {
            $y += $this->figure * self::WORDS * 1.2;
            $sheet->write(self::MARGIN, $y - 1.5, $this->figure * self::WORDS, $line, true);
        }
        $notes = implode(' ', array_map($this->says->say(...), $this->chart->notes));
        foreach (Lettering::wrap($notes, self::NOTE, $room) as $line) {
            $y += self::NOTE * 1.3;
            $sheet->write(self::MARGIN, $y - 1, self::NOTE, $line);
        }

        return max($y, self::MARGIN + $code) + 4;
    }

    /**
     * @param  list<int>  $columns
     * @param  list<float>  $widths
     * @return float where the lines begin
     */
    private function heads(Sheet $sheet, array $columns, array $widths, float $x, float $y): float
    {
        $wrapped = array_map(
            fn (int $column, float $width): array => Lettering::wrap($this->headings[$column], self::HEADING, $width - self::PAD, true),
            $columns,
            $widths,
        );
        $deep = max(1, ...array_map(count(...), $wrapped)) * self::HEADING * 1.2;
        $left = $x;
        foreach ($wrapped as $index => $lines) {
            foreach ($lines as $row => $line) {
                $sheet->write(
                    $left + self::PAD / 2,
                    $y + $deep - (count($lines) - 1 - $row) * self::HEADING * 1.2 - 1.4,
                    self::HEADING,
                    $line,
                    true,
                );
            }
            $left += $widths[$index];
        }
        $sheet->fill($x, $y + $deep, array_sum($widths), 0.7);

        return $y + $deep + 1;
    }

    /**
     * @param  list<int>  $columns
     * @param  list<float>  $widths
     */
    private function line(Sheet $sheet, int $index, array $columns, array $widths, float $x, float $y, float $height): void
    {
        $strong = $this->chart->lines[$index]->strong;
        if ($index % 2 === 1) {
            $sheet->fill($x, $y, array_sum($widths), $height, 236);
        }
        if ($strong && array_filter($this->chart->lines, static fn ($line): bool => ! $line->strong) !== []) {
            $sheet->fill($x - 1.2, $y + 0.8, 1.4, $height - 1.6);
        }
        $left = $x;
        foreach ($columns as $place => $column) {
            $size = $this->size($column);
            $lines = $this->wrapped($this->cells[$index][$column], $column, $widths[$place]);
            $deep = count($lines) * $size * 1.15;
            foreach ($lines as $row => $line) {
                $sheet->write(
                    $left + self::PAD / 2,
                    $y + ($height - $deep) / 2 + ($row + 1) * $size * 1.15 - $size * 0.26,
                    $size,
                    $line,
                    $strong,
                );
            }
            $left += $widths[$place];
        }
    }

    /**
     * @param  list<string>  $cells
     * @param  list<int>  $columns
     * @param  list<float>  $widths
     */
    private function lineHeight(array $cells, array $columns, array $widths): float
    {
        return max(0.0, ...array_map(
            fn (int $column, float $width): float => count($this->wrapped($cells[$column], $column, $width)) * $this->size($column) * 1.15,
            $columns,
            $widths,
        )) + 1.6;
    }

    /** @return non-empty-list<string> */
    private function wrapped(string $cell, int $column, float $width): array
    {
        return $this->chart->columns[$column]->words
            ? Lettering::wrap($cell, $this->size($column), $width - self::PAD, true) : [$cell];
    }

    private function foot(Sheet $sheet, int $page, int $of): void
    {
        $y = $this->height - self::MARGIN;
        $sheet->fill(self::MARGIN, $y - 5, $this->width - 2 * self::MARGIN, 0.3);
        $left = $this->says->sayCode('planning.wall.foot', ['shop' => $this->imprint->shop, 'date' => $this->imprint->date]);
        $right = $this->says->sayCode('planning.wall.page', ['page' => $page, 'of' => $of]);
        $sheet->write(self::MARGIN, $y, 3.6, Lettering::wrap($left, 3.6, $this->width - 2 * self::MARGIN - 34)[0]);
        $sheet->write($this->width - self::MARGIN - Lettering::width($right, 3.6), $y, 3.6, $right);
    }

    private function code(Sheet $sheet, float $x, float $y, float $wide): void
    {
        $module = $wide / max(1, count($this->code));
        foreach ($this->code as $row => $squares) {
            foreach ($squares as $column => $dark) {
                if ($dark) {
                    // A hair wider than they are, so that no seam shows between two of them.
                    $sheet->fill($x + $column * $module, $y + $row * $module, $module * 1.02, $module * 1.02);
                }
            }
        }
    }

    /** @return list<list<bool>> */
    private static function squares(string $url): array
    {
        $code = (new \TCPDF2DBarcode($url, 'QRCODE,M'))->getBarcodeArray();
        $rows = is_array($code) && is_array($code['bcode'] ?? null) ? array_values($code['bcode']) : [];

        return array_map(static fn (mixed $row): array => array_map(
            static fn (mixed $dark): bool => $dark === 1 || $dark === '1',
            is_array($row) ? array_values($row) : [],
        ), $rows);
    }
}
