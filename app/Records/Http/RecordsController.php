<?php

declare(strict_types=1);

namespace App\Records\Http;

use App\People\User;
use App\Records\Alert;
use App\Records\AuditLine;
use App\Records\AuditNames;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class RecordsController
{
    private const PAGE = 100;

    /** Changes of people, machines, permits, policy and devices, newest first; `before` is the id to go on from. */
    public function changes(Request $request): JsonResponse
    {
        /** @var array{before?: int|string|null, source?: string|null} $given */
        $given = $request->validate([
            'before' => ['nullable', 'integer', 'between:1,2000000000'],
            'source' => ['nullable', 'string', 'max:60'],
        ]);
        $lines = AuditLine::query()->with('actor')
            ->when($given['before'] ?? null, static fn ($query, $before) => $query->where('id', '<', (int) $before))
            ->when($given['source'] ?? null, static fn ($query, $source) => $query->where('source', $source))
            ->orderByDesc('id')->limit(self::PAGE)->get();
        $names = AuditNames::of($lines);

        return new JsonResponse($lines->map(static fn (AuditLine $line): array => [
            'id' => $line->id,
            'at' => $line->at->toIso8601ZuluString(),
            'by' => $line->actor?->name,
            'source' => $line->source,
            'row' => $names->row($line),
            'change' => $line->change,
            'before' => (object) $names->in($line->before),
            'after' => (object) $names->in($line->after),
        ])->all());
    }

    public function alerts(): JsonResponse
    {
        $unseen = Alert::query()->whereNull('seen_at')->orderByDesc('id')->limit(50)->get();

        return new JsonResponse($unseen->map(static fn (Alert $alert): array => [
            'id' => $alert->id,
            'kind' => $alert->kind,
            'facts' => (object) $alert->facts,
            'raised_at' => $alert->raised_at->toIso8601ZuluString(),
        ])->all());
    }

    public function seen(Alert $alert, #[CurrentUser] User $user): JsonResponse
    {
        Alert::query()->whereKey($alert->id)->whereNull('seen_at')->update(['seen_at' => CarbonImmutable::now(), 'seen_by' => $user->id]);

        return $this->alerts();
    }
}
