<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Hole;

use MillStep\Core\Border\Length;
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
     * @param  list<string>  $missing  what the crib lacks for it, and what would do instead
     * @param  list<string>  $warnings
     * @param  'hand'|'machine'|null  $reamer  the reamer that follows
     */
    private function __construct(
        public Drill $drill,
        public string $why,
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
            'The size on the drawing, from this crib.',
            Figure::drill('diameter_mm', $nearest->designation, $nearest->diameter, 'final'),
            $nearest->diameter->equals($wanted) ? [] : [
                sprintf(
                    'The crib has no %.4g mm drill. The nearest is %s (%.4g mm): if the drawing allows it, ask for that size.',
                    $wanted->inMm(),
                    $nearest->designation,
                    $nearest->diameter->inMm(),
                ),
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
                sprintf(
                    'Clearance for %s by the table, %s fit, as the shop\'s policy has it: %.4g mm.',
                    $thread->designation,
                    $policy->clearanceFit,
                    $ideal->inMm(),
                ),
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
                sprintf(
                    'Clearance for %s: the fastener plus %.4g mm, as the shop\'s policy has it.',
                    $thread->designation,
                    $policy->clearancePlus->inMm(),
                ),
                Figure::drill(
                    'diameter_mm',
                    $drill->designation,
                    $drill->diameter,
                    'clearance.plus',
                    'd ≥ D + plus',
                    [...$terms, 'plus_mm' => $policy->clearancePlus->inMm()],
                ),
                warnings: $policy->clearanceRule === ClearanceRule::Table ? [
                    "The table has no clearance hole for {$thread->designation}; the fastener plus the shop's step stands in.",
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
            sprintf(
                'Leaves %.0f %% of a full %s thread; the table asks for %.0f to %.0f %% by hand in %s.',
                $choice->percent,
                $thread->designation,
                $window->min,
                $window->max,
                mb_strtolower($material->name),
            ),
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
                sprintf(
                    'The crib has no %.4g mm %sreamer. Ask for one, or drill to size if the drawing allows it.',
                    $diameter->inMm(),
                    $asked === null ? '' : "$asked ",
                ),
            ]
            : [];
        if ($ream->verdict !== ReamVerdict::Good) {
            $missing[] = sprintf(
                'Before the %.4g mm %s reamer the crib has %s, which leaves %.2f mm (%s); right is %.2f to %.2f mm.',
                $diameter->inMm(),
                $method,
                $ream->preDrill->designation,
                $ream->allowance->inMm(),
                $ream->verdict->value,
                $ream->window->min->inMm(),
                $ream->window->max->inMm(),
            );
        }

        return new self($ream->preDrill,
            sprintf(
                'Leaves %.2f mm for the %s reamer, by the school "%s" that the shop\'s policy has in force.',
                $ream->allowance->inMm(),
                $method,
                str_replace('_', ' ', $policy->reamSchool->value),
            ),
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
