<?php

declare(strict_types=1);

namespace App\Assessment;

use App\Assessment\Events\AssessmentConcluded;
use App\Assessment\Who\WhoAssesses;
use App\Competency\RecordEntry;
use App\People\User;
use App\Policy\ShopNow;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Assessment\Outcome;

/** Has the core score the sheet and writes the outcome into the ledger. Concluding twice changes nothing. */
final class ConcludeAssessment
{
    public function __construct(
        private readonly RecordEntry $record,
        private readonly Scoring $scoring,
        private readonly WhoAssesses $who,
        private readonly ShopNow $shop,
    ) {
    }

    /**
     * @throws Refusal `cancelled`, `own_record`, `not_this_seat`, `not_authorised`, `too_far_apart`, `answers_missing`,
     *     `no_photograph`; `incomplete` while
     *     criteria are open, unless a critical one has stopped it
     */
    public function __invoke(SheetAttempt $attempt, User $by, ?CarbonImmutable $at = null): SheetAttempt
    {
        return DB::transaction(function () use ($attempt, $by, $at): SheetAttempt {
            $attempt = SheetAttempt::withSheet()->lockForUpdate()->findOrFail($attempt->id);
            if ($attempt->concluded_at !== null) {
                return $attempt;
            }
            $attempt->mustBeOpen();
            if ($attempt->learner->is($by)) {
                throw Refusal::forbidden('own_record', says: 'own_assessment');
            }
            if ($attempt->isSecond($by)) {
                throw Refusal::forbidden('not_this_seat');
            }
            $score = $this->scoring->score($attempt);
            if ($score->outcome === Outcome::Incomplete) {
                throw Refusal::because('incomplete', ['count' => count($score->open)]);
            }
            if ($score->outcome !== Outcome::Stopped && ($apart = $this->apart($attempt)) !== []) {
                throw Refusal::because('too_far_apart', ['lines' => $apart]);
            }
            if ($score->outcome !== Outcome::Stopped && ($unsaid = self::unsaid($attempt)) !== []) {
                throw Refusal::because('answers_missing', ['lines' => $unsaid]);
            }
            if ($score->outcome === Outcome::Passed && $this->shop->policy()->partPhotoRequired && self::hasNoPhotograph($attempt)) {
                throw Refusal::because('no_photograph', ['code' => (string) $attempt->part_code]);
            }
            // A stop is concluded whoever is there: by the shop itself, if need be.
            $score->outcome === Outcome::Stopped || $this->who->mustBeAuthorised($by, $attempt);
            $at ??= CarbonImmutable::now();
            $attempt->update([
                'outcome' => $score->outcome->value,
                'score_percent' => $score->scorePercent,
                'concluded_at' => $at,
                'assessor_id' => $by->id,
                'part_code' => $attempt->part_code ?? PartCode::free(),
            ]);
            ($this->record)($attempt->learner, null, 'assessment_concluded', [
                'assessment' => $attempt->sheet->code,
                'version' => $attempt->sheet->version,
                'attempt' => $attempt->id,
                'outcome' => $score->outcome->value,
                'score_percent' => $score->scorePercent,
                'stopped_by' => $score->stoppedBy,
                ...($attempt->stopped_at === null ? [] : ['stopped_at' => $attempt->stopped_at->toIso8601ZuluString()]),
                'part' => $attempt->part_code,
                ...$attempt->variant === null ? [] : [
                    'variant' => $attempt->variant, 'further_piece' => $attempt->variant !== $attempt->sheet->variant(null)?->key,
                ],
                'shows' => $attempt->sheet->shows($attempt->variant),
                ...$attempt->machine === null ? [] : ['machine' => $attempt->machine->slug],
            ], $by, $at);

            $this->shownAtTheStart($attempt, $by, $at);
            AssessmentConcluded::dispatch($attempt->id, $attempt->learner_id);

            return $attempt->load('assessor');
        });
    }

    private static function hasNoPhotograph(SheetAttempt $attempt): bool
    {
        return $attempt->photos->isEmpty() && in_array('measured', array_column($attempt->criteria(), 'kind'), true);
    }

    /** What somebody was seen to find at the place, before anything else: a statement that speaks of it rests on this. */
    private function shownAtTheStart(SheetAttempt $attempt, User $by, CarbonImmutable $at): void
    {
        foreach ($attempt->criteria() as $line) {
            $seen = $attempt->marks()->verdict($line['id'])?->value['result'] ?? null;
            if (($line['places'] ?? []) !== [] && in_array($seen, ['met', 'prompted'], true)) {
                ($this->record)($attempt->learner, null, 'shown', [
                    'what' => $line['places'], 'place' => $attempt->machine->slug ?? $attempt->sheet->code, 'attempt' => $attempt->id,
                ], $by, $at);
            }
        }
    }

    /** @return list<string> reasons that were asked for, and of whose answer not a word is written down */
    private static function unsaid(SheetAttempt $attempt): array
    {
        $asked = array_filter($attempt->criteria(), static fn (array $line): bool => ($line['follow_ups'] ?? []) !== []
            && array_filter($attempt->marks()->notes($line['id']), static fn (Mark $note): bool => $note->seat === Seat::Assessor) === []);

        return array_values(array_column($asked, 'text'));
    }

    /** @return list<string> measured lines at which learner and assessor still lie too far apart: one of the two reads wrongly */
    private function apart(SheetAttempt $attempt): array
    {
        $measured = array_filter($attempt->criteria(), fn (array $line): bool => $line['kind'] === 'measured'
            && (new Apart($this->scoring, $attempt, $line))->readers()->areTooFarApart());

        return array_values(array_column($measured, 'text'));
    }
}
