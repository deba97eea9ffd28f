<?php

declare(strict_types=1);

namespace App\Assessment;

use App\Assessment\Events\CriterionMarked;
use App\Assessment\Who\WhoAssesses;
use App\Competency\RecordEntry;
use App\People\User;
use App\Policy\ShopNow;
use App\Support\Refusal;
use App\Workshop\Gauges\Gauge;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Assessment\OwnWords;
use MillStep\Core\Assessment\Slip;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;

/**
 * Writes one mark of a sheet down. Sent again it is the same mark. What is marked already is changed within ten seconds, or with a
 * reason; a verdict that stops is taken whatever stood there.
 *
 * @phpstan-import-type SheetCriterion from Sheet
 * @phpstan-import-type Value from Mark
 *
 * @phpstan-type Given array{id: string, criterion: string, made_at: CarbonImmutable, result?: string|int|null,
 *     reading?: array<string, string>|null, units?: 'mm'|'in', gauge?: string|null, declined?: bool, why?: string|null}
 */
final class MarkCriterion
{
    public function __construct(
        private readonly Scoring $scoring,
        private readonly ShopNow $shop,
        private readonly RecordEntry $record,
        private readonly WhoAssesses $who,
    ) {
    }

    /**
     * @param  Given  $given
     *
     * @throws Refusal `id_used`, `concluded`, `cancelled`, `stopped_already`, `no_criterion`, `learner_first`, `marked_already`,
     *     `second_is_done`, `not_this_seat`, `not_authorised`, `why_declined`, `no_gauge`,
     *     `gauge_too_coarse`, `gauge_overdue`, `gauge_not_named`
     * @throws \MillStep\Core\Border\CoreException when a reading is not readable
     */
    public function __invoke(SheetAttempt $attempt, User $by, Seat $seat, array $given): SheetAttempt
    {
        return DB::transaction(function () use ($attempt, $by, $seat, $given): SheetAttempt {
            $attempt = SheetAttempt::toMark($attempt, $by);
            $criterion = $attempt->criterion($given['criterion'])
                ?? throw Refusal::because('no_criterion', ['criterion' => $given['criterion']]);
            $known = $attempt->lines->firstWhere('id', $given['id']);
            if ($known !== null) {
                return [$known->criterion, $known->seat, $known->by_id] === [$criterion['id'], $seat, $by->id]
                    ? $attempt : throw Refusal::idUsed();
            }
            // Nothing is refused for its date: a tablet whose clock is out has marked now, or when the sheet was opened.
            $said = $given['made_at'];
            $given['made_at'] = $attempt->instant($said);
            self::mustTake($attempt, $seat, $by, $criterion['id'], $given['made_at']);
            [$kind, $gauge, $value] = $this->read($attempt, $criterion, $seat, $given);
            $anew = $this->standsAnew($attempt, $criterion, $seat, $by, $given, $kind, $value);
            if ($anew === null) {
                return $attempt;
            }
            $seat === Seat::Assessor && $this->goesOnWith($attempt, $by);
            $line = Mark::add([
                'id' => $given['id'], 'attempt_id' => $attempt->id, 'criterion' => $criterion['id'], 'seat' => $seat, 'kind' => $kind,
                'value' => $anew ? [...$value, 'anew' => true] : $value,
                'gauge_id' => $gauge?->id, 'by_id' => $by->id, 'made_at' => $given['made_at'],
                'said_at' => $said->equalTo($given['made_at']) ? null : $said,
                'recorded_at' => CarbonImmutable::now(), 'why' => ($given['why'] ?? '') === '' ? null : $given['why'],
            ]);
            $attempt->add($line, $by, $gauge);
            $this->stopOrGoOn($attempt, $by);
            CriterionMarked::dispatch($attempt->id, $attempt->learner_id);

            return $attempt;
        });
    }

    /**
     * A sheet is stopped by its first slip; where that is taken back in time, it goes on. Both are on record.
     *
     * @param  bool  $undone  whether it is on record already that a mark was taken back
     */
    public function stopOrGoOn(SheetAttempt $attempt, User $by, bool $undone = false): void
    {
        $stops = $this->scoring->score($attempt)->stoppedBy;
        $stopped = $attempt->stopped_by;
        if ($stopped === null ? $stops === [] : in_array($stopped, $stops, true)) {
            return;
        }
        $line = $stops[0] ?? null;
        $attempt->update(['stopped_at' => $line === null ? null : $attempt->marks()->verdict($line)?->made_at, 'stopped_by' => $line]);
        if ($stopped !== null && ! $undone) {
            $this->record($attempt, 'mark_undone', $by, ['criterion' => $stopped]);
        }
        if ($line !== null) {
            $this->record($attempt, 'sheet_stopped', $by, ['criterion' => $line]);
        }
    }

    /** @param  array<string, mixed>  $more */
    public function record(SheetAttempt $attempt, string $type, User $by, array $more = []): void
    {
        ($this->record)($attempt->learner, null, $type, [...$attempt->named(), ...$more], $by);
    }

    /**
     * Whoever marks a sheet that somebody else opened, or on a later day, has opened it again, and may assess as whoever opened it may.
     *
     * @throws Refusal `not_authorised`
     */
    private function goesOnWith(SheetAttempt $attempt, User $by): void
    {
        $hours = $this->shop->policy()->hours;
        $day = static fn (CarbonImmutable $at): string => $hours->dateAt($at);
        $now = [$by->id, $day(CarbonImmutable::now())];
        $known = $now === [$attempt->assessor_id, $day($attempt->started_at)] || $attempt->lines->contains(
            static fn (Mark $line): bool => $line->seat === Seat::Assessor && $now === [$line->by_id, $day($line->recorded_at)],
        );
        if (! $known) {
            $this->who->mustBeAuthorised($by, $attempt);
            $this->record($attempt, 'sheet_reopened', $by);
        }
    }

    /** @throws Refusal */
    private static function mustTake(SheetAttempt $attempt, Seat $seat, User $by, string $criterion, CarbonImmutable $at): void
    {
        if ($seat === Seat::Second) {
            // Whoever watches may finish writing down what they saw after the sheet is concluded.
            $attempt->cancelled_at === null || $attempt->mustBeOpen();
            $attempt->second_done_at === null || throw Refusal::because('second_is_done');
            $attempt->isSecond($by) || throw Refusal::forbidden('not_this_seat');

            return;
        }
        if ($seat === Seat::Assessor && ($attempt->isSecond($by) || $attempt->learner->is($by))) {
            throw Refusal::forbidden('not_this_seat');
        }
        $attempt->mustBeOpen();
        // What another tablet marked before the stop belongs to the sheet; the slip itself may still be taken back.
        $stop = $attempt->stopped_by === null ? null : $attempt->marks()->verdict($attempt->stopped_by);
        $stillOpen = $stop === null || $at <= $stop->made_at || ($stop->criterion === $criterion && self::isSlip($stop, $at));
        $stillOpen || throw Refusal::because('stopped_already');
    }

    private static function isSlip(Mark $mark, CarbonImmutable $at): bool
    {
        return Slip::between($mark->instants(), ['made' => $at, 'recorded' => CarbonImmutable::now()]);
    }

    /**
     * @param  SheetCriterion  $criterion
     * @param  Given  $given
     * @return array{'verdict'|'reading'|'declined', Gauge|null, Value}
     *
     * @throws Refusal
     * @throws \MillStep\Core\Border\CoreException
     */
    private function read(SheetAttempt $attempt, array $criterion, Seat $seat, array $given): array
    {
        if ($criterion['kind'] !== 'measured') {
            return ['verdict', null, ['result' => self::result($criterion, $given['result'] ?? null)]];
        }
        if ($given['declined'] ?? false) {
            OwnWords::areReason($given['why'] ?? '') || throw Refusal::because('why_declined');

            return ['declined', null, []];
        }
        $gauge = ($given['gauge'] ?? '') === '' ? null
            : Gauge::query()->with('checks')->where('slug', $given['gauge'] ?? '')->first() ?? throw Refusal::because('no_gauge');
        $late = $gauge?->isPastDueOn($given['made_at']) ?? false;
        if ($this->shop->policy()->gaugesInDate && ($gauge === null || $late)) {
            throw $gauge === null ? Refusal::because('gauge_not_named') : Refusal::because('gauge_overdue', ['gauge' => $gauge->name]);
        }
        $wanted = $this->scoring->wanted($attempt, $criterion);
        // The mean of three decides in the end: with a gauge that cannot tell, it would decide by chance.
        $seat === Seat::Learner || $wanted->canBeToldBy($this->scoring->uncertaintyOf($gauge))
            || throw Refusal::because('gauge_too_coarse', [
                'uncertainty_mm' => $this->scoring->uncertaintyOf($gauge)->inMm(),
            ]);
        $typed = array_map(trim(...), $given['reading'] ?? []);
        $zero = $gauge?->zeroError() ?? Length::zero();
        $units = $given['units'] ?? 'mm';

        return ['reading', $gauge, [
            'typed' => $typed, 'units' => $units, 'zero_mm' => $zero->inMm(),
            'figures' => $wanted->read($typed, $units, $zero, $gauge?->tips()),
            ...$gauge?->tip_mm === null ? [] : ['tip_mm' => $gauge->tip_mm],
            'late' => $late,
            // As it was then: a check that comes later says nothing of this reading.
            ...$gauge?->checkInForce() === null ? [] : ['checked_on' => $gauge->checkInForce()->checked_on->toDateString()],
        ]];
    }

    /**
     * @param  SheetCriterion  $criterion
     *
     * @throws InvalidInput
     */
    private static function result(array $criterion, string|int|null $result): string|int
    {
        if ($criterion['kind'] === 'observed') {
            return in_array($result, ['met', 'prompted', 'not_met', 'not_seen'], true) ? $result
                : throw InvalidInput::at('result', 'assessment.no_verdict');
        }
        $most = $criterion['scale_max'] ?? 1;

        return $result === 'not_seen' || (is_int($result) && $result >= 0 && $result <= $most) ? $result
            : throw InvalidInput::at('result', 'assessment.points_from_to', ['most' => $most]);
    }

    /**
     * Whether what is read there begins anew; null where the same stands there already.
     *
     * @param  SheetCriterion  $criterion
     * @param  Given  $given
     * @param  Value  $value
     *
     * @throws Refusal `learner_first`, `marked_already`, `stopped_already`
     */
    private function standsAnew(
        SheetAttempt $attempt,
        array $criterion,
        Seat $seat,
        User $by,
        array $given,
        string $kind,
        array $value,
    ): ?bool {
        $marks = $attempt->marks();
        $measured = $criterion['kind'] === 'measured';
        if ($measured && $seat === Seat::Assessor && ! $marks->learnerIsDone($criterion['id'])) {
            throw Refusal::because('learner_first');
        }
        if ($kind === 'declined') {
            return $marks->learnerIsDone($criterion['id']) ? null : false;
        }
        $readings = $marks->readings($criterion['id'], $seat);
        $known = $measured ? ($readings === [] ? null : $readings[count($readings) - 1]) : $marks->verdict($criterion['id'], $seat);
        if ($known === null) {
            return false;
        }
        if (! $measured && ($known->value['result'] ?? null) === ($value['result'] ?? null)) {
            return null;
        }
        if ($measured && $this->mayReadAgain($attempt, $criterion, $seat)) {
            return false;
        }
        $stops = Sheet::stopsOn($criterion);
        $slip = $known->by_id === $by->id && self::isSlip($known, $given['made_at']);
        if ($slip || in_array($value['result'] ?? null, $stops, true)) {
            return $measured;
        }
        // What has stopped a sheet stands but for a slip: a reason does not undo it, nor a mark that says it was made before.
        if ($seat === Seat::Assessor && in_array($known->value['result'] ?? null, $stops, true)) {
            throw Refusal::because('stopped_already');
        }
        if (($given['why'] ?? '') !== '') {
            return $measured;
        }
        throw Refusal::because('marked_already', [
            'who' => $known->by->name, 'at' => $this->shop->policy()->hours->timeAt($known->made_at),
        ]);
    }

    /**
     * Doubtful ones, and two readers who lie far apart, measure again; three times at most.
     *
     * @param  SheetCriterion  $criterion
     */
    private function mayReadAgain(SheetAttempt $attempt, array $criterion, Seat $seat): bool
    {
        return ($this->scoring->found($attempt, $criterion, $seat)->again ?? 0) > 0
            || (new Apart($this->scoring, $attempt, $criterion))->readers()->next() === $seat->value;
    }
}
