<?php

declare(strict_types=1);

namespace App\Assessment;

use App\Assessment\Events\CriterionMarked;
use App\People\User;
use App\Policy\Policy;
use App\Support\Refusal;
use App\Workshop\Gauges\Gauge;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Assessment\Measuring\Repeated;
use MillStep\Core\Assessment\Outcome;
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
    public function __construct(private readonly Scoring $scoring)
    {
    }

    /**
     * @param  Given  $given
     *
     * @throws Refusal `id_used`, `concluded`, `cancelled`, `stopped_already`, `no_criterion`, `learner_first`, `marked_already`,
     *     `second_is_done`, `not_this_seat`, `no_gauge`
     * @throws \MillStep\Core\Border\CoreException when a reading is not readable
     */
    public function __invoke(SheetAttempt $attempt, User $by, Seat $seat, array $given): SheetAttempt
    {
        return DB::transaction(function () use ($attempt, $by, $seat, $given): SheetAttempt {
            $attempt = SheetAttempt::withSheet()->lockForUpdate()->findOrFail($attempt->id);
            $criterion = $attempt->sheet->criterion($given['criterion'])
                ?? throw Refusal::because('no_criterion', ['criterion' => $given['criterion']]);
            $known = Mark::query()->where('id', $given['id'])->first();
            if ($known !== null) {
                $same = [$known->attempt_id, $known->criterion, $known->seat, $known->by_id]
                    === [$attempt->id, $criterion['id'], $seat, $by->id];

                return $same ? $attempt : throw Refusal::idUsed();
            }
            // A tablet whose clock is fast has marked now, and not in a while.
            $given['made_at'] = $given['made_at']->min(CarbonImmutable::now());
            self::mustTake($attempt, $seat, $by, $criterion['id'], $given['made_at']);
            [$kind, $gauge, $value] = $this->read($attempt, $criterion, $given);
            $anew = $this->standsAnew($attempt, $criterion, $seat, $by, $given, $kind, $value);
            if ($anew === null) {
                return $attempt;
            }
            $line = Mark::query()->create([
                'id' => $given['id'], 'attempt_id' => $attempt->id, 'criterion' => $criterion['id'], 'seat' => $seat, 'kind' => $kind,
                'value' => $anew ? [...$value, 'anew' => true] : $value,
                'gauge_id' => $gauge?->id, 'by_id' => $by->id, 'made_at' => $given['made_at'],
                'recorded_at' => CarbonImmutable::now(), 'why' => ($given['why'] ?? '') === '' ? null : $given['why'],
            ]);
            $attempt->add($line, $by, $gauge);
            $this->stopOrGoOn($attempt, $criterion['id'], $given['made_at']);
            CriterionMarked::dispatch($attempt->id, $attempt->learner_id);

            return $attempt;
        });
    }

    /** A sheet is stopped by its first slip; where that is taken back in time, it goes on. */
    public function stopOrGoOn(SheetAttempt $attempt, string $criterion, CarbonImmutable $at): void
    {
        $stopped = $this->scoring->score($attempt)->outcome === Outcome::Stopped;
        if ($stopped !== ($attempt->stopped_at !== null)) {
            $attempt->update(['stopped_at' => $stopped ? $at : null, 'stopped_by' => $stopped ? $criterion : null]);
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
        $stillOpen = $attempt->stopped_at === null || $at <= $attempt->stopped_at
            || ($attempt->stopped_by === $criterion && Slip::mayBe($attempt->stopped_at, $at));
        $stillOpen || throw Refusal::because('stopped_already');
    }

    /**
     * @param  SheetCriterion  $criterion
     * @param  Given  $given
     * @return array{'verdict'|'reading'|'declined', Gauge|null, Value}
     *
     * @throws Refusal
     * @throws \MillStep\Core\Border\CoreException
     */
    private function read(SheetAttempt $attempt, array $criterion, array $given): array
    {
        if ($criterion['kind'] !== 'measured') {
            return ['verdict', null, ['result' => self::result($criterion, $given['result'] ?? null)]];
        }
        if ($given['declined'] ?? false) {
            return ['declined', null, []];
        }
        $gauge = ($given['gauge'] ?? '') === '' ? null
            : Gauge::query()->with('checks')->where('slug', $given['gauge'] ?? '')->first() ?? throw Refusal::because('no_gauge');
        $typed = array_map(trim(...), $given['reading'] ?? []);
        $zero = $gauge?->zeroError() ?? Length::zero();
        $units = $given['units'] ?? 'mm';

        return ['reading', $gauge, [
            'typed' => $typed, 'units' => $units, 'zero_mm' => $zero->inMm(),
            'figures' => $this->scoring->wanted($attempt, $criterion)->read($typed, $units, $zero),
            'late' => $gauge?->isPastDueOn($given['made_at']) ?? false,
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
     * @throws Refusal `learner_first`, `marked_already`
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
        $slip = $known->by_id === $by->id && Slip::mayBe($known->made_at, $given['made_at']);
        if ($slip || ($given['why'] ?? '') !== '' || $this->stops($criterion, $value)) {
            return $measured;
        }
        throw Refusal::because('marked_already', [
            'who' => $known->by->name, 'at' => Policy::inForce()->hours->timeAt($known->made_at),
        ]);
    }

    /**
     * Doubtful ones, and two readers who lie far apart, measure again; three times at most.
     *
     * @param  SheetCriterion  $criterion
     */
    private function mayReadAgain(SheetAttempt $attempt, array $criterion, Seat $seat): bool
    {
        $found = $this->scoring->found($attempt, $criterion, $seat);
        $other = count($attempt->marks()->readings($criterion['id'], $seat === Seat::Learner ? Seat::Assessor : Seat::Learner));
        $isTheirTurn = (new Apart($this->scoring, $attempt, $criterion))->isTooFar() || $other > ($found->readings ?? 0);

        return $found !== null && ($found->again > 0 || ($isTheirTurn && $found->readings < Repeated::MOST));
    }

    /**
     * @param  SheetCriterion  $criterion
     * @param  Value  $value
     */
    private function stops(array $criterion, array $value): bool
    {
        $result = $value['result'] ?? null;

        return $criterion['critical'] && ($result === 'not_met' || $result === 0
            || ($result === 'prompted' && $criterion['critical_prompt_stops']));
    }
}
