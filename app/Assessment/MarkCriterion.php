<?php

declare(strict_types=1);

namespace App\Assessment;

use App\Assessment\Events\CriterionMarked;
use App\Support\Refusal;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Measure\Reading;

/** Keeps one mark of an open sheet. Sent again it is the same mark; sent empty it is taken back. */
final class MarkCriterion
{
    /**
     * @param  array{result?: string|int|null, value?: string|null, dx?: string|null, dy?: string|null}  $given  readings as typed
     * @param  'mm'|'in'  $units  of a reading that names none
     *
     * @throws Refusal `concluded`, `cancelled`, `no_criterion`
     * @throws \MillStep\Core\Border\InvalidInput when a reading is not readable
     */
    public function __invoke(SheetAttempt $attempt, string $criterionId, array $given, string $units): SheetAttempt
    {
        return DB::transaction(function () use ($attempt, $criterionId, $given, $units): SheetAttempt {
            $attempt = SheetAttempt::withSheet()->lockForUpdate()->findOrFail($attempt->id);
            $attempt->mustBeOpen();
            $criterion = $attempt->sheet->criterion($criterionId) ?? throw Refusal::because('no_criterion', ['criterion' => $criterionId]);
            $mark = match (true) {
                $criterion['kind'] !== 'measured' => array_filter(
                    ['result' => $given['result'] ?? null],
                    static fn ($value): bool => $value !== null,
                ),
                ($criterion['measure'] ?? '') === 'position' => $this->position($given, $units),
                default => $this->diameter($given, $units),
            };
            $attempt->marks = $mark === []
                ? array_diff_key($attempt->marks, [$criterionId => true])
                : [...$attempt->marks, $criterionId => $mark];
            $attempt->save();
            CriterionMarked::dispatch($attempt->id, $attempt->learner_id);

            return $attempt;
        });
    }

    /**
     * @param  array{value?: string|null}  $given
     * @param  'mm'|'in'  $units
     * @return array{value_mm?: float, typed?: string, units?: 'mm'|'in'}
     */
    private function diameter(array $given, string $units): array
    {
        $typed = trim($given['value'] ?? '');

        return $typed === '' ? [] : ['value_mm' => Reading::parse($typed, $units)->inMm(), 'typed' => $typed, 'units' => $units];
    }

    /**
     * Half a position is kept too: the second figure may come after the tablet was put down.
     *
     * @param  array{dx?: string|null, dy?: string|null}  $given
     * @param  'mm'|'in'  $units
     * @return array{dx_mm?: float, typed_dx?: string, dy_mm?: float, typed_dy?: string, units?: 'mm'|'in'}
     */
    private function position(array $given, string $units): array
    {
        $mark = [];
        foreach (['dx', 'dy'] as $axis) {
            $typed = trim($given[$axis] ?? '');
            if ($typed !== '') {
                $mark[$axis.'_mm'] = Reading::parse($typed, $units, signed: true)->inMm();
                $mark['typed_'.$axis] = $typed;
                $mark['units'] = $units;
            }
        }

        return $mark;
    }
}
