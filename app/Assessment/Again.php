<?php

declare(strict_types=1);

namespace App\Assessment;

use App\Competency\LedgerEntry;
use App\Competency\Permit;
use App\People\User;
use App\Policy\Policy;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use MillStep\Core\Assessment\Retake;
use MillStep\Core\Assessment\TryEnded;

/** Whether a learner may try a sheet again that they did not pass or that was put away: after the policy's wait, and after practice. */
final class Again
{
    private const MAY = ['until' => null, 'exercises' => 0];

    /** @return array{until: CarbonImmutable|null, exercises: int} when the wait is over, and how many exercises are missing */
    public function of(User $learner, string $sheet): array
    {
        return $this->ofEach(new Collection([$learner]), $sheet)[$learner->id][$sheet] ?? self::MAY;
    }

    /**
     * For many learners and all their sheets at once; whoever is not in it may.
     *
     * @param  Collection<int, User>  $learners
     * @return array<int, array<string, array{until: CarbonImmutable|null, exercises: int}>> by learner and sheet
     */
    public function ofEach(Collection $learners, ?string $sheet = null): array
    {
        $lasts = self::lasts($learners, $sheet);
        if ($lasts === []) {
            return [];
        }
        $policy = Policy::inForce();
        $retake = new Retake($policy->sheetWaitHours, $policy->sheetExercises);
        $permits = Permit::query()->get();
        $practised = LedgerEntry::query()->whereIn('learner_id', $learners->modelKeys())->where('type', 'practice_confirmed')
            ->where('happened_at', '>', min(array_map(static fn (array $last): \DateTimeImmutable => $last[1]->at, $lasts)))
            ->get(['learner_id', 'permit_id', 'happened_at'])
            ->groupBy('learner_id');
        $again = [];
        foreach ($lasts as [$last, $try]) {
            $code = $last->sheet->code;
            $until = $retake->waitsUntil($try, CarbonImmutable::now());
            $for = $permits->filter(
                static fn (Permit $one): bool => in_array($code, $one->requirement['assessments'], true),
            )->modelKeys();
            $since = ($practised->get($last->learner_id) ?? new Collection)->filter(
                static fn (LedgerEntry $entry): bool => in_array($entry->permit_id, $for, true)
                    && $entry->happened_at > $try->at,
            )->count();
            $again[$last->learner_id][$code] = [
                'until' => $until === null ? null : CarbonImmutable::instance($until),
                'exercises' => $retake->exercisesMissing($try, $since),
            ];
        }

        return $again;
    }

    /**
     * @param  Collection<int, User>  $learners
     * @return array<string, array{SheetAttempt, TryEnded}> the last try of each learner at each sheet
     */
    private static function lasts(Collection $learners, ?string $sheet): array
    {
        $attempts = SheetAttempt::query()->whereIn('learner_id', $learners->modelKeys())
            ->with(['sheet', 'lines' => static fn ($line) => $line->where('kind', 'appeal_answered')])
            ->where(static fn ($ended) => $ended->whereNotNull('concluded_at')->orWhere('put_away_marks', '>', 0))
            ->when($sheet !== null, static fn ($one) => $one->whereRelation('sheet', 'code', $sheet))->get();
        $lasts = [];
        foreach ($attempts as $attempt) {
            $try = $attempt->ended();
            $key = "{$attempt->learner_id} {$attempt->sheet->code}";
            if ($try !== null && (! isset($lasts[$key]) || $try->at >= $lasts[$key][1]->at)) {
                $lasts[$key] = [$attempt, $try];
            }
        }

        return $lasts;
    }
}
