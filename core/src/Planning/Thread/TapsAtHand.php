<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Thread;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Reference\TapType;
use MillStep\Core\Reference\Thread;
use MillStep\Core\Workshop\CribSpec;
use MillStep\Core\Workshop\Material;

/** Which taps of a crib make a thread: those that one would ask for, or the nearest that do it soundly. */
final readonly class TapsAtHand
{
    /** @param  non-empty-list<TapType>  $taps in working order */
    private function __construct(public array $taps, public bool $reverses, public Message $reason, public bool $instead)
    {
    }

    /** Null when the crib has no taps that do it. */
    public static function of(
        Tapping $tapping,
        Thread $thread,
        Material $material,
        CribSpec $crib,
        bool $through,
        Length $depth,
    ): ?self {
        $wanted = $tapping->wanted($through, $material, $depth, $thread);
        foreach ([$wanted->sequence, ...$tapping->otherwise($through)] as $index => $sequence) {
            $missing = array_filter($sequence, static fn (string $type): bool => ! $crib->hasTap($thread, $type));
            if ($missing === []) {
                $taps = array_map(TapType::of(...), $sequence);
                $straight = $taps[0]->hasStraightFlutes();

                return new self(
                    $taps,
                    $straight && $material->group !== 'cast_iron',
                    $index === 0 ? $wanted->reason
                        : Message::of($straight ? 'planning.tap.straight_stands_in' : 'planning.tap.spiral_stands_in'),
                    $index > 0,
                );
            }
        }

        return null;
    }

    /** How many threads at the tip of the tap that finishes the thread are not full. */
    public function leadThreads(): float
    {
        return $this->taps[count($this->taps) - 1]->leadThreads;
    }

    public function word(): Message|string
    {
        return Message::allOf(array_map(static fn (TapType $tap): Message => Message::of("planning.tap.$tap->type"), $this->taps));
    }
}
