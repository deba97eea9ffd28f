<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Reference\Thread;

/** A wire insert wound into its thread, and its tang broken off. */
final class Insert extends Kind
{
    /** Lengths that inserts are sold in, in diameters of their screw, the longest first (workshop practice). */
    private const LENGTHS = [3.0, 2.5, 2.0, 1.5, 1.0];

    /** It lies a quarter to half a turn under the face at the top, and wants a thread of its own at the end (workshop practice). */
    private const UNDER = 1.5;

    public static function names(): array
    {
        return ['insert'];
    }

    /**
     * @param  Length  $depth  of the full thread
     * @return list<PlanStep> none where no insert is short enough
     */
    public static function make(Job $job, Thread $thread, Length $depth): array
    {
        $room = $depth->minus($thread->pitch->times(self::UNDER));
        $fitting = array_values(array_filter(
            self::LENGTHS,
            static fn (float $length): bool => $thread->major->times($length)->isAtMost($room),
        ));
        if ($fitting === []) {
            $needed = $thread->major->plus($thread->pitch->times(self::UNDER));
            $job->missing(Message::of('planning.lacks.room_for_insert', [
                'thread' => $thread->designation, 'depth_mm' => round($depth->inMm(), 1), 'needed_mm' => round($needed->inMm(), 1),
            ]));

            return [];
        }
        $length = $thread->major->times($fitting[0]);

        return [PlanStep::of(
            'insert',
            Message::of('planning.tool.insert', ['thread' => $thread->designation, 'length_mm' => round($length->inMm(), 1)]),
            Message::of('planning.why.insert', ['long_ratio' => $fitting[0]]),
        )
            ->danger(Message::of('planning.caution.tang_flies'))
            ->deep($length, Figure::length('depth_mm', $length, 'insert', 'length = n · D', [
                'n' => $fitting[0], 'D_mm' => $thread->major->inMm(), 'room_mm' => $room->inMm(),
            ])->teaching())
            ->needing(
                Message::of('planning.needs.insert_wound'),
                Message::of('planning.needs.insert_under', ['pitch_mm' => $thread->pitch->inMm()]),
                Message::of('planning.needs.insert_tang'),
            )];
    }
}
