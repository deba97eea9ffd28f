<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Hole;

use MillStep\Core\Border\Impossible;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;

/** A hole across a bar: where off its crown a drill still starts, and how much of the bar it leaves. */
final readonly class CrossHole
{
    /** On a steeper slope than this a short stiff drill slides off, too: a flat comes first (workshop practice). */
    public const STEEPEST_DEG = 5.0;

    /** A wider hole than half of the bar leaves a bar that bends (workshop practice). */
    private const WIDEST = 0.5;

    private function __construct(private Length $bar, private Length $hole, private Length $zone)
    {
    }

    /**
     * @param  Length  $zone  that the hole's middle lies in: as the drawing wants it, or as the way of placing keeps it
     *
     * @throws Impossible for a hole that is as wide as the bar
     */
    public static function of(Length $bar, Length $hole, Length $zone): self
    {
        return $hole->isLessThan($bar) ? new self($bar, $hole, $zone)
            : throw Impossible::because('hole', 'planning.wider_than_bar', ['hole_mm' => $hole->inMm(), 'work_mm' => $bar->inMm()]);
    }

    /** How steep the bar is where the hole may start. */
    public function slopeDeg(): float
    {
        return rad2deg(asin(min(1.0, $this->zone->ratioTo($this->bar))));
    }

    /** What the start depends on: a flat on a bar that is too steep, else how far off the crown it may be. */
    public function start(): Message
    {
        return Message::of($this->slopeDeg() > self::STEEPEST_DEG ? 'planning.needs.flat_first' : 'planning.needs.on_the_crown', [
            'off_mm' => round($this->zone->inMm() / 2, 2), 'slope_deg' => round($this->slopeDeg(), 1),
            'wide_mm' => round($this->hole->inMm(), 1),
        ]);
    }

    /** Null where enough of the bar is left. */
    public function weakens(): ?Message
    {
        return $this->hole->ratioTo($this->bar) > self::WIDEST + 1e-9
            ? Message::of('planning.warns.cross_weak', ['hole_mm' => $this->hole->inMm(), 'work_mm' => $this->bar->inMm()]) : null;
    }
}
