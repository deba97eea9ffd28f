<?php

declare(strict_types=1);

namespace App\Planning\Http;

use App\Language\Sentences;
use App\Language\Speech;
use App\People\User;
use App\Planning\Wall\ChartPages;
use App\Planning\Wall\Paper;
use App\Planning\Wall\PdfSheets;
use App\Planning\Wall\SvgSheet;
use App\Planning\Wall\WallChart;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use MillStep\Core\Planning\Chart\ChartKind;

/** Wall charts of this shop: to read on a screen, and as sheets to hang. */
final class WallChartController
{
    public function show(Request $request, ChartKind $chart): JsonResponse
    {
        $wall = self::asked($request, $chart);
        $says = Speech::of($request);

        return new JsonResponse([
            ...$wall->chart->toArray(),
            'date' => $wall->imprint()->date,
            'sheets' => array_map(
                static fn (Paper $paper): array => [
                    'paper' => $paper->value,
                    'count' => count(ChartPages::of($wall->chart, $says, $wall->imprint(), $paper)),
                ],
                Paper::cases(),
            ),
        ]);
    }

    public function file(Request $request, ChartKind $chart, string $format, #[CurrentUser] User $user): Response
    {
        abort_unless(in_array($format, ['svg', 'pdf'], true), 404);
        $request->validate([
            'paper' => [Rule::enum(Paper::class)],
            'sheet' => ['integer', 'min:1', 'max:99'],
            'language' => [Rule::in(Sentences::LANGUAGES)],
        ]);
        $wall = self::asked($request, $chart);
        // A picture's address is asked for by the browser, in the browser's own language: the page says which one it is in.
        $says = $request->filled('language')
            ? Sentences::in($request->string('language')->value(), $user->units) : Speech::of($request);
        $sheets = ChartPages::of($wall->chart, $says, $wall->imprint(), $request->enum('paper', Paper::class) ?? Paper::A4);
        $sheet = $request->integer('sheet', 1);
        $name = "$chart->value.$format";

        return $format === 'svg'
            ? new Response(SvgSheet::of($sheets[$sheet - 1] ?? abort(404)), 200, [
                'Content-Type' => 'image/svg+xml', 'Content-Disposition' => "inline; filename=\"$name\"",
            ])
            : new Response(PdfSheets::of($sheets, $says->say($wall->chart->title)), 200, [
                'Content-Type' => 'application/pdf', 'Content-Disposition' => "inline; filename=\"$name\"",
            ]);
    }

    private static function asked(Request $request, ChartKind $chart): WallChart
    {
        /** @var array<string, mixed> $asked */
        $asked = $request->validate(WallChart::rules());

        return WallChart::of($chart, $asked);
    }
}
