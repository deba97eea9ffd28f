<?php

declare(strict_types=1);

namespace App\Assessment;

use App\Assessment\Who\WhoAssesses;
use App\Competency\RecordEntry;
use App\People\User;
use App\Policy\Policy;
use App\Policy\ShopNow;
use App\Support\Refusal;
use App\Workshop\Day\CheckedToday;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Assessment\SecondView;

/** Opens a sheet for a learner, or finds the one that was left half way. */
final class OpenSheet
{
    private const MOST_SEED = 2_147_483_647;

    public function __construct(
        private readonly Again $again,
        private readonly RecordEntry $record,
        private readonly WhoAssesses $who,
        private readonly ShopNow $shop,
    ) {
    }

    /**
     * @param  string|null  $variant  the piece that it is done on; null: the sheet's first
     * @param  int|null  $seed  of dimensions and lot, where it is to come out the same again
     *
     * @throws Refusal `own_record`, `not_authorised`, `not_piloted`, `no_piece`, `not_this_machine`, `which_machine`,
     *     `not_checked_today`, `id_used`, `too_soon`,
     *     `practise_first`
     */
    public function __invoke(
        Sheet $sheet,
        User $learner,
        User $assessor,
        string $id,
        ?int $seed = null,
        ?string $variant = null,
        ?Machine $machine = null,
    ): SheetAttempt {
        if ($learner->is($assessor)) {
            throw Refusal::forbidden('own_record', says: 'own_assessment');
        }

        return DB::transaction(function () use ($sheet, $learner, $assessor, $id, $seed, $variant, $machine): SheetAttempt {
            User::query()->whereKey($learner->id)->lockForUpdate()->firstOrFail();
            $known = SheetAttempt::query()->find($id);
            if ($known !== null && ($known->learner_id !== $learner->id || $known->sheet->code !== $sheet->code)) {
                throw Refusal::idUsed();
            }
            // A sheet that was left open is finished in its own version.
            $open = $known ?? SheetAttempt::stillOpen()->where('learner_id', $learner->id)
                ->whereHas('sheet', static fn ($query) => $query->where('code', $sheet->code))->first();
            if ($open !== null) {
                $this->who->mustBeAuthorised($assessor, $open);

                return $open;
            }
            $piece = $sheet->variant($variant);
            $variant === null || $piece !== null || throw Refusal::because('no_piece', ['piece' => $variant]);
            $machine === null || $sheet->isDoneAt($machine)
                || throw Refusal::because('not_this_machine', ['machine' => $machine->name]);
            $machine ??= self::onlyMachine($sheet);
            $exception = $this->who->mustBeAllowed($learner, $sheet, $assessor, $machine);
            $this->mayBeTriedAgain($learner, $sheet->code);
            $checked = $machine === null ? null : CheckedToday::of($machine, $this->shop->policy()->hours);
            if ($machine !== null && $this->shop->policy()->dayCheckRequired && $checked?->isGood() !== true) {
                throw Refusal::because('not_checked_today', ['machine' => $machine->name]);
            }
            $seed ??= random_int(1, self::MOST_SEED);
            $attempt = SheetAttempt::query()->create([
                'id' => $id,
                'sheet_id' => $sheet->id,
                'learner_id' => $learner->id,
                'assessor_id' => $assessor->id,
                'started_at' => CarbonImmutable::now(),
                'seed' => $seed,
                'variant' => $piece?->key,
                'machine_id' => $machine?->id,
                // Stamped before anything is measured, so that what is measured is that very part.
                'part_code' => PartCode::free(),
                'machine_state' => $checked === null ? null : [
                    'service_note' => $machine->services()->value('reason'), ...$checked->shown(),
                    'speed_change' => $machine->speed_change,
                ],
                'second_wanted' => SecondView::isDrawn($seed, $this->shop->policy()->secondViewEvery),
            ])->setRelation('sheet', $sheet);
            $exception?->update(['attempt_id' => $attempt->id]);
            ($this->record)($learner, null, 'sheet_opened', [
                ...$attempt->named(), ...$attempt->second_wanted ? ['second_view' => true] : [],
                ...$machine === null ? [] : ['machine' => $machine->slug, 'machine_checked' => $checked->said()],
            ], $assessor);

            return $attempt;
        });
    }

    /**
     * Where there is but one it need not be said; whoever passes there knows it, so that nothing is guessed.
     *
     * @throws Refusal `which_machine`
     */
    private static function onlyMachine(Sheet $sheet): ?Machine
    {
        $machines = $sheet->machine_kind === null ? null : $sheet->machines();
        if ($machines === null || $machines->count() <= 1) {
            return $machines?->first();
        }
        throw Refusal::because('which_machine', ['machines' => array_values($machines->map(
            static fn (Machine $machine): string => $machine->name,
        )->all())]);
    }

    /** @throws Refusal `too_soon`, `practise_first` */
    private function mayBeTriedAgain(User $learner, string $sheet): void
    {
        $again = $this->again->of($learner, $sheet);
        if ($again['until'] !== null) {
            $hours = Policy::inForce()->hours;
            throw Refusal::because('too_soon', ['date' => $hours->dateAt($again['until']), 'time' => $hours->timeAt($again['until'])]);
        }
        if ($again['exercises'] > 0) {
            throw Refusal::because('practise_first', ['count' => $again['exercises']]);
        }
    }
}
