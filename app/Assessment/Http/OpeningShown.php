<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use App\Assessment\Sheet;
use App\Assessment\SheetAttempt;
use App\Language\Sentences;
use App\People\User;
use App\Policy\ShopNow;
use App\Workshop\Day\CheckedToday;
use App\Workshop\Machine;
use App\Workshop\MaterialRow;

/** What a sheet may be done on, what the learner has come to with each piece, and the machines that it may be done at. */
final class OpeningShown
{
    public function __construct(private readonly ShopNow $shop)
    {
    }

    /** @return array{pieces: list<array<string, mixed>>, machines: list<array<string, mixed>>, check_required: bool} */
    public function of(Sheet $sheet, User $learner, Sentences $says): array
    {
        $last = SheetAttempt::query()->where('learner_id', $learner->id)->whereNotNull('concluded_at')
            ->whereRelation('sheet', 'code', $sheet->code)->get()->sortBy('concluded_at')
            ->keyBy(static fn (SheetAttempt $attempt): string => $attempt->variant ?? $sheet->variants[0]['key'] ?? '');
        $machines = $sheet->machines()->load('dayChecks.by');
        $policy = $this->shop->policy();

        return [
            'pieces' => array_map(static fn (array $piece): array => [
                'key' => $piece['key'],
                'material' => MaterialRow::word($piece['material'], $says),
                'outcome' => $last->get($piece['key'])?->outcome,
            ], $sheet->variants),
            'machines' => array_values($machines->map(
                static fn (Machine $machine): array => [
                    'slug' => $machine->slug,
                    'name' => $machine->name,
                    'checked_today' => CheckedToday::of($machine, $policy->hours)->shown(),
                ],
            )->all()),
            'check_required' => $policy->dayCheckRequired,
        ];
    }
}
