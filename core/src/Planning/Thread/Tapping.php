<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Thread;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Reference\Thread;
use MillStep\Core\Workshop\Material;

/** How a thread is made: cut by hand or by the spindle, pressed out by a forming tap, or cut wide for a wire insert. */
enum Tapping: string
{
    case Hand = 'hand';
    case Power = 'power';
    case Forming = 'forming';
    case Insert = 'insert';

    /** The wire makes a hole this many pitches wider than the thread at its crests, and 1.0825 more at its roots (the basic profile). */
    private const WIRE_MINOR = 0.216506;

    private const WIRE_DEPTH = 1.082532;

    /** Chips that come in one piece come of metal that flows; forming needs that. */
    private const FLOWS = ['long_curly', 'stringy'];

    public function byPower(): bool
    {
        return $this === self::Power || $this === self::Forming;
    }

    public function form(): ThreadForm
    {
        return $this === self::Forming ? ThreadForm::Form : ThreadForm::Cut;
    }

    public function window(Material $material): ThreadWindow
    {
        return match ($this) {
            self::Hand => ThreadWindow::of($material->group, 'hand'),
            self::Power => ThreadWindow::of($material->group, 'machine'),
            self::Forming => ThreadWindow::forming(),
            self::Insert => ThreadWindow::forInsert(),
        };
    }

    /** The outside of what the tap cuts: an insert's thread is wider than the screw's by its wire. */
    public function major(Thread $thread): Length
    {
        return $this === self::Insert
            ? $thread->major->plus($thread->pitch->times(self::WIRE_MINOR + self::WIRE_DEPTH)) : $thread->major;
    }

    /** How much more this tap twists than one that cuts. */
    public function twist(): float
    {
        return $this === self::Forming ? TappingTorque::FORMING : 1.0;
    }

    /** Threads' worth of room under a tap in a blind hole: a spindle runs on a little when it is turned round (workshop practice). */
    public function clearanceThreads(): float
    {
        return $this->byPower() ? 3.0 : 1.0;
    }

    /** Null where it can be done in this material. */
    public function refuses(Material $material): ?Message
    {
        return $this !== self::Forming || ($material->group !== 'plastic' && in_array($material->chipForm, self::FLOWS, true)) ? null
            : Message::of('planning.lacks.flows', ['material' => $material->word()]);
    }

    /** The taps that one would ask for first. */
    public function wanted(bool $through, Material $material, Length $depth, Thread $thread): TapSequence
    {
        return match ($this) {
            self::Forming => new TapSequence(['form'], false, Message::of('planning.tap.forming')),
            self::Insert => new TapSequence(['insert'], $material->group !== 'cast_iron', Message::of('planning.tap.for_insert')),
            default => (new TapChoice(
                $through,
                $this === self::Power ? 'power' : 'hand',
                $material->group,
                $depth,
                $thread->major,
            ))->compute(),
        };
    }

    /** @return list<non-empty-list<string>> what else does it, the best first */
    public function otherwise(bool $through): array
    {
        return match ($this) {
            self::Hand => $through ? [['spiral_point'], ['taper'], ['second'], ['spiral_flute']] : [
                ['spiral_flute'], ['taper', 'second', 'bottoming'], ['taper', 'bottoming'], ['second', 'bottoming'],
                ['taper', 'second'], ['second'],
            ],
            // A straight flute packs under power.
            self::Power => $through ? [['spiral_point'], ['spiral_flute']] : [['spiral_flute']],
            self::Forming, self::Insert => [],
        };
    }
}
