<?php

declare(strict_types=1);

namespace App\Records;

use App\Learning\HoldPoint;
use App\People\User;
use App\Practice\Entry;
use Illuminate\Database\Eloquent\Builder;

/** How many learners of somebody's wait at a machine for a look, and how much practice waits to be confirmed. */
final class WhoWaits
{
    /** @return array{look: int, practice: int} */
    public static function forTeacher(User $teacher): array
    {
        return self::of($teacher->reached()->get(['id'])->map(static fn (User $learner): int => $learner->id)->all());
    }

    /** @return array{look: int, practice: int} */
    public static function isLearner(User $learner): array
    {
        return self::of([$learner->id]);
    }

    /**
     * @param  array<int, int>  $learners  their ids
     * @return array{look: int, practice: int}
     */
    private static function of(array $learners): array
    {
        return [
            'look' => HoldPoint::awaited()
                ->whereRelation('progress', static fn (Builder $progress) => $progress->whereIn('learner_id', $learners))->count(),
            'practice' => Entry::query()->where('state', 'waiting')->whereIn('learner_id', $learners)->count(),
        ];
    }
}
