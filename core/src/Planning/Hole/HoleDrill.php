<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Hole;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Border\NoCandidate;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Ream\ReamAllowance;
use MillStep\Core\Planning\Ream\ReamPlan;
use MillStep\Core\Planning\Ream\ReamPreparation;
use MillStep\Core\Planning\Ream\ReamVerdict;
use MillStep\Core\Planning\Thread\TapDrill;
use MillStep\Core\Planning\Thread\ThreadForm;
use MillStep\Core\Planning\Thread\ThreadWindow;
use MillStep\Core\Policy\ClearanceRule;
use MillStep\Core\Policy\ReamSchool;
use MillStep\Core\Policy\ShopPolicy;
use MillStep\Core\Reference\Thread;
use MillStep\Core\Reference\Uncertainty;
use MillStep\Core\Workshop\CribSpec;
use MillStep\Core\Workshop\Drill;
use MillStep\Core\Workshop\Material;

/** The drill that makes a hole, or the hole before tap or reamer, with why it is that one. */
final readonly class HoleDrill
{
    /**
     * @param  list<Message>  $missing  what the crib lacks for it, and what would do instead
     * @param  list<Message>  $warnings
     * @param  'hand'|'machine'|null  $reamer  the reamer that follows
     */
    private function __construct(
        public Drill $drill,
        public Message $why,
        public Figure $figure,
        public array $missing = [],
        public array $warnings = [],
        public ?ReamPreparation $ream = null,
        public ?string $reamer = null,
        public ?ThreadWindow $window = null,
    ) {
    }

    /**
     * @param  non-empty-list<Drill>  $drills  to choose from
     *
     * @throws NoCandidate when none of them will do
     */
    public static function of(HoleRequest $hole, Material $material, CribSpec $crib, ShopPolicy $policy, array $drills): self
    {
        return match ($hole->purpose) {
            'tapped' => self::tapped($hole->theThread(), $material, $drills),
            'clearance' => self::clearance($hole->theThread(), $policy, $drills),
            'reamed' => self::reamed($hole->largest(), $hole->reamer, $crib, $policy, $drills),
            default => self::plain($hole->largest(), $drills),
        };
    }

    /** @param  non-empty-list<Drill>  $drills */
    private static function plain(Length $wanted, array $drills): self
    {
        $nearest = Drill::nearest($drills, $wanted) ?? $drills[0];

        return new self(
            $nearest,
            Message::of('planning.why.size_on_drawing'),
            Figure::drill('diameter_mm', $nearest->designation, $nearest->diameter, 'final'),
            $nearest->diameter->equals($wanted) ? [] : [
                Message::of('planning.lacks.drill', [
                    'wanted_mm' => $wanted->inMm(),
                    'nearest' => $nearest->designation,
                    'nearest_mm' => $nearest->diameter->inMm(),
                ]),
            ],
        );
    }

    /** @param  non-empty-list<Drill>  $drills */
    private static function clearance(Thread $thread, ShopPolicy $policy, array $drills): self
    {
        $table = $thread->clearance($policy->clearanceFit);
        $byTable = $policy->clearanceRule === ClearanceRule::Table && $table !== null;
        $ideal = $byTable ? $table : $thread->major->plus($policy->clearancePlus);
        $drill = (new ClearanceHole($ideal, $drills))->compute()->drill;
        $terms = ['D_mm' => $thread->major->inMm(), 'wanted_mm' => $ideal->inMm(), 'd_mm' => $drill->diameter->inMm()];

        return $byTable
            ? new self(
                $drill,
                Message::of('planning.why.clearance_table', [
                    'thread' => $thread->designation,
                    'fit' => Message::of("policy.fit.$policy->clearanceFit"),
                    'wanted_mm' => $ideal->inMm(),
                ]),
                Figure::drill(
                    'diameter_mm',
                    $drill->designation,
                    $drill->diameter,
                    'clearance.table',
                    'd ≥ table',
                    $terms,
                )->teaching(Uncertainty::of('threads.csv', $thread->designation, "clearance_{$policy->clearanceFit}_mm")),
            )
            : new self(
                $drill,
                Message::of('planning.why.clearance_plus', [
                    'thread' => $thread->designation,
                    'plus_mm' => $policy->clearancePlus->inMm(),
                ]),
                Figure::drill(
                    'diameter_mm',
                    $drill->designation,
                    $drill->diameter,
                    'clearance.plus',
                    'd ≥ D + plus',
                    [...$terms, 'plus_mm' => $policy->clearancePlus->inMm()],
                ),
                warnings: $policy->clearanceRule === ClearanceRule::Table ? [
                    Message::of('planning.warns.no_clearance_row', ['thread' => $thread->designation]),
                ] : [],
            );
    }

    /** @param  non-empty-list<Drill>  $drills */
    private static function tapped(Thread $thread, Material $material, array $drills): self
    {
        $window = ThreadWindow::of($material->group, 'hand');
        $choice = (new TapDrill($thread->major, $thread->pitch, ThreadForm::Cut, $window->target, $window->min, $window->max,
            $drills))->compute()->chosen;

        return new self(new Drill($choice->designation, $choice->diameter),
            Message::of('planning.why.tap_drill', [
                'left_percent' => round($choice->percent),
                'thread' => $thread->designation,
                'least_percent' => $window->min,
                'most_percent' => $window->max,
                'material' => $material->word(),
            ]),
            Figure::drill('diameter_mm', $choice->designation, $choice->diameter, 'tap_drill', 'percent = (D − d) / (1.299038 · p) · 100', [
                'D_mm' => $thread->major->inMm(), 'd_mm' => $choice->diameter->inMm(), 'p_mm' => $thread->pitch->inMm(),
                'percent_percent' => $choice->percent, 'target_percent' => $window->target,
            ])->teaching($window->unsure), window: $window);
    }

    /**
     * @param  'hand'|'machine'|null  $asked
     * @param  non-empty-list<Drill>  $drills
     */
    private static function reamed(Length $diameter, ?string $asked, CribSpec $crib, ShopPolicy $policy, array $drills): self
    {
        $reamer = $asked === null ? $crib->reamerMethod($diameter) : ($crib->hasReamer($diameter, $asked) ? $asked : null);
        $ream = self::preparation($diameter, $reamer ?? $asked ?? 'machine', $policy, $drills);
        $other = $asked === null && $reamer === 'machine' && $ream->verdict !== ReamVerdict::Good && $crib->hasReamer($diameter, 'hand')
            ? self::preparation($diameter, 'hand', $policy, $drills)
            : null;
        if ($other?->verdict === ReamVerdict::Good) {
            // The crib's drill leaves too little for the machine reamer and just right for the hand reamer.
            [$ream, $reamer] = [$other, 'hand'];
        }
        $method = $reamer ?? $asked ?? 'machine';
        $missing = $reamer === null
            ? [
                Message::of(
                    'planning.lacks.'.($asked === null ? 'reamer' : "{$asked}_reamer"),
                    ['reamer_mm' => $diameter->inMm()],
                ),
            ]
            : [];
        if ($ream->verdict !== ReamVerdict::Good) {
            $missing[] = Message::of('planning.lacks.drill_before_reamer', [
                'reamer' => Message::of("planning.tool.{$method}_reamer", ['size_mm' => $diameter->inMm()]),
                'drill' => $ream->preDrill->designation,
                'left_mm' => round($ream->allowance->inMm(), 2),
                'verdict' => Message::of('planning.ream.'.$ream->verdict->value),
                'least_mm' => $ream->window->min->inMm(),
                'most_mm' => $ream->window->max->inMm(),
            ]);
        }

        return new self($ream->preDrill,
            Message::of("planning.why.left_for_{$method}_reamer", [
                'left_mm' => round($ream->allowance->inMm(), 2),
                'school' => Message::of('policy.ream_school.'.$policy->reamSchool->value),
            ]),
            Figure::drill('diameter_mm', $ream->preDrill->designation, $ream->preDrill->diameter, 'ream.'.$policy->reamSchool->value,
                'left = D − d', [
                    'D_mm' => $diameter->inMm(), 'd_mm' => $ream->preDrill->diameter->inMm(),
                    'left_mm' => $ream->allowance->inMm(), 'least_mm' => $ream->window->min->inMm(),
                    'most_mm' => $ream->window->max->inMm(),
                ])->teaching(Uncertainty::of('reamer_allowance.csv', '*', "{$method}_allowance_min_mm")),
            $missing, ream: $ream, reamer: $method);
    }

    /**
     * @param  'hand'|'machine'  $method
     * @param  non-empty-list<Drill>  $drills
     */
    private static function preparation(Length $diameter, string $method, ShopPolicy $policy, array $drills): ReamPreparation
    {
        $table = ReamAllowance::shipped($method);
        try {
            return (new ReamPlan($diameter, $drills, $policy->reamSchool, $table, $policy->reamStep))->compute();
        } catch (NoCandidate $none) {
            // The nearest drill below, and the verdict of the table on what it leaves, say more than "none".
            return $policy->reamSchool === ReamSchool::Table && $none->field === 'drills'
                ? (new ReamPlan($diameter, $drills, ReamSchool::FixedStep, $table, Length::mm(0.2)))->compute() : throw $none;
        }
    }
}
