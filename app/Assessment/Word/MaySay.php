<?php

declare(strict_types=1);

namespace App\Assessment\Word;

use App\Assessment\SheetAttempt;
use App\Assessment\Viewer;
use App\People\User;
use Carbon\CarbonImmutable;
use MillStep\Core\Assessment\Appeal;

/** What somebody may say to the outcome of a sheet now: so that a screen offers nothing that is refused. */
final class MaySay
{
    /** @return list<'answer'|'appeal'|'answer_appeal'|'invite'> */
    public static function of(SheetAttempt $attempt, User $user, Viewer $viewer): array
    {
        if ($attempt->concluded_at === null || $viewer === Viewer::Reader || $attempt->isSecond($user)) {
            return [];
        }
        $marks = $attempt->marks();
        $answered = $marks->said('answered');
        $own = $viewer === Viewer::Learner;

        return array_keys(array_filter([
            'answer' => $own ? $answered?->by_id !== $user->id : $answered === null && $attempt->assessor_id === $user->id,
            'appeal' => $marks->said('appealed') === null && Appeal::isInTime($attempt->concluded_at, CarbonImmutable::now()),
            'answer_appeal' => ! $own && $marks->said('appealed') !== null && $marks->said('appeal_answered') === null
                && ! $attempt->hadAHandIn($user),
            'invite' => ! $own && $attempt->wantsSecondView() && (! $attempt->hadAHandIn($user) || $user->leads()),
        ]));
    }
}
