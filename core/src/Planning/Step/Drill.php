<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Cutting\CutTime;
use MillStep\Core\Planning\Cutting\Cutting;
use MillStep\Core\Planning\Cutting\DeepHole;
use MillStep\Core\Planning\Cutting\DrillPoint;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Hole\DrilledDepth;
use MillStep\Core\Planning\Hole\PeckPlan;
use MillStep\Core\Policy\ChipSchool;
use MillStep\Core\Reference\MorseTaper;
use MillStep\Core\Reference\UsualFlutes;
use MillStep\Core\Workshop\Drill as Twist;
use MillStep\Core\Workshop\Holding\Ring;
use MillStep\Core\Workshop\HoleSaw;

/** A pilot, a step or the final drill, with its speed, depth and reading on this machine. */
final class Drill extends Kind
{
    /** First peck three diameters deep, then one more each time. */
    private const FIRST_PECK = 3;

    private const NEXT_PECK = 1;

    /** How high each step of a step drill is, and its tip, where nobody says. */
    private const STEP_MM = 5.0;

    public static function names(): array
    {
        return ['pilot', 'step', 'drill'];
    }

    public static function asked(): array
    {
        return ['diameter_mm' => 'mm', 'rpm' => 'rpm', 'total_depth_mm' => 'mm', 'reading_mm' => 'mm'];
    }

    public static function toolTells(): bool
    {
        return true;
    }

    /**
     * @param  'pilot'|'step'|'drill'  $kind
     * @param  Twist|null  $before  the drill before it in the same hole
     * @param  bool  $stepped  one of more than two drills
     */
    public static function make(
        Job $job,
        string $kind,
        Twist $drill,
        ?Twist $before,
        DrilledDepth $depth,
        Message $why,
        Figure $working,
        bool $stepped,
    ): PlanStep {
        $tool = self::tool($job, $drill);
        $deep = DeepHole::of($depth->depth->ratioTo($drill->diameter));
        $cutting = $job->cut(
            $tool,
            $drill->diameter,
            $before !== null ? 'opening_out' : ($kind === 'pilot' ? 'pilot' : 'drilling'),
            $deep,
        );
        $angle = $job->pointAngle($drill);
        $kind === 'drill' && $job->judgePoint($drill, $tool);
        $point = (new DrillPoint($drill->diameter, $angle))->compute()->pointLength;
        $total = $depth->depth->plus($point);
        $job->reach($total);
        $flutes = self::flutes($job, $drill, $total);
        $scale = $job->machine->scale;
        // Into an open start the tip is inside already when the lips touch: the scale counts from there.
        $inside = self::inside($before->diameter ?? $job->mouth, $drill->diameter, $angle);
        $reading = self::reading($job, $kind, $drill, $depth, $total, $inside);
        $reached = $depth->through ? $total : $reading->plus($inside);
        $pecks = (new PeckPlan($drill->diameter, $total->minus($inside), self::FIRST_PECK, self::NEXT_PECK, Length::zero()))->compute();
        $rpm = $cutting->speed->chosenRpm;
        $time = (new CutTime($drill->diameter, $depth->depth, $angle, $cutting->feedMmRev, $rpm, Length::mm(1)))->compute();
        self::judgeBlind($job, $kind, $drill, $depth, $total, $reached);
        $job->setup(self::facts($job, $drill, $before, $kind, $cutting, $depth->depth, $reached, $stepped, $flutes));

        $step = PlanStep::of($kind, $tool, $why)
            ->danger(...self::grabs($job, $drill))
            ->beware(...self::breaksThrough($job, $kind))
            ->sized($drill->diameter, $working)
            ->spun($cutting, $job->machine)
            ->because(...array_filter([$deep->message, self::chips($job)]))
            ->fed($cutting)
            ->deep($depth->depth, $depth->figure)
            ->toTip($total, Figure::length(
                'total_depth_mm',
                $total,
                $job->crib->pointAngle($drill, $job->material) === null ? 'total_taken' : 'total',
                'total = depth + (d / 2) / tan(angle / 2)',
                [
                    'depth_mm' => $depth->depth->inMm(),
                    'd_mm' => $drill->diameter->inMm(),
                    'angle_deg' => $angle,
                    'point_mm' => $point->inMm(),
                ],
            ))
            ->reads($reading, $scale->name($reading), Figure::length(
                'reading_mm',
                $reading,
                $reading->isLessThan($total->minus($inside)) ? 'reading.down' : ($depth->through ? 'reading.up' : 'reading.room'),
                $inside->isPositive() ? 'reading = total − in' : 'reading = total',
                [
                    'total_mm' => $total->inMm(), ...($inside->isPositive() ? ['in_mm' => $inside->inMm()] : []),
                    'graduation_mm' => $scale->graduation->inMm(),
                ],
            ))
            ->needing(...self::touch($before->diameter ?? $job->mouth, $inside))
            ->wetted($job->material->lubricant->word())
            ->lasting($time->timeS, Figure::number(
                'time_s',
                's',
                $time->timeS,
                'time',
                't = 60 · travel / (f · n)',
                ['travel_mm' => $time->travel->inMm(), 'f_mm_rev' => $cutting->feedMmRev, 'n_rpm' => $rpm],
            )->teaching());

        if ($flutes !== null) {
            $known = $job->crib->fluteLength($drill) !== null;
            $step = $step->shows(Figure::length('flute_length_mm', $flutes, $known ? 'flutes.crib' : 'flutes.usual', '', [
                'needed_mm' => $total->inMm(),
            ]));
        }

        return $pecks->needed ? $step->pecked($pecks->pecks) : $step;
    }

    /** Sheet with a step drill: one tool, straight in. */
    public static function withStepDrill(Job $job, Twist $drill, DrilledDepth $depth, Message $why, Figure $working): PlanStep
    {
        $tool = Message::of('planning.tool.step_drill', ['step_mm' => $drill->diameter->inMm()]);
        $cutting = $job->cut($tool, $drill->diameter, 'step_drill');
        // The tip and every step before this one go through first.
        $before = $job->crib->stepsBefore($drill->diameter) ?? 0;
        $ahead = Length::mm(self::STEP_MM)->times($before + 1);
        $travel = $depth->depth->plus($ahead);
        $job->reach($travel);
        $job->setup([
            ...self::facts($job, $drill, null, 'drill', $cutting, $depth->depth, $travel, false, null),
            'tool' => 'step_drill',
            'cutting_diameter_mm' => $job->crib->stepOf($drill->diameter)->asWide()->inMm(),
        ]);

        return PlanStep::of('drill', $tool, $why, Message::of('planning.why.step_drill'))
            ->danger(...self::grabs($job, $drill))
            ->beware(...self::breaksThrough($job, 'drill'))
            ->needing(Message::of('planning.needs.step_drill', [
                'step_mm' => $drill->diameter->inMm(), 'ahead_mm' => $ahead->inMm(), 'each_mm' => self::STEP_MM,
            ]))
            ->sized($drill->diameter, $working)
            ->spun($cutting, $job->machine)
            ->fed($cutting)
            ->deep($depth->depth, $depth->figure)
            ->toTip($travel, Figure::length('total_depth_mm', $travel, 'step_drill', 'depth = t + b + n · step', [
                't_mm' => $job->thickness->inMm(), 'b_mm' => $job->policy->breakthrough->inMm(),
                'n' => (float) ($before + 1), 'step_mm' => self::STEP_MM,
            ])->teaching())
            ->wetted($job->material->lubricant->word())
            ->lasting($cutting->timeS($travel));
    }

    /** A ring cut out of sheet or plate, its slug left in the cup. */
    public static function withHoleSaw(Job $job, HoleSaw $saw, DrilledDepth $depth, Message $why, Figure $working): PlanStep
    {
        $tool = Message::of('planning.tool.hole_saw', ['saw_mm' => $saw->diameter->inMm(), 'pilot_mm' => HoleSaw::PILOT_MM]);
        $cutting = $job->cut($tool, $saw->diameter, 'hole_saw');
        $travel = $depth->depth->plus(Length::mm(HoleSaw::AHEAD_MM));
        $job->reach($travel);
        if ($saw->deep->isLessThan($depth->depth)) {
            $job->missing(Message::of('planning.lacks.saw_deep', [
                'deep_mm' => $saw->deep->inMm(), 'needed_mm' => round($depth->depth->inMm(), 1),
            ]));
        }
        $job->setup([
            'tool' => 'hole_saw', 'hand_tool' => false, 'powered' => true, 'diameter_mm' => $saw->diameter->inMm(),
            'rpm' => $cutting->speed->chosenRpm, 'operation_factor' => $cutting->factor, 'depth_mm' => $depth->depth->inMm(),
        ]);
        $seconds = 60 * $travel->inMm() / (HoleSaw::FEED_MM * $cutting->speed->chosenRpm);

        return PlanStep::of('drill', $tool, $why, Message::of('planning.why.hole_saw'))
            ->danger(Message::of('planning.caution.saw_snatches'), Message::of('planning.caution.slug'))
            ->beware(...self::breaksThrough($job, 'drill'))
            ->needing(
                Message::of('planning.needs.saw_lifted'),
                Message::of($saw->deepKnown ? 'planning.needs.saw_board' : 'planning.needs.saw_deep_taken', [
                    'deep_mm' => $saw->deep->inMm(),
                ]),
            )
            ->sized($saw->diameter, $working)
            ->spun($cutting, $job->machine)
            ->deep($depth->depth, $depth->figure)
            ->toTip($travel, Figure::length('total_depth_mm', $travel, 'hole_saw', 'depth = t + b + ahead', [
                't_mm' => $job->thickness->inMm(), 'b_mm' => $job->policy->breakthrough->inMm(), 'ahead_mm' => HoleSaw::AHEAD_MM,
            ])->teaching())
            ->wetted($job->material->lubricant->word())
            ->lasting($seconds, Figure::number('time_s', 's', $seconds, 'hole_saw_time', 't = 60 · travel / (f · n)', [
                'travel_mm' => $travel->inMm(), 'f_mm_rev' => HoleSaw::FEED_MM, 'n_rpm' => $cutting->speed->chosenRpm,
            ])->teaching());
    }

    public static function isSaw(PlanStep $step): bool
    {
        return $step->figure('total_depth_mm')?->rule === 'hole_saw';
    }

    public static function draw(Pen $pen, PlanStep $step, Section $section): void
    {
        if (self::isSaw($step)) {
            self::drawSaw($pen, $section);

            return;
        }
        if ($step->kind === 'drill' && $step->totalDepth !== null) {
            $d = $section->diameterMm;
            $top = $pen->letters(2.2);
            $pen->path(Style::Tool, [
                [-$d / 2, $top], [-$d / 2, -$section->depthMm], [0, -$section->totalMm], [$d / 2, -$section->depthMm], [$d / 2, $top],
            ]);
        } elseif ($step->kind === 'pilot' && $step->diameter !== null && $step->totalDepth !== null) {
            $half = $step->diameter->inMm() / 2;
            $end = $section->through ? -$section->thicknessMm : -$step->totalDepth->inMm();
            $pen->line(Style::Hidden, -$half, 0, -$half, $end);
            $pen->line(Style::Hidden, $half, 0, $half, $end);
        }
    }

    /** The cup with its ring of teeth, and the pilot ahead of it. */
    private static function drawSaw(Pen $pen, Section $section): void
    {
        $half = $section->diameterMm / 2;
        $ring = HoleSaw::ring(Length::mm($section->diameterMm))->there->inMm() / 2;
        $pilot = HoleSaw::PILOT_MM / 2;
        $top = $pen->letters(2.2);
        foreach ([-1, 1] as $side) {
            $pen->path(Style::Tool, [
                [$side * $half, $top], [$side * $half, -$section->depthMm], [$side * $ring, -$section->depthMm], [$side * $ring, $top],
            ]);
        }
        $pen->path(Style::Tool, [
            [-$pilot, $top], [-$pilot, $pilot - $section->totalMm], [0, -$section->totalMm], [$pilot, $pilot - $section->totalMm],
            [$pilot, $top],
        ]);
    }

    /** A drill as it is asked for at the crib. */
    public static function name(Twist $drill): Message
    {
        return Message::of('planning.tool.drill', ['size' => self::size($drill)]);
    }

    /** Its own designation; a metric one is a bare number, and wants its unit. */
    private static function size(Twist $drill): Message|string
    {
        return preg_match('/^[\d.]+$/', $drill->designation) === 1
            ? Message::of('planning.size.metric', ['size' => $drill->designation])
            : $drill->designation;
    }

    /** @return array<string, mixed> */
    private static function facts(
        Job $job,
        Twist $drill,
        ?Twist $before,
        string $kind,
        Cutting $cutting,
        Length $depth,
        Length $total,
        bool $stepped,
        ?Length $flutes,
    ): array {
        return [
            'tool' => 'twist_drill', 'diameter_mm' => $drill->diameter->inMm(), 'pilot_mm' => $before?->diameter->inMm() ?? 0,
            // Where the crib's drill has the wrong edge the plan has its lips stoned before it is used.
            'final_drill' => $kind === 'drill', 'edge' => $job->material->needsZeroRake ? 'zero_rake' : 'normal',
            'rpm' => $cutting->speed->chosenRpm, 'operation_factor' => $cutting->factor, 'depth_mm' => $depth->inMm(),
            'total_depth_mm' => $total->inMm(), 'stepped' => $stepped,
            ...($flutes === null ? [] : ['flute_length_mm' => $flutes->inMm()]),
            'hand_tool' => false, 'powered' => true,
            'point_angle_deg' => $job->pointAngle($drill),
            'cutting_diameter_mm' => (new Ring($drill->diameter, $before->diameter ?? Length::zero()))->asWide()->inMm(),
        ];
    }

    /** How far below the face the tip stands when the lips touch the edge of an open start. */
    private static function inside(?Length $open, Length $drill, float $angle): Length
    {
        if ($open === null) {
            return Length::zero();
        }
        $touches = $open->isLessThan($drill) ? $open : $drill;

        return (new DrillPoint($touches, $angle))->compute()->pointLength;
    }

    /** @return list<Message> where the scale counts from */
    private static function touch(?Length $open, Length $inside): array
    {
        return $open === null ? [] : [Message::of('planning.needs.touch', [
            'open_mm' => round($open->inMm(), 1), 'in_mm' => round($inside->inMm(), 2),
        ])];
    }

    private static function judgeBlind(Job $job, string $kind, Twist $drill, DrilledDepth $depth, Length $total, Length $reached): void
    {
        if ($kind !== 'drill' || $depth->through) {
            return;
        }
        $floor = $job->policy->floorUnder($drill->diameter);
        $left = $job->thickness->minus($reached->isGreaterThan($total) ? $reached : $total);
        if ($left->isLessThan($floor)) {
            $job->missing(Message::of($depth->least ? 'planning.lacks.floor_under_thread' : 'planning.lacks.floor', [
                'total_mm' => round(max($total->inMm(), $reached->inMm()), 1),
                'stock_mm' => $job->thickness->inMm(),
                'floor_mm' => round($floor->inMm(), 1),
            ]));
        }
    }

    /**
     * In whole lines of the scale, from where the lips touch: on to the next one where the depth is the least that will do
     * and the floor under it allows, back to the last where it is the most.
     */
    private static function reading(
        Job $job,
        string $kind,
        Twist $drill,
        DrilledDepth $depth,
        Length $total,
        Length $inside,
    ): Length {
        $scale = $job->machine->scale;
        $travel = $total->minus($inside);
        $up = $scale->up($travel);
        $deepest = $job->thickness->minus($job->policy->floorUnder($drill->diameter));
        if (! $depth->least || $depth->through || ! $up->plus($inside)->isGreaterThan($deepest)) {
            return $depth->least ? $up : $scale->down($travel);
        }
        if ($kind === 'drill' && ! $total->isGreaterThan($deepest)) {
            $job->warn(Message::of('planning.warns.next_line_too_deep', [
                'line' => $scale->name($up),
                'total_mm' => round($travel->inMm(), 2),
            ]));
        }

        return $scale->down($travel);
    }

    /** As the crib says, or as such a drill usually has; says so where they do not reach. Null where neither is known. */
    private static function flutes(Job $job, Twist $drill, Length $total): ?Length
    {
        $known = $job->crib->fluteLength($drill);
        $flutes = $known ?? UsualFlutes::of($drill->diameter);
        if ($flutes === null) {
            $job->missing(Message::of('planning.lacks.flutes_unknown', ['drill' => self::name($drill)]));
        } elseif ($flutes->isLessThan($total)) {
            $job->missing(Message::of($known === null ? 'planning.lacks.usual_flutes' : 'planning.lacks.flutes', [
                'drill' => self::name($drill),
                'flutes_mm' => $flutes->inMm(),
                'needed_mm' => round($total->inMm(), 1),
            ]));
        }

        return $flutes;
    }

    private static function tool(Job $job, Twist $drill): Message
    {
        $machine = $job->machine;
        $dubbed = $job->material->needsZeroRake && $job->crib->isDubbed($drill);
        $name = Message::of($dubbed ? 'planning.tool.dubbed_drill' : 'planning.tool.twist_drill', ['size' => self::size($drill)]);
        $point = $job->crib->pointAngle($drill, $job->material);
        if ($point !== null && abs($point - Job::USUAL_POINT_DEG) > 1) {
            $name = Message::of('planning.tool.pointed', ['drill' => $name, 'angle_deg' => $point]);
        }
        $taper = $job->crib->taperOf($drill);
        if ($taper !== null) {
            if ($machine->taper === null || $machine->taper < $taper) {
                $job->missing(Message::of('planning.lacks.taper', [
                    'drill' => $name, 'taper' => $taper, 'machine' => $machine->word(),
                ]));
            }

            return $machine->taper === $taper || $machine->taper === null
                ? Message::of('planning.tool.taper_shank', ['drill' => $name, 'taper' => $taper])
                : Message::of('planning.tool.in_a_sleeve', ['drill' => $name, 'taper' => $taper, 'to' => $machine->taper]);
        }
        if ($machine->chuckMax !== null && $drill->diameter->isGreaterThan($machine->chuckMax)) {
            $usual = MorseTaper::usualFor($drill->diameter);
            $job->missing(Message::of($usual === null ? 'planning.lacks.chuck' : 'planning.lacks.chuck_or_taper', [
                'machine' => $machine->word(),
                'chuck_mm' => $machine->chuckMax->inMm(),
                'drill_mm' => $drill->diameter->inMm(),
                ...($usual === null ? [] : ['taper' => $usual]),
            ]));
        }

        return $name;
    }

    private static function chips(Job $job): ?Message
    {
        if ($job->material->group === 'stainless') {
            return Message::of('planning.chips.work_hardens');
        }

        return in_array($job->material->chipForm, ['long_curly', 'stringy'], true)
            ? Message::of('planning.chips.'.($job->policy->chipSchool === ChipSchool::EaseOff ? 'ease_off' : 'more_feed'))
            : null;
    }

    /** @return list<Message> how the material pulls the drill in, and what is done against it */
    private static function grabs(Job $job, Twist $drill): array
    {
        $material = $job->material;

        return $material->grabs ? [Message::of(match (true) {
            $material->needsZeroRake && $job->crib->isDubbed($drill) => 'planning.caution.grabs_use_dubbed',
            $material->needsZeroRake => 'planning.caution.grabs_stone_lips',
            default => 'planning.caution.grabs_light_feed',
        }, ['material' => $material->word()])] : [];
    }

    /** @return list<Message> */
    private static function breaksThrough(Job $job, string $kind): array
    {
        return $job->through && ! $job->machine->isLathe() && $kind !== 'step'
            ? [Message::of($job->material->group === 'stainless'
                ? 'planning.caution.breakthrough_work_hardens' : 'planning.caution.ease_at_breakthrough')] : [];
    }
}
