<?php

declare(strict_types=1);

namespace App\Planning\Http;

use App\Language\Speech;
use App\People\User;
use App\Planning\Files\DxfFile;
use App\Planning\Files\PlanCsv;
use App\Planning\Files\SvgFile;
use App\Planning\PlanKind;
use App\Planning\Planned;
use App\Support\Given;
use App\Workshop\ShopAtHand;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Plans for a machine of this shop. Computes only; nothing is kept. */
final class PlannerController
{
    public function plan(Request $request, PlanKind $kind, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(self::planned($request, $kind, $user)->toArray());
    }

    /** The same plan with its answers hidden: what is asked, and what is shown instead. */
    public function questions(Request $request, PlanKind $kind, #[CurrentUser] User $user): JsonResponse
    {
        $planned = self::planned($request, $kind, $user);
        $questions = $planned->questions() ?? abort(404);

        return new JsonResponse([
            'heading' => $planned->heading(),
            'questions' => $questions->all(),
            'operations' => $questions->shown(),
            'missing' => Given::fields($planned->toArray()['plan'])['missing'],
        ]);
    }

    /** Judges one answer; shows the working when it is right, or when the learner gives it up. */
    public function answer(Request $request, PlanKind $kind, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{key: string, answer?: string|null, give_up?: bool} $given */
        $given = $request->validate([
            'key' => ['required', 'string', 'max:40'],
            'answer' => ['nullable', 'string', 'max:40'],
            'give_up' => ['boolean'],
        ]);
        $questions = self::planned($request, $kind, $user)->questions() ?? abort(404);
        $givesUp = $given['give_up'] ?? false;
        $right = ! $givesUp && $questions->judge($given['key'], $given['answer'] ?? '', $user->units);

        return new JsonResponse(['right' => $right, 'figure' => $right || $givesUp ? $questions->figure($given['key'])->toArray() : null]);
    }

    public function file(Request $request, PlanKind $kind, string $format, #[CurrentUser] User $user): Response
    {
        abort_unless(in_array($format, ['svg', 'dxf', 'csv'], true), 404);
        $planned = self::planned($request, $kind, $user);
        $drawing = $planned->drawing;
        $says = Speech::of($request);
        [$content, $type] = match (true) {
            $format === 'csv' => [PlanCsv::of($planned, $says), 'text/csv; charset=UTF-8'],
            $drawing === null => abort(404),
            $format === 'svg' => [SvgFile::of($drawing, $says), 'image/svg+xml'],
            default => [DxfFile::of($drawing, $says), 'application/dxf'],
        };

        return new Response(
            $content,
            200,
            ['Content-Type' => $type, 'Content-Disposition' => "attachment; filename=\"{$kind->value}.$format\""],
        );
    }

    private static function planned(Request $request, PlanKind $kind, User $user): Planned
    {
        return $kind->wanted()::of(Given::fields($request->validate($kind->wanted()::rules())), $user->units)->plan(new ShopAtHand);
    }
}
