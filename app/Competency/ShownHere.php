<?php

declare(strict_types=1);

namespace App\Competency;

use App\People\User;
use App\Support\Given;
use MillStep\Core\Competency\ShownWork;

/** What a learner has shown on passed sheets, of a permit and of those that it builds on: as their conclusions say, in the ledger. */
final class ShownHere
{
    public function __construct(private readonly Taught $taught)
    {
    }

    /** @return ShownWork|null null where no sheet is asked for, by it or below it: then nothing limits what is signed but the permit */
    public function of(User $learner, Permit $permit): ?ShownWork
    {
        $sheets = $this->sheets($permit);
        if ($permit->requirement['assessments'] === []) {
            return null;
        }
        $entries = LedgerEntry::query()->where('learner_id', $learner->id)
            ->whereIn('type', ['assessment_concluded', 'corrected'])->orderBy('seq')->get();
        $corrected = LedgerEntry::corrected($entries);
        $latest = [];
        foreach ($entries->where('type', 'assessment_concluded') as $entry) {
            $said = $entry->details();
            $code = Given::text($said['assessment'] ?? '');
            if (! in_array($code, $sheets, true) || isset($corrected[$entry->id])) {
                continue;
            }
            // As the ledger folds them: a stop takes back what was shown on any piece.
            if (($said['outcome'] ?? '') === 'stopped') {
                $latest[$code] = [];
            }
            $latest[$code][($said['further_piece'] ?? false) === true ? Given::text($said['variant'] ?? '') : ''] = $said;
        }
        $passed = array_filter(
            array_merge(...array_map(array_values(...), array_values($latest))),
            static fn (array $said): bool => ($said['outcome'] ?? '') === 'passed',
        );
        // What was concluded before a conclusion said so itself is taken as its sheet says today.
        $before = $this->taught->shows(array_values(array_unique(array_map(
            static fn (array $said): string => Given::text($said['assessment']),
            array_filter($passed, static fn (array $said): bool => ! isset($said['shows'])),
        ))));
        $shown = array_map(
            static fn (array $said): array => Given::rows($said['shows'] ?? $before[Given::text($said['assessment'])] ?? []),
            array_values($passed),
        );

        return ShownWork::fromRows(array_merge(...$shown));
    }

    /** @return list<string> codes */
    private function sheets(Permit $permit): array
    {
        $all = Permit::query()->get()->keyBy('code');
        $sheets = [];
        $left = [$permit->code];
        $seen = [];
        while (($code = array_shift($left)) !== null) {
            if (isset($seen[$code])) {
                continue;
            }
            $seen[$code] = true;
            $one = $all->get($code);
            array_push($sheets, ...$one->requirement['assessments'] ?? []);
            array_push($left, ...$one->requirement['prerequisites'] ?? []);
        }

        return array_values(array_unique($sheets));
    }
}
