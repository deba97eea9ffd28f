<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Hole\HoleRequest;
use MillStep\Core\Policy\LocatingSchool;
use MillStep\Core\Policy\PunchingSchool;
use MillStep\Core\Policy\ShopPolicy;
use MillStep\Core\Reference\Process;

/** Whether the way that a hole is marked, located and made keeps what the drawing asks for; where not, what would. */
final class Promise
{
    public static function judge(Job $job, HoleRequest $hole, bool $afterPilot, bool $sawn = false): void
    {
        $within = $hole->positionTolerance;
        // On the lathe the hole lies on the axis by itself.
        if ($within !== null && ! $job->machine->isLathe()) {
            $way = self::placing($job->policy);
            $job->promises('position', $within, $way);
            if ($way->keeps->isGreaterThan($within)) {
                $job->missing(Message::of(
                    'planning.lacks.position',
                    self::terms($job->policy, $way, 'position', $within->inMm(), $within),
                ));
            }
        }
        if ($hole->limits !== null && $sawn) {
            $job->missing(Message::of('planning.lacks.size_by_saw', ['fit' => $hole->fit ?? '']));

            return;
        }
        if ($hole->limits !== null && in_array($hole->purpose, ['plain', 'bored'], true)) {
            $width = $hole->limits->upper->minus($hole->limits->lower);
            $way = self::making($job, $hole, $afterPilot);
            $job->promises('size', $width, $way);
            if ($way->keeps->isGreaterThan($width)) {
                $job->missing(Message::of('planning.lacks.size', [
                    'fit' => $hole->fit ?? '', ...self::terms($job->policy, $way, 'size', round($width->inMm(), 3), $width),
                ]));
            }
        }
    }

    /** A bar cuts its own way; a drill makes every hole wider by up to the swing of its chuck. */
    private static function making(Job $job, HoleRequest $hole, bool $afterPilot): Process
    {
        if ($hole->purpose === 'bored') {
            return $job->policy->process('boring_bar');
        }
        $way = $job->policy->process($afterPilot ? 'twist_drill_after_pilot' : 'twist_drill_press');

        return $way->keeping($way->keeps->plus($job->machine->runOut ?? Length::zero()));
    }

    /** By the schools in force: the readout does without a mark; else the mark and what finds it, whichever is the coarser. */
    public static function placing(ShopPolicy $policy): Process
    {
        if ($policy->locatingSchool === LocatingSchool::EdgeFinder) {
            return $policy->process('edge_finder_or_readout');
        }
        $mark = $policy->process($policy->punchingSchool === PunchingSchool::PrickAndCheck ? 'prick_and_check' : 'punch_one_blow_by_eye');
        $pointer = $policy->process('pointer_on_mark');

        return $policy->locatingSchool === LocatingSchool::Pointer && $pointer->keeps->isGreaterThan($mark->keeps) ? $pointer : $mark;
    }

    /**
     * @param  'position'|'size'  $kind
     * @return array<string, float|Message|string>
     */
    private static function terms(ShopPolicy $policy, Process $way, string $kind, float $within, Length $tolerance): array
    {
        $would = array_map(static fn (Process $process): Message => $process->word(), $policy->processesThat($kind, $tolerance));

        return [
            'within_mm' => $within, 'way' => $way->word(), 'keeps_mm' => $way->keeps->inMm(),
            'instead' => $would === [] ? Message::of('planning.process.none') : Message::anyOf($would),
        ];
    }
}
