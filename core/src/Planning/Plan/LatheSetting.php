<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Plan;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\NoCandidate;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Hole\StartingTool;
use MillStep\Core\Planning\Lathe\CentreDrillChoice;
use MillStep\Core\Planning\Lathe\CentreDrillDepth;
use MillStep\Core\Planning\Lathe\LatheSupport;
use MillStep\Core\Planning\Lathe\OverhangVerdict;
use MillStep\Core\Planning\Lathe\StickOut;
use MillStep\Core\Planning\Step\PlanStep;
use MillStep\Core\Reference\StandardCentreDrill;
use MillStep\Core\Workshop\CribSpec;

/** What comes before the first drill on the lathe: held short, and started true. */
final readonly class LatheSetting
{
    private const CHUCK = 'All jaws on the work. Take the chuck key out before anything else.';

    public function __construct(private PlanDraft $draft, private CribSpec $crib)
    {
    }

    public function prepare(Length $work, Length $firstDrill, ?Length $overhang, LatheSupport $support): void
    {
        $out = $overhang ?? ($this->draft->thickness->isLessThan($this->allowed($work)) ? $this->draft->thickness : $this->allowed($work));
        $held = $this->held($work, $out, $support);
        $this->draft->step(new PlanStep('clean', 'rag and brush', 'Clean jaws grip, and a clean taper seats.'));
        $this->draft->step(new PlanStep('hold', $this->draft->holding->holding->description ?? 'three-jaw chuck', $held, [self::CHUCK,
            'Spindle forward: the top of the work comes towards you.'],
            figures: $this->draft->holding === null ? [] : [$this->draft->holding->figure]));
        $this->startTrue($work, $firstDrill);
    }

    /**
     * How the work is held, in words; says so where it stands out too far.
     *
     * @param  ?string  $instead  what would do without support
     */
    public function held(Length $work, Length $overhang, LatheSupport $support, ?string $instead = null): string
    {
        $policy = $this->draft->policy;
        $stick = (new StickOut($work, $overhang, $policy->overhangRatio, $this->draft->machine->throughBore))->compute();
        $needed = $stick->verdict === OverhangVerdict::SupportNeeded;
        if ($needed && $support === LatheSupport::None) {
            $this->draft->missing(
                sprintf(
                    'The work stands out %.1f mm, %.1f diameters; over %.3g it needs support: %s.%s',
                    $overhang->inMm(),
                    $stick->ratio,
                    $policy->overhangRatio,
                    str_replace('_', ' ', implode(', ', $stick->advice)),
                    $instead === null ? '' : " Or $instead.",
                ),
            );
        }
        $this->draft->holdsTrue([
            'all_jaws_bear' => true, 'overhang_mm' => $overhang->inMm(), 'work_diameter_mm' => $work->inMm(),
            'supported' => $support !== LatheSupport::None, 'tailstock_clamped' => true,
            'tailstock_spindle_locked' => false,
            'tailstock_spindle_out_mm' => $policy->tailstockLeastOut->inMm() + 10,
            'taper_clean' => true,
        ]);

        return sprintf(
            'Stands out %.1f mm, %.1f diameters; %.3g are allowed without support.',
            $overhang->inMm(),
            $stick->ratio,
            $policy->overhangRatio,
        )
            .($support === LatheSupport::None ? '' : sprintf(' Carried by the %s.', $support->value));
    }

    /** A short stiff start for the drill that follows. */
    public function startTrue(Length $work, Length $firstDrill): void
    {
        $start = StartingTool::for($firstDrill, $work, $this->crib);
        $cutting = $this->draft->cut($start->name, $start->diameter, $start->operation);
        $this->draft->step(new PlanStep('centre', $start->name, 'A twist drill is limber and wanders; a short stiff '
            .'start does not. '.$start->why.' '.$cutting->words(),
            ['Taper wiped clean, tailstock clamped, its spindle out far enough to seat.'], $start->diameter, $cutting->speed->chosenRpm,
            $this->draft->machine->speeds->setting($cutting->speed->chosenRpm),
            lubricant: $this->draft->material->lubricant,
            figures: [$cutting->speedFigure]));
    }

    /** A centre that carries: its cone formed for the most part, and its mouth to measure. */
    public function supportCentre(Length $work): void
    {
        try {
            $drill = StandardCentreDrill::named((new CentreDrillChoice($work, StandardCentreDrill::ranges('metric')))->compute()->size);
        } catch (NoCandidate $none) {
            $this->draft->missing($none->getMessage());

            return;
        }
        if (! $this->crib->hasCentreDrill($drill->range->size)) {
            $this->draft->missing(
                "The crib has no centre drill {$drill->range->size}. Ask for it: another size makes a centre that does not carry this bar.",
            );
        }
        $depth = (new CentreDrillDepth($drill->shape, $drill->pilotLength, CentreDrillDepth::USUAL))->compute();
        $scale = $this->draft->machine->scale;
        $reading = $scale->down($depth->depth);
        $cutting = $this->draft->cut("centre drill {$drill->range->size}", $drill->shape->body, 'centre_drilling');
        $terms = [
            'd_mm' => $drill->shape->pilot->inMm(),
            'D_mm' => $drill->shape->body->inMm(),
            'pilot_length_mm' => $drill->pilotLength->inMm(),
            'part' => CentreDrillDepth::USUAL,
            'mouth_mm' => $depth->mouth->inMm(),
        ];
        $this->draft->step(new PlanStep('centre', "centre drill {$drill->range->size}",
            sprintf('A centre that carries: %.0f %% of the cone, %.2f mm wide at its mouth. %s', 100 * CentreDrillDepth::USUAL,
                $depth->mouth->inMm(), $cutting->words()),
            [
                'Taper wiped clean, tailstock clamped, its spindle out far enough to seat.',
                'The pilot is weak: light feed, clear the chips, plenty of lubricant.',
            ],
            $drill->shape->body,
            $cutting->speed->chosenRpm,
            $this->draft->machine->speeds->setting($cutting->speed->chosenRpm), totalDepth: $depth->depth, reading: $reading,
            scale: $scale->name($reading), lubricant: $this->draft->material->lubricant, figures: [
                $cutting->speedFigure,
                Figure::length(
                    'total_depth_mm',
                    $depth->depth,
                    'centre',
                    'depth = pilot_length + part · (D − d) / 2 / tan 30°',
                    $terms,
                )->teaching(),
                Figure::length(
                    'reading_mm',
                    $reading,
                    'reading.down',
                    'reading = depth',
                    ['depth_mm' => $depth->depth->inMm(), 'graduation_mm' => $scale->graduation->inMm()],
                ),
            ]));
        $this->draft->holdsTrue([
            'centre_pilot_mm' => $drill->shape->pilot->inMm(),
            'centre_body_mm' => $drill->shape->body->inMm(),
            'centre_mouth_mm' => $depth->mouth->inMm(),
        ]);
    }

    private function allowed(Length $work): Length
    {
        return $work->times($this->draft->policy->overhangRatio);
    }
}
