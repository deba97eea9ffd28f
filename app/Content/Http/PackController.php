<?php

declare(strict_types=1);

namespace App\Content\Http;

use App\Content\Pack;
use App\Content\TakeIn;
use App\Language\Sentences;
use App\People\User;
use App\Support\ContentFault;
use App\Support\FaultyContent;
use App\Support\Given;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\App;
use Illuminate\Support\Facades\DB;

/** The packs that ship with this version: what is in them, and which of them this shop teaches from. */
final class PackController
{
    public function index(): JsonResponse
    {
        return new JsonResponse(array_map($this->about(...), Pack::shipped()));
    }

    public function store(string $code, TakeIn $take, #[CurrentUser] User $user): JsonResponse
    {
        $pack = collect(Pack::shipped())->first(static fn (Pack $each): bool => $each->code === $code) ?? abort(404);
        try {
            $take($pack, $user);
        } catch (FaultyContent $faulty) {
            return new JsonResponse([
                ...$this->about($pack),
                'faults' => array_map(static fn (ContentFault $fault): array => $fault->toArray(), $faulty->faults),
            ], 422);
        }

        return new JsonResponse($this->about($pack));
    }

    /** @return array<string, mixed> */
    private function about(Pack $pack): array
    {
        $taken = DB::table('content_packs')->where('code', $pack->code)->first();
        $language = App::getLocale();
        $counts = $pack->counts();

        return [
            'code' => $pack->code,
            'title' => $pack->said('title', $language),
            'about' => $pack->said('about', $language),
            'version' => $pack->version(),
            'needs' => array_map(static fn (string $code): string => $pack->beside($code)->said('title', $language), $pack->needs()),
            'languages' => array_values(array_filter(Sentences::LANGUAGES, $pack->speaks(...))),
            'lessons' => $counts['lessons'], 'checks' => $counts['checks'], 'sheets' => $counts['sheets'], 'permits' => $counts['permits'],
            'taken_version' => $taken?->version,
            'taken_at' => $taken === null ? null : CarbonImmutable::parse(Given::text($taken->taken_at))->toIso8601ZuluString(),
            'faults' => [],
        ];
    }
}
