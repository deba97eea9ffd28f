<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Drawing;

use MillStep\Core\Border\Message;

/** Draws in millimetres, y upwards; dimensions in drawing style, their sizes following the height of the letters. */
final class Pen
{
    /** About how wide a letter is, and how many a length takes. */
    private const LETTER = 0.62;

    private const LENGTH_LETTERS = 9;

    /** Room for words of which only the reader's language knows how long they are. */
    private const MESSAGE_LETTERS = 18;

    /** @var list<Path|Circle|Text> */
    private array $shapes = [];

    /** The kind of the step whose lines are being drawn. */
    private ?string $of = null;

    public function __construct(private readonly float $textMm)
    {
    }

    /** Letters that are readable beside something so large. */
    public static function forSize(float $largestMm): self
    {
        return new self($largestMm / 24);
    }

    /** What is drawn from now on is left by a step of that kind; null for what is there anyway. */
    public function drawsFor(?string $kind): void
    {
        $this->of = $kind;
    }

    /** A distance of so many letter heights. */
    public function letters(float $heights): float
    {
        return $heights * $this->textMm;
    }

    public function line(Style $style, float $x1, float $y1, float $x2, float $y2): void
    {
        $this->shapes[] = new Path($style, [[$x1, $y1], [$x2, $y2]], of: $this->of);
    }

    /** @param  non-empty-list<array{float, float}>  $points */
    public function area(Style $style, array $points, bool $hatched = false): void
    {
        $this->shapes[] = new Path($style, $points, true, $hatched, $this->of);
    }

    /** @param  non-empty-list<array{float, float}>  $points */
    public function path(Style $style, array $points): void
    {
        $this->shapes[] = new Path($style, $points, of: $this->of);
    }

    public function circle(Style $style, float $x, float $y, float $radius): void
    {
        $this->shapes[] = new Circle($style, $x, $y, $radius);
    }

    /** A cross of centre lines, a little beyond the circle. */
    public function centreMark(float $x, float $y, float $radius): void
    {
        $reach = $radius + $this->letters(0.6);
        $this->line(Style::Centre, $x - $reach, $y, $x + $reach, $y);
        $this->line(Style::Centre, $x, $y - $reach, $x, $y + $reach);
    }

    /** An arrow that points up, from `$y` over `$long`. */
    public function upArrow(Style $style, float $x, float $y, float $long): void
    {
        $this->line($style, $x, $y, $x, $y + $long);
        $this->arrow($x, $y + $long, 0, 1);
    }

    /** An arrow that points down to `$y - $long`. */
    public function downArrow(Style $style, float $x, float $y, float $long): void
    {
        $this->line($style, $x, $y, $x, $y - $long);
        $this->arrow($x, $y - $long, 0, -1);
    }

    /** @param  'start'|'middle'|'end'  $anchor */
    public function text(
        float $x,
        float $y,
        Message|string $words,
        string $anchor = 'middle',
        ?float $lengthMm = null,
        bool $upright = false,
    ): void {
        $this->shapes[] = new Text($x, $y, $anchor, $words, $lengthMm, $upright);
    }

    /** A horizontal dimension between two points, its line at height `$at`. */
    public function dimensionX(
        float $x1,
        float $y1,
        float $x2,
        float $y2,
        float $at,
        Message|string $before = '',
        ?float $lengthMm = null,
    ): void {
        $beyond = $at >= max($y1, $y2) ? $this->letters(0.4) : -$this->letters(0.4);
        $this->line(Style::Dimension, $x1, $y1, $x1, $at + $beyond);
        $this->line(Style::Dimension, $x2, $y2, $x2, $at + $beyond);
        $this->line(Style::Dimension, $x1, $at, $x2, $at);
        $narrow = abs($x2 - $x1) < $this->letters(3);
        $this->arrow($x1, $at, $narrow ? 1 : -1, 0);
        $this->arrow($x2, $at, $narrow ? -1 : 1, 0);
        $wide = $this->letters(self::LENGTH_LETTERS * self::LETTER) < abs($x2 - $x1);
        $this->text(
            $wide ? ($x1 + $x2) / 2 : max($x1, $x2) + $this->letters($narrow ? 1.2 : 0.5),
            $at + $this->letters(0.3),
            $before,
            $wide ? 'middle' : 'start',
            $lengthMm ?? abs($x2 - $x1),
        );
    }

    /** An upright dimension between two points, its line at `$at`. */
    public function dimensionY(
        float $x1,
        float $y1,
        float $x2,
        float $y2,
        float $at,
        Message|string $before = '',
        ?float $lengthMm = null,
    ): void {
        $beyond = $at >= max($x1, $x2) ? $this->letters(0.4) : -$this->letters(0.4);
        $this->line(Style::Dimension, $x1, $y1, $at + $beyond, $y1);
        $this->line(Style::Dimension, $x2, $y2, $at + $beyond, $y2);
        $this->line(Style::Dimension, $at, $y1, $at, $y2);
        $narrow = abs($y2 - $y1) < $this->letters(3);
        $this->arrow($at, $y1, 0, $narrow ? ($y1 < $y2 ? 1 : -1) : ($y1 < $y2 ? -1 : 1));
        $this->arrow($at, $y2, 0, $narrow ? ($y1 < $y2 ? -1 : 1) : ($y1 < $y2 ? 1 : -1));
        $long = $this->letters(self::LENGTH_LETTERS * self::LETTER) < abs($y2 - $y1);
        // Where the words do not fit between the arrows they go on above them, in the dimension's own lane.
        $this->text(
            $at - $this->letters(0.3),
            $long ? ($y1 + $y2) / 2 : max($y1, $y2) + $this->letters($narrow ? 1.2 : 0.5),
            $before,
            $long ? 'middle' : 'start',
            $lengthMm ?? abs($y2 - $y1),
            true,
        );
    }

    public function drawing(string $title): Drawing
    {
        $xs = $ys = [];
        foreach ($this->shapes as $shape) {
            if ($shape instanceof Path) {
                foreach ($shape->points as [$x, $y]) {
                    $xs[] = $x;
                    $ys[] = $y;
                }
            } elseif ($shape instanceof Circle) {
                array_push($xs, $shape->x - $shape->radius, $shape->x + $shape->radius);
                array_push($ys, $shape->y - $shape->radius, $shape->y + $shape->radius);
            } else {
                [$left, $right] = $this->extent($shape);
                array_push(
                    $xs,
                    $shape->upright ? $shape->x - $this->textMm : $shape->x + $left,
                    $shape->upright ? $shape->x : $shape->x + $right,
                );
                array_push(
                    $ys,
                    $shape->upright ? $shape->y + $left : $shape->y - $this->textMm * 0.3,
                    $shape->upright ? $shape->y + $right : $shape->y + $this->textMm,
                );
            }
        }
        $margin = $this->letters(0.6);

        return new Drawing(
            $title,
            min([0, ...$xs]) - $margin,
            min([0, ...$ys]) - $margin,
            max([0, ...$xs]) + $margin,
            max([0, ...$ys]) + $margin,
            $this->textMm,
            $this->shapes,
        );
    }

    /** @return array{float, float} how far words reach from their point to both sides */
    private function extent(Text $text): array
    {
        $width = $this->letters(self::LETTER * ((is_string($text->before) ? mb_strlen($text->before)
            : self::MESSAGE_LETTERS) + ($text->lengthMm === null ? 0 : self::LENGTH_LETTERS)));

        return match ($text->anchor) {
            'start' => [0.0, $width],
            'end' => [-$width, 0.0],
            default => [-$width / 2, $width / 2],
        };
    }

    private function arrow(float $x, float $y, int $towardsX, int $towardsY): void
    {
        $length = $this->letters(0.8);
        $half = $this->letters(0.22);
        $this->area(Style::Arrow, [
            [$x, $y],
            [$x - $towardsX * $length + $towardsY * $half, $y - $towardsY * $length + $towardsX * $half],
            [$x - $towardsX * $length - $towardsY * $half, $y - $towardsY * $length - $towardsX * $half],
        ]);
    }
}
