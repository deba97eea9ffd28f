<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Plan;

use MillStep\Core\Border\Length;
use MillStep\Core\Planning\Cutting\Cutting;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Hole\BoreGauge;
use MillStep\Core\Planning\Hole\HoleDrill;
use MillStep\Core\Planning\Hole\HoleRequest;
use MillStep\Core\Planning\Step\PlanStep;
use MillStep\Core\Planning\Thread\TapChoice;
use MillStep\Core\Planning\Thread\TapsAtHand;
use MillStep\Core\Policy\ReversingSchool;
use MillStep\Core\Workshop\CribSpec;

/** What comes after the drill: countersunk and tapped, or reamed; then deburred and measured. */
final readonly class Finishing
{
    /** A countersink's lead for a tap is about a tenth wider than the thread. */
    private const LEAD = 1.1;

    /** A reamer is fed at two to three times a drill's feed (operation_speed_factors.csv, the note). */
    private const REAMER_FEED = 2.0;

    public function __construct(private PlanDraft $draft, private CribSpec $crib, private HoleRequest $hole)
    {
    }

    public function finish(HoleDrill $final): void
    {
        if ($this->hole->purpose === 'tapped') {
            $this->tap($final);
        } elseif ($this->hole->purpose === 'reamed') {
            $this->ream($final);
        }
        $this->draft->step(
            new PlanStep(
                'deburr',
                'deburring tool',
                'A burr keeps parts from sitting flat, and cuts.',
                ['Standstill before anything is unclamped. Chips by brush, never by hand.'],
            ),
        );
        $this->measure();
    }

    private function tap(HoleDrill $final): void
    {
        $thread = $this->hole->theThread();
        $lead = $thread->major->times(self::LEAD);
        $this->lead(
            $lead,
            Figure::length('diameter_mm', $lead, 'countersink', 'd = 1.1 · D', ['D_mm' => $thread->major->inMm()])->teaching(),
        );
        $depth = $this->hole->depth ?? $this->draft->thickness;
        $wanted = (new TapChoice($this->hole->through, 'hand', $this->draft->material->group, $depth, $thread->major))->compute();
        $taps = TapsAtHand::of($wanted, $thread, $this->crib, $this->hole->through, $this->draft->material->group);
        $asked = str_replace('_', ' ', implode(', ', $wanted->sequence));
        if ($taps === null) {
            $this->draft->missing(
                sprintf(
                    'The crib has no taps that make %s here: wanted is %s; straight-flute hand taps, turned back to break the '
                        .'chip, would do.',
                    $thread->designation,
                    $asked,
                ),
            );

            return;
        }
        if ($taps->instead) {
            $this->draft->warn(
                sprintf(
                    'The crib has no %s tap for %s; the nearest that does it soundly is %s%s.',
                    $asked,
                    $thread->designation,
                    $taps->names(),
                    $taps->reverses ? ', turned back to break the chip' : '',
                ),
            );
        }
        $turns = $depth->ratioTo($thread->pitch);
        foreach ($taps->taps as $tap) {
            $this->draft->step(new PlanStep('tap', $thread->designation.' '.str_replace('_', ' ', $tap->type).' tap',
                $taps->reason.$this->reversing($taps),
                ['Power isolated: the spindle is turned by hand. A tap that binds is backed out, not forced.'],
                diameter: $thread->major, depth: $depth, lubricant: $this->draft->material->lubricant, figures: [
                    Figure::length('diameter_mm', $thread->major, 'thread', '', ['p_mm' => $thread->pitch->inMm()]),
                    Figure::length(
                        'depth_mm',
                        $depth,
                        $this->hole->through ? 'tap.through' : 'tap.blind',
                        'turns = depth / p',
                        ['p_mm' => $thread->pitch->inMm(), 'turns' => $turns],
                    ),
                ]));
        }
        $window = $final->window;
        $this->draft->setup([
            'tool' => 'tap', 'hand_tool' => true, 'powered' => false, 'rpm' => 0, 'tap_type' => $taps->taps[0]->type,
            'major_mm' => $thread->major->inMm(), 'pitch_mm' => $thread->pitch->inMm(),
            'drilled_mm' => $final->drill->diameter->inMm(), 'diameter_mm' => $final->drill->diameter->inMm(),
        ], $window === null ? [] : ['thread_percent_min' => $window->min, 'thread_percent_max' => $window->max]);
    }

    /** By the spindle where it turns slowly enough, else by hand. */
    private function lead(Length $lead, Figure $figure): void
    {
        $why = 'A light lead, a little wider than the thread, starts the tap. ';
        $cutting = Cutting::of($this->draft->machine, $this->draft->material, $this->draft->policy, $lead, 'countersinking');
        if ($cutting->machineTooFast()) {
            $this->draft->step(new PlanStep('countersink', 'hand countersink',
                sprintf('%sTurned by hand: the slowest speed here is %d rpm, and a countersink wants %d rpm or less.', $why,
                    $cutting->speed->chosenRpm, $cutting->wantedRpm()),
                ['Power isolated: the countersink is turned by hand.'], $lead,
                lubricant: $this->draft->material->lubricant, figures: [$figure]));

            return;
        }
        $this->draft->judged($cutting, 'countersink');
        $this->draft->step(new PlanStep('countersink', 'countersink', $why.$cutting->words(), ['Chuck key out.'], $lead,
            $cutting->speed->chosenRpm,
            $this->draft->machine->speeds->setting($cutting->speed->chosenRpm),
            lubricant: $this->draft->material->lubricant,
            figures: [$figure, $cutting->speedFigure]));
    }

    private function reversing(TapsAtHand $taps): string
    {
        return match (true) {
            ! $taps->reverses => '',
            $this->draft->policy->reversingSchool === ReversingSchool::EveryTurn => ' Half a turn back after every turn forward, the '
                .'school in force.',
            default => ' Forward until it stiffens, then back until the chip breaks, the school in force.',
        };
    }

    private function ream(HoleDrill $final): void
    {
        $diameter = $this->hole->largest();
        $byHand = $final->reamer === 'hand';
        $words = 'Forward going in and coming out, plenty of lubricant, more feed than a drill.';
        $cautions = ['A reamer is never turned backwards.'];
        $depth = $this->hole->depth ?? $this->draft->thickness->plus($this->draft->policy->breakthrough);
        $depthFigure = Figure::length('depth_mm', $depth, $this->hole->through ? 'depth.through' : 'depth.blind');
        $tool = sprintf('%.4g mm %s reamer', $diameter->inMm(), $byHand ? 'hand' : 'machine');
        if ($byHand && ! $this->hole->through) {
            $this->draft->warn(
                'The long lead of a hand reamer leaves the bottom of a blind hole undersize: drill deeper where the drawing allows it, '
                    .'or use a machine reamer.',
            );
        }
        if ($byHand) {
            $this->draft->step(
                new PlanStep(
                    'ream',
                    $tool,
                    $words,
                    [...$cautions, 'Hand reamer: power isolated, spindle locked, wrench only, steadied by a centre.'],
                    diameter: $diameter,
                    depth: $depth,
                    lubricant: $this->draft->material->lubricant,
                    figures: [$depthFigure],
                ),
            );
        } else {
            $cutting = $this->draft->cut(
                $tool,
                $diameter,
                'reaming_machine',
                null,
                self::REAMER_FEED,
                'Use a slower machine, or ream by hand.',
            );
            $this->draft->step(new PlanStep('ream', $tool, $words.' '.$cutting->words(), $cautions, $diameter, $cutting->speed->chosenRpm,
                $this->draft->machine->speeds->setting($cutting->speed->chosenRpm), $cutting->feedMmRev, $depth,
                lubricant: $this->draft->material->lubricant,
                timeS: $cutting->timeS($depth),
                figures: [$cutting->speedFigure, $cutting->feedFigure, $depthFigure]));
        }
        $this->draft->setup([
            'tool' => 'reamer', 'hand_tool' => $byHand, 'powered' => ! $byHand, 'rpm' => 0,
            'diameter_mm' => $diameter->inMm(), 'drilled_mm' => $final->drill->diameter->inMm(), 'reversed' => false,
            'allowance_min_mm' => $final->ream?->window->min->inMm() ?? 0, 'allowance_max_mm' => $final->ream?->window->max->inMm() ?? 0,
        ]);
    }

    private function measure(): void
    {
        $limits = $this->hole->limits;
        $words = 'A drilled hole is nearly always a little over its drill.';
        $figures = [];
        if ($limits !== null) {
            $words = sprintf('%s: from %.3f to %.3f mm.', $this->hole->fit, $limits->lower->inMm(), $limits->upper->inMm());
            $figures[] = Figure::length(
                'limits_mm',
                $limits->upper,
                'limits',
                '',
                ['go_mm' => $limits->lower->inMm(), 'no_go_mm' => $limits->upper->inMm()],
            );
        }
        $gauge = BoreGauge::of($this->hole, $this->crib);
        $this->draft->warn($gauge->warning);
        $this->draft->step(
            new PlanStep(
                'measure',
                $gauge->tool,
                $words.($this->hole->positionTolerance === null ? '' : sprintf(' Position within ⌀ %.3g mm.',
                    $this->hole->positionTolerance->inMm())),
                figures: $figures,
            ),
        );
    }
}
