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
use MillStep\Core\Planning\Thread\TapDrillCandidate;
use MillStep\Core\Planning\Thread\Tapping;
use MillStep\Core\Planning\Thread\ThreadForm;
use MillStep\Core\Planning\Thread\ThreadWindow;
use MillStep\Core\Policy\ClearanceRule;
use MillStep\Core\Policy\ReamSchool;
use MillStep\Core\Policy\ShopPolicy;
use MillStep\Core\Reference\Thread;
use MillStep\Core\Reference\ThreadMinor;
use MillStep\Core\Reference\Uncertainty;
use MillStep\Core\Workshop\CribSpec;
use MillStep\Core\Workshop\Drill;
use MillStep\Core\Workshop\HoleSaw;
use MillStep\Core\Workshop\Material;

/** The drill that makes a hole, or the hole before tap or reamer, with why it is that one. */
final readonly class HoleDrill
{
    /** A drill wanders and runs out: a bar that takes less than this off the diameter does not make the hole true (workshop practice). */
    private const LEFT_TO_BORE_MM = 1.0;

    /**
     * @param  list<Message>  $missing  what the crib lacks for it, and what would do instead
     * @param  list<Message>  $warnings
     * @param  'hand'|'machine'|null  $reamer  the reamer that follows
     * @param  HoleSaw|null  $saw  that makes the hole in the place of a drill
     * @param  bool  $noDrill  a saw or a step drill makes it, since no drill is that wide
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
        public ?HoleSaw $saw = null,
        public bool $noDrill = false,
    ) {
    }

    /**
     * @param  non-empty-list<Drill>  $drills  to choose from
     *
     * @throws NoCandidate when none of them will do
     */
    public static function of(
        HoleRequest $hole,
        Material $material,
        CribSpec $crib,
        ShopPolicy $policy,
        array $drills,
        bool $sheet = false,
    ): self {
        return match ($hole->purpose) {
            'tapped' => self::tapped($hole->theThread(), $hole->tapping, $material, $drills),
            'clearance', 'countersunk', 'counterbored', 'spotfaced' => self::clearance($hole->theThread(), $policy, $drills),
            'bored' => self::bored($hole->largest(), $drills),
            'reamed' => self::reamed($hole->largest(), $hole->reamer, $crib, $policy, $drills),
            default => self::sawn($hole, $crib, $drills, $sheet) ?? self::plain($hole->largest(), $drills),
        };
    }

    /**
     * Where no drill has the size and a step drill has it for sheet, or a hole saw for anything; null for all else.
     *
     * @param  non-empty-list<Drill>  $drills
     */
    private static function sawn(HoleRequest $hole, CribSpec $crib, array $drills, bool $sheet): ?self
    {
        $size = $hole->largest();
        $steps = $sheet && $crib->hasStepDrill($size);
        $saw = $steps ? null : $crib->holeSaw($size);
        if (! $hole->through || (! $steps && $saw === null) || Drill::nearest($drills, $size)?->diameter->equals($size) === true) {
            return null;
        }
        $name = self::plainName($size);

        return new self(
            new Drill($name, $size),
            Message::of('planning.why.size_on_drawing'),
            Figure::drill('diameter_mm', $name, $size, 'final'),
            saw: $saw,
            noDrill: true,
        );
    }

    private static function plainName(Length $size): string
    {
        return rtrim(rtrim(number_format($size->inMm(), 3, '.', ''), '0'), '.');
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
                Message::of(is_numeric($nearest->designation) ? 'planning.lacks.drill_metric' : 'planning.lacks.drill', [
                    'wanted_mm' => $wanted->inMm(),
                    'nearest' => $nearest->designation,
                    'nearest_mm' => $nearest->diameter->inMm(),
                ]),
            ],
        );
    }

    /**
     * The widest that leaves the bar something to straighten.
     *
     * @param  non-empty-list<Drill>  $drills
     *
     * @throws NoCandidate when all are too wide
     */
    private static function bored(Length $size, array $drills): self
    {
        $most = $size->minus(Length::mm(self::LEFT_TO_BORE_MM));
        $widest = null;
        foreach ($drills as $drill) {
            if ($drill->diameter->isAtMost($most) && ($widest === null || $drill->diameter->isGreaterThan($widest->diameter))) {
                $widest = $drill;
            }
        }
        if ($widest === null) {
            throw NoCandidate::in('drills', 'planning.no_drill_before_bar', ['most_mm' => $most->inMm(), 'size_mm' => $size->inMm()]);
        }

        return new self(
            $widest,
            Message::of('planning.why.left_to_bore', ['left_mm' => round($size->minus($widest->diameter)->inMm(), 2)]),
            Figure::drill('diameter_mm', $widest->designation, $widest->diameter, 'bore.drill', 'd ≤ D − left', [
                'D_mm' => $size->inMm(), 'left_mm' => self::LEFT_TO_BORE_MM,
            ])->teaching(),
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
    private static function tapped(Thread $thread, Tapping $tapping, Material $material, array $drills): self
    {
        $window = $tapping->window($material);
        $major = $tapping->major($thread);
        // What is pressed out or cut for an insert has its own hole: the chart and the class are of a thread that is cut.
        $cut = $tapping === Tapping::Hand || $tapping === Tapping::Power;
        $minor = $cut ? ThreadMinor::of($thread) : null;
        $choice = $cut ? self::tapDrill($thread, $window, $minor, $drills)
            : (new TapDrill(
                $major,
                $thread->pitch,
                $tapping->form(),
                $window->target,
                $window->min,
                $window->max,
                $drills,
            ))->compute()->chosen;

        return new self(new Drill($choice->designation, $choice->diameter),
            Message::of($tapping === Tapping::Hand ? 'planning.why.tap_drill' : "planning.why.tap_drill_$tapping->value", [
                'left_percent' => round($choice->percent),
                'thread' => $thread->designation,
                'least_percent' => $window->min,
                'most_percent' => $window->max,
                'material' => $material->word(),
            ]),
            Figure::drill('diameter_mm', $choice->designation, $choice->diameter, $cut ? 'tap_drill' : "tap_drill_$tapping->value",
                $tapping === Tapping::Forming
                    ? 'percent = (D − d) / (0.68 · p) · 100' : 'percent = (D − d) / (1.299038 · p) · 100', [
                        'D_mm' => $major->inMm(), 'd_mm' => $choice->diameter->inMm(), 'p_mm' => $thread->pitch->inMm(),
                        'percent_percent' => $choice->percent, 'target_percent' => $window->target,
                        ...($minor === null ? [] : ['least_mm' => $minor->least->inMm(), 'most_mm' => $minor->most->inMm()]),
                    ])->teaching($window->unsure),
            missing: array_values(array_filter([$tapping->refuses($material)])),
            warnings: array_values(array_filter([self::outOfClass($thread, $window, $minor, $choice)])), window: $window);
    }

    /**
     * The chart's own drill where the crib has it and this material's window allows it; else the best that keeps the
     * thread in its class; else the best of the window.
     *
     * @param  non-empty-list<Drill>  $drills
     *
     * @throws NoCandidate
     */
    private static function tapDrill(Thread $thread, ThreadWindow $window, ?ThreadMinor $minor, array $drills): TapDrillCandidate
    {
        $inClass = array_values(array_filter($drills, static fn (Drill $drill): bool => $minor?->hold($drill->diameter) === true));
        $chart = array_values(array_filter(
            $inClass,
            static fn (Drill $drill): bool => $thread->chartDiameter?->equals($drill->diameter) === true,
        ));
        foreach ([$chart, $inClass] as $among) {
            try {
                if ($among !== []) {
                    return self::nearestTo($thread, $window, $among);
                }
            } catch (NoCandidate) {
                // The next best will have to do.
            }
        }

        return self::nearestTo($thread, $window, $drills);
    }

    /**
     * @param  non-empty-list<Drill>  $among
     *
     * @throws NoCandidate
     */
    private static function nearestTo(Thread $thread, ThreadWindow $window, array $among): TapDrillCandidate
    {
        return (new TapDrill(
            $thread->major,
            $thread->pitch,
            ThreadForm::Cut,
            $window->target,
            $window->min,
            $window->max,
            $among,
        ))->compute()->chosen;
    }

    private static function outOfClass(Thread $thread, ThreadWindow $window, ?ThreadMinor $minor, TapDrillCandidate $choice): ?Message
    {
        if ($minor === null || $minor->hold($choice->diameter)) {
            return null;
        }
        $chart = $thread->chartDiameter === null
            ? null : ThreadForm::Cut->percent($thread->major, $thread->pitch, $thread->chartDiameter);

        return Message::of($chart !== null && $chart > $window->max + 1e-9
            ? 'planning.warns.minor_by_material' : 'planning.warns.minor_out_of_class', [
                'thread' => $thread->designation, 'class' => $minor->class, 'drill_mm' => $choice->diameter->inMm(),
                'least_mm' => $minor->least->inMm(), 'most_mm' => $minor->most->inMm(), 'chart' => $thread->chartDrill ?? '',
                'most_percent' => $window->max,
            ]);
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
        if ($ream->verdict !== ReamVerdict::Good && ! self::keepsItsSchool($ream, $method, $policy)) {
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

    /** A sixty-fourth under is what its school leaves for a machine reamer, whatever another school's table says. */
    public static function keepsItsSchool(ReamPreparation $ream, string $method, ShopPolicy $policy): bool
    {
        return $policy->reamSchool === ReamSchool::NextSixtyFourth && $method === 'machine' && $ream->verdict === ReamVerdict::Heavy
            && $ream->allowance->isAtMost(Length::mm(25.4 / 64));
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
