<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Message;
use MillStep\Core\Border\NoCandidate;
use MillStep\Core\Planning\Cutting\DrillPoint;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Hole\DrilledDepth;
use MillStep\Core\Planning\Hole\PilotPlan;
use MillStep\Core\Policy\PilotSchool;
use MillStep\Core\Reference\UsualFlutes;
use MillStep\Core\Workshop\Drill as Twist;

/**
 * The drills of one hole in working order, by the pilot school in force: a pilot that the depth would break, or that
 * its flutes do not reach, gives way to a sturdier one, or to none.
 */
final readonly class Pilots
{
    /** Deeper than so many diameters a pilot wanders and snaps (workshop practice). */
    public const SLENDER = 8.0;

    /**
     * @param  non-empty-list<Twist>  $drills  in working order, the final one last
     * @param  Twist|null  $tooSlender  the pilot that the school would have taken
     */
    private function __construct(private Job $job, public array $drills, private ?Twist $tooSlender)
    {
    }

    /** Says so where the school wants a pilot and there is none. */
    public static function of(Job $job, Twist $final, DrilledDepth $depth): self
    {
        $others = array_values(array_filter(
            $job->crib->drillsFor($job->material),
            static fn (Twist $drill): bool => ! $drill->diameter->equals($final->diameter),
        ));
        try {
            $school = self::bySchool($job, $final, $others);
        } catch (NoCandidate $none) {
            $job->missing($none->says);

            return new self($job, [$final], null);
        }
        $slender = self::firstThat($school, $final, static fn (Twist $drill): bool => ! self::reaches($job, $drill, $depth));
        $drills = $school;
        if ($slender !== null) {
            $sturdy = array_values(array_filter($others, static fn (Twist $drill): bool => $drill->diameter->isLessThan($final->diameter)
                && self::reaches($job, $drill, $depth)));
            try {
                $drills = self::bySchool($job, $final, $sturdy);
            } catch (NoCandidate) {
                $drills = [$final];
            }
        }
        if (count($drills) === 2 && $drills[0]->diameter->ratioTo($final->diameter) > PilotPlan::LARGEST + 1e-9) {
            $slender === null && $job->warn(Message::of('planning.warns.no_pilot_fits', [
                'drill' => Drill::name($drills[0]), 'final' => Drill::name($final), 'most_ratio' => PilotPlan::LARGEST,
            ]));
            $drills = [$final];
        }
        if ($slender !== null && count($drills) === 1) {
            $job->warn(Message::of('planning.warns.no_pilot_reaches', [
                'drill' => Drill::name($slender), 'depth_mm' => round($depth->depth->inMm(), 1), 'most' => self::SLENDER,
            ]));
        }
        count($drills) === 1 && $job->straightIn();

        return new self($job, $drills, $slender);
    }

    /** Of a tool that brings its own. */
    public static function none(Job $job, Twist $final): self
    {
        return new self($job, [$final], null);
    }

    public function stepped(): bool
    {
        return count($this->drills) > 2;
    }

    /** Why there is a pilot, and why this one. */
    public function why(): Message
    {
        $policy = $this->job->policy;
        $why = Message::of(match (true) {
            $this->stepped() => 'planning.pilot.stepped',
            $policy->pilotSchool === PilotSchool::Stepped => 'planning.pilot.stepped_once',
            default => 'planning.pilot.web',
        }, ['web_ratio' => $policy->webRatio]);

        return $this->tooSlender === null ? $why : Message::of('planning.pilot.sturdier', [
            'sentences' => [$why], 'drill' => Drill::name($this->tooSlender), 'most' => self::SLENDER,
        ]);
    }

    public function figure(Twist $drill): Figure
    {
        $policy = $this->job->policy;
        $final = $this->drills[count($this->drills) - 1];

        return Figure::drill(
            'diameter_mm',
            $drill->designation,
            $drill->diameter,
            'pilot.'.$policy->pilotSchool->value,
            'd ≥ w · D',
            ['w' => $policy->webRatio, 'D_mm' => $final->diameter->inMm(), 'd_mm' => $drill->diameter->inMm()],
        );
    }

    /**
     * @param  list<Twist>  $others
     * @return non-empty-list<Twist>
     *
     * @throws NoCandidate
     */
    private static function bySchool(Job $job, Twist $final, array $others): array
    {
        $policy = $job->policy;

        return (new PilotPlan($final->diameter, [...$others, $final], $policy->pilotSchool, $policy->pilotThreshold,
            $policy->webRatio, $policy->maxStepRatio, $job->material->grabs))->compute()->steps;
    }

    private static function reaches(Job $job, Twist $drill, DrilledDepth $depth): bool
    {
        if ($depth->depth->ratioTo($drill->diameter) > self::SLENDER + 1e-9) {
            return false;
        }
        $total = $depth->depth->plus((new DrillPoint($drill->diameter, $job->pointAngle($drill)))->compute()->pointLength);
        $flutes = $job->crib->fluteLength($drill) ?? UsualFlutes::of($drill->diameter);

        return $flutes?->isLessThan($total) !== true;
    }

    /**
     * @param  non-empty-list<Twist>  $drills
     * @param  callable(Twist): bool  $that
     */
    private static function firstThat(array $drills, Twist $final, callable $that): ?Twist
    {
        foreach ($drills as $drill) {
            if ($drill !== $final && ! $drill->diameter->equals($final->diameter) && $that($drill)) {
                return $drill;
            }
        }

        return null;
    }
}
