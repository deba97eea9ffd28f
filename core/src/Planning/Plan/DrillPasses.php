<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Plan;

use MillStep\Core\Border\Length;
use MillStep\Core\Planning\Cutting\CutTime;
use MillStep\Core\Planning\Cutting\Cutting;
use MillStep\Core\Planning\Cutting\DeepHole;
use MillStep\Core\Planning\Cutting\DrillPoint;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Hole\DrilledDepth;
use MillStep\Core\Planning\Hole\HoleDrill;
use MillStep\Core\Planning\Hole\HoleRequest;
use MillStep\Core\Planning\Hole\PeckPlan;
use MillStep\Core\Planning\Step\PlanStep;
use MillStep\Core\Policy\ChipSchool;
use MillStep\Core\Policy\PilotSchool;
use MillStep\Core\Reference\MorseTaper;
use MillStep\Core\Workshop\CribSpec;
use MillStep\Core\Workshop\Drill;

/** Pilot, steps and final drill, each with its speed, depth and reading on this machine. */
final readonly class DrillPasses
{
    /** First peck three diameters deep, then one more each time. */
    private const FIRST_PECK = 3;

    private const NEXT_PECK = 1;

    public function __construct(private PlanDraft $draft, private CribSpec $crib)
    {
    }

    /** @param  non-empty-list<Drill>  $drills  in working order, the final one last */
    public function drill(array $drills, HoleDrill $final, DrilledDepth $depth, HoleRequest $hole): void
    {
        $last = count($drills) - 1;
        $before = null;
        foreach ($drills as $index => $drill) {
            $kind = match (true) {
                $index === $last => 'drill',
                $index === 0 => 'pilot',
                default => 'step',
            };
            $this->pass(
                $kind,
                $drill,
                $before,
                $depth,
                $kind === 'drill' ? $final->why : $this->pilotWords($drills),
                $kind === 'drill' ? $final->figure : $this->pilotFigure($drill, $drills[$last]),
                count($drills) > 2,
            );
            $before = $drill;
        }
    }

    /** Sheet with a step drill: one tool, straight in. */
    public function stepDrill(HoleDrill $final, DrilledDepth $depth): void
    {
        $diameter = $final->drill->diameter;
        $tool = sprintf('step drill, to its %.4g mm step', $diameter->inMm());
        $cutting = $this->draft->cut($tool, $diameter, 'step_drill');
        $this->draft->step(new PlanStep('drill', $tool, $final->why.' A step drill neither grabs nor tears thin sheet. '.$cutting->words(),
            $this->cautions($final->drill, 'drill'),
            $diameter,
            $cutting->speed->chosenRpm,
            $this->draft->machine->speeds->setting($cutting->speed->chosenRpm),
            $cutting->feedMmRev,
            $depth->depth,
            $depth->depth,
            null,
            null,
            [],
            $this->draft->material->lubricant,
            $cutting->timeS($depth->depth), figures: [$final->figure, $cutting->speedFigure, $cutting->feedFigure, $depth->figure]));
        $this->draft->setup(
            $this->facts($final->drill, null, 'drill', $cutting, $depth->depth, $depth->depth, false, ['tool' => 'step_drill']),
        );
    }

    private function pass(string $kind, Drill $drill, ?Drill $before, DrilledDepth $depth, string $why, Figure $figure, bool $stepped): void
    {
        $tool = $this->tool($drill);
        $deep = DeepHole::of($depth->depth->ratioTo($drill->diameter));
        $cutting = $this->draft->cut(
            $tool,
            $drill->diameter,
            $before !== null ? 'opening_out' : ($kind === 'pilot' ? 'pilot' : 'drilling'),
            $deep,
        );
        $angle = $this->draft->material->pointAngleDeg;
        $point = (new DrillPoint($drill->diameter, $angle))->compute()->pointLength;
        $total = $depth->depth->plus($point);
        $this->draft->reach($total);
        $this->judgeBlind($kind, $depth, $total);
        $this->judgeFlutes($drill, $total);
        $scale = $this->draft->machine->scale;
        $reading = $this->reading($kind, $depth, $total);
        $pecks = (new PeckPlan($drill->diameter, $total, self::FIRST_PECK, self::NEXT_PECK, Length::zero()))->compute();
        $time = (new CutTime($drill->diameter, $depth->depth, $angle, $cutting->feedMmRev, $cutting->speed->chosenRpm,
            Length::mm(1)))->compute();
        $this->draft->step(new PlanStep($kind, $tool, implode(' ', array_filter([$why, $cutting->words(), $deep->words,
            $this->chipWords($deep)], static fn (string $words): bool => $words !== '')), $this->cautions($drill, $kind),
            $drill->diameter,
            $cutting->speed->chosenRpm,
            $this->draft->machine->speeds->setting($cutting->speed->chosenRpm),
            $cutting->feedMmRev,
            $depth->depth,
            $total,
            $reading,
            $scale->name($reading),
            $pecks->needed ? $pecks->pecks : [], $this->draft->material->lubricant, $time->timeS, figures: [
                $figure, $cutting->speedFigure, $cutting->feedFigure, $depth->figure,
                Figure::length(
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
                ),
                Figure::length(
                    'reading_mm',
                    $reading,
                    $reading->isLessThan($total) ? 'reading.down' : ($depth->through ? 'reading.up' : 'reading.room'),
                    'reading = total',
                    ['total_mm' => $total->inMm(), 'graduation_mm' => $scale->graduation->inMm()],
                ),
                Figure::number(
                    'time_s',
                    's',
                    $time->timeS,
                    'time',
                    't = 60 · travel / (f · n)',
                    ['travel_mm' => $time->travel->inMm(), 'f_mm_rev' => $cutting->feedMmRev, 'n_rpm' => $cutting->speed->chosenRpm],
                )->teaching(),
            ]));
        $this->draft->setup($this->facts($drill, $before, $kind, $cutting, $depth->depth, $total, $stepped, []));
    }

    /**
     * @param  array<string, mixed>  $other
     * @return array<string, mixed>
     */
    private function facts(
        Drill $drill,
        ?Drill $before,
        string $kind,
        Cutting $cutting,
        Length $depth,
        Length $total,
        bool $stepped,
        array $other,
    ): array {
        return [
            'tool' => 'twist_drill',
            'diameter_mm' => $drill->diameter->inMm(),
            'edge' => $this->draft->material->needsZeroRake ? 'zero_rake' : 'normal',
            'pilot_mm' => $before?->diameter->inMm() ?? 0,
            'final_drill' => $kind === 'drill', 'stepped' => $stepped, 'rpm' => $cutting->speed->chosenRpm,
            'operation_factor' => $cutting->factor, 'depth_mm' => $depth->inMm(), 'total_depth_mm' => $total->inMm(),
            'flute_length_mm' => $this->crib->fluteLength($drill)?->inMm() ?? $total->inMm() + 1,
            'hand_tool' => false,
            'powered' => true,
            ...$other,
        ];
    }

    private function judgeBlind(string $kind, DrilledDepth $depth, Length $total): void
    {
        if ($kind === 'drill' && ! $depth->through && $total->isAtLeast($this->draft->thickness)) {
            $this->draft->missing(sprintf('With %s the hole is %.1f mm deep and comes out of %.4g mm of stock. Take thicker stock, a '
                .'shallower %s, or drill through.', $depth->least ? 'lead, room for chips and the point' : 'the point', $total->inMm(),
                $this->draft->thickness->inMm(), $depth->least ? 'thread' : 'hole'));
        }
    }

    /** In whole lines of the scale: on to the next one where the depth is the least that will do, back to the last where it is the most. */
    private function reading(string $kind, DrilledDepth $depth, Length $total): Length
    {
        $scale = $this->draft->machine->scale;
        $up = $scale->up($total);
        if (! $depth->least || $depth->through || $up->isLessThan($this->draft->thickness)) {
            return $depth->least ? $up : $scale->down($total);
        }
        if ($kind === 'drill' && $total->isLessThan($this->draft->thickness)) {
            $this->draft->warn(
                sprintf(
                    'The next line of the scale, %s, is already the underside of the stock: stop between the lines, at %.4g mm, or '
                        .'take thicker stock.',
                    $scale->name($up),
                    $total->inMm(),
                ),
            );
        }

        return $scale->down($total);
    }

    private function judgeFlutes(Drill $drill, Length $total): void
    {
        $flutes = $this->crib->fluteLength($drill);
        if ($flutes?->isLessThan($total) === true) {
            $this->draft->missing(
                sprintf(
                    'The flutes of the %s are %.4g mm long; %.1f mm are needed. Ask for a long-series drill.',
                    HolePlan::name($drill),
                    $flutes->inMm(),
                    $total->inMm(),
                ),
            );
        }
    }

    private function tool(Drill $drill): string
    {
        $machine = $this->draft->machine;
        $dubbed = $this->draft->material->needsZeroRake && $this->crib->isDubbed($drill) ? 'dubbed ' : '';
        $name = $dubbed.$drill->designation.(preg_match('/^[\d.]+$/', $drill->designation) === 1 ? ' mm' : '').' twist drill';
        $taper = $this->crib->taperOf($drill);
        if ($taper !== null) {
            if ($machine->taper === null || $machine->taper < $taper) {
                $this->draft->missing(
                    sprintf(
                        'The %s has a Morse %d shank, which %s does not take. Use a straight shank or another machine.',
                        $name,
                        $taper,
                        $machine->name,
                    ),
                );
            }

            return $name.', Morse '.$taper.(
                $machine->taper === $taper
                || $machine->taper === null ? '' : " in a sleeve to {$machine->taper}"
            );
        }
        if ($machine->chuckMax !== null && $drill->diameter->isGreaterThan($machine->chuckMax)) {
            $usual = MorseTaper::usualFor($drill->diameter);
            $this->draft->missing(
                sprintf(
                    'The chuck of %s takes up to %.4g mm; a %.4g mm drill wants a taper shank%s or another machine.',
                    $machine->name,
                    $machine->chuckMax->inMm(),
                    $drill->diameter->inMm(),
                    $usual === null ? '' : " (Morse $usual is usual)",
                ),
            );
        }

        return $name;
    }

    /** @param  list<Drill>  $drills */
    private function pilotWords(array $drills): string
    {
        return count($drills) > 2
            ? 'Stepped, the school that the shop\'s policy has in force: even steps from a web pilot to the final size.'
            : sprintf(
                '%s, the school that the shop\'s policy has in force: about %.2g of the final drill, as wide as its dead web.',
                $this->draft->policy->pilotSchool === PilotSchool::Stepped ? 'Stepped' : 'Web pilot',
                $this->draft->policy->webRatio,
            );
    }

    private function pilotFigure(Drill $drill, Drill $final): Figure
    {
        return Figure::drill(
            'diameter_mm',
            $drill->designation,
            $drill->diameter,
            'pilot.'.$this->draft->policy->pilotSchool->value,
            'd ≥ w · D',
            ['w' => $this->draft->policy->webRatio, 'D_mm' => $final->diameter->inMm(), 'd_mm' => $drill->diameter->inMm()],
        );
    }

    private function chipWords(DeepHole $deep): string
    {
        if (! in_array($this->draft->material->chipForm, ['long_curly', 'stringy'], true)) {
            return '';
        }

        return $this->draft->policy->chipSchool === ChipSchool::EaseOff
            ? 'Long ribbons: ease off for an instant to break them, the school in force.'
            : 'Long ribbons: a little more feed until they break short, the school in force.';
    }

    /** @return list<string> */
    private function cautions(Drill $drill, string $kind): array
    {
        $material = $this->draft->material;

        return array_values(array_filter([
            $material->grabs ? $material->name.' pulls a sharp drill in'.match (true) {
                $material->needsZeroRake && $this->crib->isDubbed($drill) => ': use the dubbed drill of this crib.',
                $material->needsZeroRake => ': stone a small flat on both lips before it is used.',
                default => ', most of all at breakthrough: light feed, work held down.',
            } : null,
            $this->draft->through && ! $this->draft->machine->isLathe() && $kind !== 'step' ? 'Ease the pressure as it breaks through; '
                .'let the drill clear, do not snatch.' : null,
            'Chuck key out. Chips by brush, at standstill.',
        ], is_string(...)));
    }
}
