<?php

declare(strict_types=1);

namespace App\Assessment\Tries;

use App\Assessment\SheetAttempt;
use App\Competency\LedgerEntry;
use App\Language\Sentences;
use App\Support\Given;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/**
 * Every try at a practical sheet, the newest first: what it came to, and whatever happened on the way there. For whoever leads or audits.
 *
 * @phpstan-type Asked array{find?: string|null, ended?: string|null, learner?: int|string|null, page?: int|string|null}
 */
final class Tries
{
    public const PAGE = 50;

    public const ENDED = ['open', 'passed', 'not_yet', 'stopped', 'put_away'];

    /** What the ledger counts of a try. */
    private const COUNTED = ['sheet_stopped', 'mark_undone', 'sheet_reopened'];

    /**
     * @param  Asked  $asked
     * @return array{tries: list<array<string, mixed>>, more: bool}
     */
    public function page(array $asked, Sentences $says): array
    {
        $query = $this->asked($asked)->with(['sheet.part', 'machine', 'learner', 'assessor', 'cancelledBy', 'second', 'lines.by']);
        $query->latest('started_at')->orderBy('id')->skip((max(1, (int) ($asked['page'] ?? 1)) - 1) * self::PAGE)->take(self::PAGE + 1);
        $attempts = $query->get();
        $happened = self::happened($attempts);

        return [
            'tries' => array_map(
                static fn (SheetAttempt $attempt): array => TryShown::of($attempt, $happened[$attempt->id] ?? [], $says),
                array_slice(array_values($attempts->all()), 0, self::PAGE),
            ),
            'more' => $attempts->count() > self::PAGE,
        ];
    }

    /**
     * @param  Asked  $asked
     * @return Builder<SheetAttempt>
     */
    private function asked(array $asked): Builder
    {
        $find = trim((string) ($asked['find'] ?? ''));
        $like = '%'.addcslashes($find, '%_\\').'%';

        return SheetAttempt::query()
            ->when($asked['learner'] ?? null, static fn ($query, $learner) => $query->where('learner_id', (int) $learner))
            ->when($find !== '', static fn ($query) => $query->where(static fn ($any) => $any
                ->whereHas('learner', static fn ($one) => $one->where('name', 'ilike', $like))
                ->orWhereHas('assessor', static fn ($one) => $one->where('name', 'ilike', $like))
                ->orWhereHas('sheet', static fn ($one) => $one->where('title', 'ilike', $like)->orWhere('code', 'ilike', $like))))
            ->when($asked['ended'] ?? null, static fn ($query, $ended) => match ($ended) {
                'open' => $query->whereNull('concluded_at')->whereNull('cancelled_at'),
                'put_away' => $query->whereNotNull('cancelled_at'),
                default => $query->where('outcome', $ended),
            });
    }

    /**
     * @param  Collection<int, SheetAttempt>  $attempts
     * @return array<string, array<string, list<LedgerEntry>>> what the ledger has of each try, by attempt and type
     */
    private static function happened(Collection $attempts): array
    {
        $happened = [];
        $entries = LedgerEntry::query()->with('recorder')->whereIn('learner_id', $attempts->pluck('learner_id')->unique())
            ->whereIn('type', ['sheet_opened', ...self::COUNTED])->orderBy('seq')->get();
        foreach ($entries as $entry) {
            $happened[Given::text($entry->details()['attempt'] ?? '')][$entry->type][] = $entry;
        }

        return $happened;
    }
}
