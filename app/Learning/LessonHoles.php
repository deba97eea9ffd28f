<?php

declare(strict_types=1);

namespace App\Learning;

use App\Workshop\ShopAtHand;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Impossible;
use MillStep\Core\Border\Length;
use MillStep\Core\Learning\BoundHole;
use MillStep\Core\Learning\LessonFigures;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Plan\HolePlan;

/** Gathers a lesson's machine, crib, part and policy and has the core plan its hole. */
final class LessonHoles
{
    /** @var array<int, BoundHole|null> by lesson: what a reading is judged by is planned once for an answer, not at each question */
    private array $holes = [];

    public function __construct(private readonly ShopAtHand $shop)
    {
    }

    /**
     * @return array<string, Figure> by key; empty for a lesson that is bound to no hole
     *
     * @throws CoreException when crib or machine cannot make the hole
     */
    public function for(Lesson $lesson, ?Progress $progress): array
    {
        $hole = $this->hole($lesson);

        return $hole === null ? [] : self::of($hole, $progress);
    }

    /** @return array<string, Figure> by key */
    public static function of(BoundHole $hole, ?Progress $progress): array
    {
        $touch = $progress?->reading('scale_touch');

        return LessonFigures::of($hole, $touch === null ? null : Length::mm($touch));
    }

    /** @throws CoreException */
    public function hole(Lesson $lesson): ?BoundHole
    {
        return $this->holes[$lesson->id] ??= $this->planned($lesson);
    }

    /** @throws CoreException */
    private function planned(Lesson $lesson): ?BoundHole
    {
        if ($lesson->part === null || $lesson->machine === null || $lesson->hole === null) {
            return null;
        }
        $machine = $lesson->machine;
        $cribs = $this->shop->cribsFor($machine, []);
        if (! $this->shop->tools($cribs)->hasDrills() || $machine->speeds() === null) {
            throw Impossible::because('machine', 'learning.machine_bare', ['machine' => $machine->name]);
        }

        return BoundHole::of(HolePlan::on($this->shop->bench($machine, $cribs, $lesson->part->material), Fields::of([
            'thickness_mm' => $lesson->part->thickness_mm,
            'hole' => ['purpose' => 'plain', 'diameter_mm' => $lesson->part->hole($lesson->hole)['diameter_mm'], 'through' => true],
        ])));
    }
}
