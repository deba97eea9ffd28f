<?php

declare(strict_types=1);

namespace App\Assessment;

use App\Competency\LedgerEntry;
use App\Competency\Permit;
use App\People\User;
use App\Policy\Policy;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use MillStep\Core\Assessment\Outcome;
use MillStep\Core\Assessment\Retake;

/** Whether a learner may try a sheet again that they did not pass: after the policy's wait, and after practice. */
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
        $lasts = SheetAttempt::query()->with('sheet')->whereIn('learner_id', $learners->modelKeys())->whereNotNull('concluded_at')
            ->when($sheet !== null, static fn ($one) => $one->whereRelation('sheet', 'code', $sheet))
            ->orderBy('concluded_at')->get()
            ->keyBy(static fn (SheetAttempt $attempt): string => "{$attempt->learner_id} {$attempt->sheet->code}");
        if ($lasts->isEmpty()) {
            return [];
        }
        $policy = Policy::inForce();
        $retake = new Retake($policy->sheetWaitHours, $policy->sheetExercises);
        $permits = Permit::query()->get();
        $practised = LedgerEntry::query()->whereIn('learner_id', $learners->modelKeys())->where('type', 'practice_confirmed')
            ->where('happened_at', '>', $lasts->min('concluded_at'))->get(['learner_id', 'permit_id', 'happened_at'])
            ->groupBy('learner_id');
        $again = [];
        foreach ($lasts as $last) {
            if ($last->concluded_at === null) {
                continue;
            }
            $code = $last->sheet->code;
            $outcome = Outcome::tryFrom((string) $last->outcome);
            $until = $retake->waitsUntil($outcome, $last->concluded_at, CarbonImmutable::now());
            $for = $permits->filter(
                static fn (Permit $one): bool => in_array($code, $one->requirement['assessments'], true),
            )->modelKeys();
            $since = ($practised->get($last->learner_id) ?? new Collection)->filter(
                static fn (LedgerEntry $entry): bool => in_array($entry->permit_id, $for, true)
                    && $entry->happened_at > $last->concluded_at,
            )->count();
            $again[$last->learner_id][$code] = [
                'until' => $until === null ? null : CarbonImmutable::instance($until),
                'exercises' => $retake->exercisesMissing($outcome, $since),
            ];
        }

        return $again;
    }
}
