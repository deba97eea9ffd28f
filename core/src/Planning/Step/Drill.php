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
use MillStep\Core\Workshop\Drill as Twist;

/** A pilot, a step or the final drill, with its speed, depth and reading on this machine. */
final class Drill extends Kind
{
    /** First peck three diameters deep, then one more each time. */
    private const FIRST_PECK = 3;

    private const NEXT_PECK = 1;

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
        $angle = $job->material->pointAngleDeg;
        $point = (new DrillPoint($drill->diameter, $angle))->compute()->pointLength;
        $total = $depth->depth->plus($point);
        $job->reach($total);
        self::judgeBlind($job, $kind, $depth, $total);
        self::judgeFlutes($job, $drill, $total);
        $scale = $job->machine->scale;
        $reading = self::reading($job, $kind, $depth, $total);
        $pecks = (new PeckPlan($drill->diameter, $total, self::FIRST_PECK, self::NEXT_PECK, Length::zero()))->compute();
        $rpm = $cutting->speed->chosenRpm;
        $time = (new CutTime($drill->diameter, $depth->depth, $angle, $cutting->feedMmRev, $rpm, Length::mm(1)))->compute();
        $job->setup(self::facts($job, $drill, $before, $kind, $cutting, $depth->depth, $total, $stepped));

        $step = PlanStep::of($kind, $tool, $why)
            ->beware(...self::cautions($job, $drill, $kind))
            ->sized($drill->diameter, $working)
            ->spun($cutting, $job->machine)
            ->because(...array_filter([$deep->message, self::chips($job)]))
            ->fed($cutting)
            ->deep($depth->depth, $depth->figure)
            ->toTip($total, Figure::length(
                'total_depth_mm',
                $total,
                'total',
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
                $reading->isLessThan($total) ? 'reading.down' : ($depth->through ? 'reading.up' : 'reading.room'),
                'reading = total',
                ['total_mm' => $total->inMm(), 'graduation_mm' => $scale->graduation->inMm()],
            ))
            ->wetted($job->material->lubricant->word())
            ->lasting($time->timeS, Figure::number(
                'time_s',
                's',
                $time->timeS,
                'time',
                't = 60 · travel / (f · n)',
                ['travel_mm' => $time->travel->inMm(), 'f_mm_rev' => $cutting->feedMmRev, 'n_rpm' => $rpm],
            )->teaching());

        return $pecks->needed ? $step->pecked($pecks->pecks) : $step;
    }

    /** Sheet with a step drill: one tool, straight in. */
    public static function withStepDrill(Job $job, Twist $drill, DrilledDepth $depth, Message $why, Figure $working): PlanStep
    {
        $tool = Message::of('planning.tool.step_drill', ['step_mm' => $drill->diameter->inMm()]);
        $cutting = $job->cut($tool, $drill->diameter, 'step_drill');
        $job->setup([
            ...self::facts($job, $drill, null, 'drill', $cutting, $depth->depth, $depth->depth, false),
            'tool' => 'step_drill',
        ]);

        return PlanStep::of('drill', $tool, $why, Message::of('planning.why.step_drill'))
            ->beware(...self::cautions($job, $drill, 'drill'))
            ->sized($drill->diameter, $working)
            ->spun($cutting, $job->machine)
            ->fed($cutting)
            ->deep($depth->depth, $depth->figure)
            ->toTip($depth->depth)
            ->wetted($job->material->lubricant->word())
            ->lasting($cutting->timeS($depth->depth));
    }

    public static function draw(Pen $pen, PlanStep $step, Section $section): void
    {
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
    ): array {
        return [
            'tool' => 'twist_drill', 'diameter_mm' => $drill->diameter->inMm(), 'pilot_mm' => $before?->diameter->inMm() ?? 0,
            // Where the crib's drill has the wrong edge the plan has its lips stoned before it is used.
            'final_drill' => $kind === 'drill', 'edge' => $job->material->needsZeroRake ? 'zero_rake' : 'normal',
            'rpm' => $cutting->speed->chosenRpm, 'operation_factor' => $cutting->factor, 'depth_mm' => $depth->inMm(),
            'total_depth_mm' => $total->inMm(), 'stepped' => $stepped,
            'flute_length_mm' => $job->crib->fluteLength($drill)?->inMm() ?? $total->inMm() + 1,
            'hand_tool' => false, 'powered' => true,
        ];
    }

    private static function judgeBlind(Job $job, string $kind, DrilledDepth $depth, Length $total): void
    {
        if ($kind === 'drill' && ! $depth->through && $total->isAtLeast($job->thickness)) {
            $job->missing(Message::of($depth->least ? 'planning.lacks.floor_under_thread' : 'planning.lacks.floor', [
                'total_mm' => round($total->inMm(), 1),
                'stock_mm' => $job->thickness->inMm(),
            ]));
        }
    }

    /** In whole lines of the scale: on to the next one where the depth is the least that will do, back to the last where it is the most. */
    private static function reading(Job $job, string $kind, DrilledDepth $depth, Length $total): Length
    {
        $scale = $job->machine->scale;
        $up = $scale->up($total);
        if (! $depth->least || $depth->through || $up->isLessThan($job->thickness)) {
            return $depth->least ? $up : $scale->down($total);
        }
        if ($kind === 'drill' && $total->isLessThan($job->thickness)) {
            $job->warn(Message::of('planning.warns.next_line_is_underside', [
                'line' => $scale->name($up),
                'total_mm' => round($total->inMm(), 2),
            ]));
        }

        return $scale->down($total);
    }

    private static function judgeFlutes(Job $job, Twist $drill, Length $total): void
    {
        $flutes = $job->crib->fluteLength($drill);
        if ($flutes?->isLessThan($total) === true) {
            $job->missing(Message::of('planning.lacks.flutes', [
                'drill' => self::name($drill),
                'flutes_mm' => $flutes->inMm(),
                'needed_mm' => round($total->inMm(), 1),
            ]));
        }
    }

    private static function tool(Job $job, Twist $drill): Message
    {
        $machine = $job->machine;
        $dubbed = $job->material->needsZeroRake && $job->crib->isDubbed($drill);
        $name = Message::of($dubbed ? 'planning.tool.dubbed_drill' : 'planning.tool.twist_drill', ['size' => self::size($drill)]);
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
        return in_array($job->material->chipForm, ['long_curly', 'stringy'], true)
            ? Message::of('planning.chips.'.($job->policy->chipSchool === ChipSchool::EaseOff ? 'ease_off' : 'more_feed'))
            : null;
    }

    /** @return list<Message> */
    private static function cautions(Job $job, Twist $drill, string $kind): array
    {
        $material = $job->material;
        $grabs = match (true) {
            ! $material->grabs => null,
            $material->needsZeroRake && $job->crib->isDubbed($drill) => 'planning.caution.grabs_use_dubbed',
            $material->needsZeroRake => 'planning.caution.grabs_stone_lips',
            default => 'planning.caution.grabs_light_feed',
        };

        return array_values(array_filter([
            $grabs === null ? null : Message::of($grabs, ['material' => $material->word()]),
            $job->through && ! $job->machine->isLathe() && $kind !== 'step' ? Message::of('planning.caution.ease_at_breakthrough') : null,
            Message::of('planning.caution.key_and_chips'),
        ]));
    }
}
