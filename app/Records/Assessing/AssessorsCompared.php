<?php

declare(strict_types=1);

namespace App\Records\Assessing;

use App\Assessment\Mark;
use App\Assessment\Seat;
use App\Assessment\SheetAttempt;
use App\People\User;
use Carbon\CarbonImmutable;
use MillStep\Core\Assessment\AssessorAgreement;
use MillStep\Core\Assessment\Leaning;
use MillStep\Core\Border\Fields;

/**
 * How alike the shop's assessors are: two who saw the same work, criterion by criterion; and how often each has said "met", month
 * by month. Whoever leads sees all, an instructor what concerns themselves.
 *
 * @phpstan-type Pair array{a: string, b: string}
 */
final class AssessorsCompared
{
    private const VERDICTS = ['not_met', 'prompted', 'met'];

    private const MONTHS = 12;

    /** @return array{pairs: list<array<string, mixed>>, assessors: list<array<string, mixed>>} */
    public function for(User $user): array
    {
        return ['pairs' => $this->pairs($user), 'assessors' => $this->assessors($user)];
    }

    /** @return list<array<string, mixed>> */
    private function pairs(User $user): array
    {
        $attempts = SheetAttempt::withSheet()->whereNotNull('second_done_at')->whereNotNull('concluded_at')
            ->when(! $user->leads(), static fn ($query) => $query->where(static fn ($own) => $own
                ->where('assessor_id', $user->id)->orWhere('second_id', $user->id)))
            ->orderBy('concluded_at')->get();
        $found = [];
        foreach ($attempts as $attempt) {
            $turned = $attempt->assessor_id > (int) $attempt->second_id;
            $names = [$attempt->assessor->name, $attempt->second->name ?? ''];
            $key = $turned ? "{$attempt->second_id} {$attempt->assessor_id}" : "{$attempt->assessor_id} {$attempt->second_id}";
            $found[$key] ??= ['names' => $turned ? array_reverse($names) : $names, 'all' => [], 'criteria' => [], 'sheets' => 0];
            $found[$key]['sheets']++;
            foreach ($attempt->criteria() as $criterion) {
                $pair = self::pair($attempt, $criterion['id'], $turned);
                if ($criterion['kind'] === 'observed' && $pair !== null) {
                    $found[$key]['all'][] = $pair;
                    $at = "{$attempt->sheet->code} {$criterion['id']}";
                    $found[$key]['criteria'][$at] ??= ['sheet' => $attempt->sheet->title, 'text' => $criterion['text'], 'pairs' => []];
                    $found[$key]['criteria'][$at]['pairs'][] = $pair;
                }
            }
        }

        return array_values(array_map(static fn (array $one): array => [
            'names' => $one['names'],
            'sheets' => $one['sheets'],
            ...self::agreement($one['all']),
            'criteria' => self::apartFirst(array_map(static fn (array $criterion): array => [
                'sheet' => $criterion['sheet'], 'text' => $criterion['text'], ...self::agreement($criterion['pairs']),
            ], array_values($one['criteria']))),
        ], array_filter($found, static fn (array $one): bool => $one['all'] !== [])));
    }

    /** @return Pair|null both verdicts, where both saw it */
    private static function pair(SheetAttempt $attempt, string $criterion, bool $turned): ?array
    {
        $a = $attempt->marks()->verdict($criterion)?->value['result'] ?? null;
        $b = $attempt->marks()->verdict($criterion, Seat::Second)?->value['result'] ?? null;
        if (! in_array($a, self::VERDICTS, true) || ! in_array($b, self::VERDICTS, true)) {
            return null;
        }

        return $turned ? ['a' => $b, 'b' => $a] : ['a' => $a, 'b' => $b];
    }

    /**
     * @param  non-empty-list<Pair>  $pairs
     * @return array{agreement: array<string, mixed>, apart: bool}
     */
    private static function agreement(array $pairs): array
    {
        $agree = AssessorAgreement::fromFields(Fields::of([
            'categories' => self::VERDICTS, 'scale' => 'ordered', 'pairs' => $pairs,
        ]))->compute();

        return ['agreement' => $agree->toArray(), 'apart' => $agree->isApart()];
    }

    /**
     * @param  list<array{sheet: string, text: string, agreement: array<string, mixed>, apart: bool}>  $criteria
     * @return list<array{sheet: string, text: string, agreement: array<string, mixed>, apart: bool}>
     */
    private static function apartFirst(array $criteria): array
    {
        usort($criteria, static fn (array $a, array $b): int => $a['agreement']['percent'] <=> $b['agreement']['percent']);

        return $criteria;
    }

    /** @return list<array<string, mixed>> how often each said "met" of what they saw, a year back */
    private function assessors(User $user): array
    {
        $from = CarbonImmutable::now()->startOfMonth()->subMonths(self::MONTHS - 1);
        $marks = Mark::query()->with('by')->where('kind', 'verdict')->where('seat', Seat::Assessor)->where('made_at', '>=', $from)
            ->whereIn('attempt_id', SheetAttempt::query()->whereNotNull('concluded_at')->select('id'))
            ->whereIn('value->result', self::VERDICTS)
            ->when(! $user->leads(), static fn ($query) => $query->where('by_id', $user->id))->get();
        $shop = ['met' => 0, 'of' => 0];
        $found = [];
        foreach ($marks as $mark) {
            $met = ($mark->value['result'] ?? null) === 'met' ? 1 : 0;
            $month = $mark->made_at->format('Y-m');
            $found[$mark->by_id] ??= ['name' => $mark->by->name, 'met' => 0, 'of' => 0, 'months' => []];
            $found[$mark->by_id]['months'][$month] ??= ['month' => $month, 'met' => 0, 'of' => 0];
            foreach ([&$found[$mark->by_id], &$found[$mark->by_id]['months'][$month], &$shop] as &$sum) {
                $sum['met'] += $met;
                $sum['of']++;
            }
            unset($sum);
        }
        usort($found, static fn (array $a, array $b): int => $a['name'] <=> $b['name']);

        return array_map(static function (array $one) use ($shop): array {
            ksort($one['months']);

            $percent = round(100 * $one['met'] / max(1, $one['of']), 1);
            $shopPercent = round(100 * $shop['met'] / max(1, $shop['of']), 1);

            return [
                ...$one, 'months' => array_values($one['months']), 'percent' => $percent, 'shop_percent' => $shopPercent,
                'leaning' => Leaning::of($percent, $shopPercent)->value,
            ];
        }, $found);
    }
}
