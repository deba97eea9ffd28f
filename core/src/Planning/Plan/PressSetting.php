<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Plan;

use MillStep\Core\Border\Length;
use MillStep\Core\Planning\Hole\HoleRequest;
use MillStep\Core\Planning\Hole\StartingTool;
use MillStep\Core\Planning\Step\PlanStep;
use MillStep\Core\Policy\LocatingSchool;
use MillStep\Core\Policy\MarkingSchool;
use MillStep\Core\Policy\StartSchool;
use MillStep\Core\Workshop\CribSpec;

/** What comes before the first drill at the drill press: marked, punched, brought under the spindle, held, started. */
final readonly class PressSetting
{
    /** A position held closer than this is not left to the punch mark alone. */
    private const CLOSE_MM = 0.3;

    private const MARKING = [
        'dye' => 'Marking dye first, then two scribed lines at right angles from a trued edge; never a pen line, which has width.',
        'copper' => 'A copper wash first, which coolant does not lift, then two scribed lines at right angles from a trued edge.',
        'bare' => 'Two bright crisp scribed lines at right angles from a trued edge, nothing else; feel them with a fingertip.',
    ];

    private const PUNCHING = [
        'one_blow' => ['centre punch', 'One blow, the school in force: punch upright, on solid steel, one firm blow.'],
        'prick_and_check' => [
            'prick punch and loupe, then centre punch',
            'Prick and check, the school in force: slide the needle point along the line until it drops into the crossing, one light '
                .'tap, look, correct, then the deep blow.',
        ],
    ];

    private const LOCATING = [
        'eye' => ['drill point in the mark', 'By eye, the school in force: the dimple pulls the work under the spindle.'],
        'pointer' => [
            'pointer in the chuck',
            'By pointer, the school in force: run it at a moderate speed, true it with a soft stick until its tip stands still, bring '
                .'the mark under it.',
        ],
        'edge_finder' => [
            'edge finder',
            'From the edge, the school in force: touch until the finder kicks sideways, then move in by half its tip and the '
                .'distance to the hole.',
        ],
    ];

    public function __construct(private PlanDraft $draft, private CribSpec $crib)
    {
    }

    public function prepare(HoleRequest $hole, ?Length $round, Length $firstDrill): void
    {
        $policy = $this->draft->policy;
        $this->draft->step(new PlanStep('clean', 'rag and brush', 'Marks and scribed lines show only on clean stock.'));
        $this->draft->step(
            new PlanStep(
                'mark_out',
                $round === null ? 'scriber and square' : 'thin rule or both-sides touch, scriber',
                $this->marking($policy->markingSchool, $hole, $round),
            ),
        );
        [$punch, $why] = self::PUNCHING[$policy->punchingSchool->value];
        $this->draft->step(
            new PlanStep(
                'punch',
                $punch,
                sprintf(
                    '%s The dimple must be wider than %.2g mm, the dead point of the first drill.',
                    $why,
                    $firstDrill->inMm() * $policy->webRatio,
                ),
                ['Eye protection on.'],
            ),
        );
        [$finder, $why] = self::LOCATING[$policy->locatingSchool->value];
        $this->draft->step(
            new PlanStep(
                'locate',
                $finder,
                $why,
                $policy->locatingSchool === LocatingSchool::Pointer ? [
                    'A pointer that is not snug swings out and flies: stop, snug, start again.',
                ] : [],
            ),
        );
        $this->hold($round !== null);
        if ($policy->startSchool === StartSchool::Spot || $round !== null
            || $hole->positionTolerance?->isLessThan(Length::mm(self::CLOSE_MM)) === true) {
            $this->start($firstDrill, $round);
        }
    }

    private function marking(MarkingSchool $school, HoleRequest $hole, ?Length $round): string
    {
        $words = $round === null ? self::MARKING[$school->value]
            : sprintf(
                'The middle of %.4g mm round work: a thin rule trapped between bar and point lies level over it; or touch both sides '
                    .'and halve. Then one line along, one across.',
                $round->inMm(),
            );

        return $hole->positionTolerance === null
            ? $words
            : sprintf('%s The position has to lie within ⌀ %.3g mm.', $words, $hole->positionTolerance->inMm());
    }

    private function hold(bool $round): void
    {
        $holding = $this->draft->holding;
        if ($holding === null) {
            return;
        }
        $sheet = $this->draft->thickness->isLessThan($this->draft->policy->thinSheet);
        $this->draft->step(new PlanStep('hold', $holding->holding->description.($sheet ? ', the sheet between two scrap boards' : ''),
            $holding->words($this->draft->policy).($sheet ? sprintf(' Sheet under %.3g mm is sandwiched: it neither bends nor climbs.',
                $this->draft->policy->thinSheet->inMm()) : ''), [
                    'No work is held by hand under a powered drill. Against turning and against lifting.',
                    $round ? 'Two clamps on a long bar; nothing hard under the hole.' : 'Something soft or a clear gap under the hole; no '
                        .'clamp and no table in the drill\'s way.',
                ], figures: [$holding->figure]));
    }

    /** A short stiff start, where the school, round work or a close position asks for one. */
    private function start(Length $firstDrill, ?Length $round): void
    {
        $why = $round !== null
            ? 'On round work a drill slides off the mark; a short stiff start does not.'
            : 'A short stiff start in the mark: a twist drill is limber and wanders.';
        $start = StartingTool::for($firstDrill, $round, $this->crib);
        $cutting = $this->draft->cut($start->name, $start->diameter, $start->operation);
        $this->draft->step(new PlanStep('centre', $start->name, $why.' '.$start->why.' '.$cutting->words(), ['Chuck key out.'],
            $start->diameter, $cutting->speed->chosenRpm, $this->draft->machine->speeds->setting($cutting->speed->chosenRpm),
            lubricant: $this->draft->material->lubricant, figures: [$cutting->speedFigure]));
        $this->draft->holdsTrue(['start' => 'spot']);
    }
}
