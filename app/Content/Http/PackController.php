<?php

declare(strict_types=1);

namespace App\Content\Http;

use App\Content\BringPack;
use App\Content\Files\PackZip;
use App\Content\Pack;
use App\Content\Packs;
use App\Content\TakeIn;
use App\Language\Sentences;
use App\People\User;
use App\Support\ContentFault;
use App\Support\FaultyContent;
use App\Support\Given;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\App;
use Illuminate\Support\Facades\DB;

/** The packs that are at hand: what is in them, which of them this shop teaches from, and as files to and fro. */
final class PackController
{
    /** Bytes of a zip; all packs that ship together have a tenth of it. */
    private const MOST = 4_000_000;

    public function __construct(private readonly Packs $packs)
    {
    }

    public function index(): JsonResponse
    {
        return new JsonResponse(array_map($this->about(...), $this->packs->all()));
    }

    /** The pack as one file, to keep or to hand on. */
    public function file(string $code): Response
    {
        $pack = $this->packs->find($code) ?? abort(404);

        return new Response(PackZip::of($pack), 200, [
            'Content-Type' => 'application/zip', 'Content-Disposition' => "attachment; filename=\"$code.zip\"",
        ]);
    }

    /** One that comes as a file. */
    public function bring(Request $request, BringPack $bring, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{name: string, zip: string, instead?: bool} $given */
        $given = $request->validate([
            'name' => ['required', 'string', 'max:200'],
            'zip' => ['required', 'string', 'max:'.intdiv(self::MOST * 4, 3)],
            'instead' => ['boolean'],
        ]);
        try {
            $pack = $bring($given['name'], (string) base64_decode($given['zip'], true), $user, $request->boolean('instead'));

            return new JsonResponse(['pack' => $this->about($pack), 'faults' => []]);
        } catch (FaultyContent $faulty) {
            return new JsonResponse(['pack' => null, 'faults' => self::faults($faulty)]);
        }
    }

    public function store(string $code, TakeIn $take, #[CurrentUser] User $user): JsonResponse
    {
        $pack = $this->packs->find($code) ?? abort(404);
        try {
            $take($pack, $user);
        } catch (FaultyContent $faulty) {
            return new JsonResponse([
                ...$this->about($pack),
                'faults' => self::faults($faulty),
            ], 422);
        }

        return new JsonResponse($this->about($pack));
    }

    /** @return list<array<string, mixed>> */
    private static function faults(FaultyContent $faulty): array
    {
        return array_map(static fn (ContentFault $fault): array => $fault->toArray(), $faulty->faults);
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
            'own' => $pack->isOwn(),
            'needs' => array_map(
                fn (string $code): string => $this->packs->find($code)?->said('title', $language) ?? $code,
                $pack->needs(),
            ),
            'languages' => array_values(array_filter(Sentences::LANGUAGES, $pack->speaks(...))),
            'lessons' => $counts['lessons'], 'checks' => $counts['checks'], 'sheets' => $counts['sheets'], 'permits' => $counts['permits'],
            'taken_version' => $taken?->version,
            'taken_at' => $taken === null ? null : CarbonImmutable::parse(Given::text($taken->taken_at))->toIso8601ZuluString(),
            'faults' => [],
        ];
    }
}
