<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use App\Assessment\Sheet;
use App\Assessment\Writing\SheetFile;
use App\Assessment\Writing\SheetShelf;
use App\Assessment\Writing\WriteSheet;
use App\Language\Sentences;
use App\People\User;
use App\Support\ContentFault;
use App\Support\FaultyContent;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use MillStep\Core\Competency\Ledger\Entry\Shown;

/**
 * Practical sheets as they are written: read by whoever teaches, changed by the shop lead.
 *
 * @phpstan-import-type Written from WriteSheet
 */
final class SheetWritingController
{
    private const KEYS = [
        'id', 'group', 'lesson', 'kind', 'scale_max', 'weight', 'critical', 'critical_prompt_stops', 'text', 'levels', 'measure', 'feature',
        'hole', 'dimension', 'nominal_mm', 'fit', 'lower_mm', 'upper_mm', 'plus_mm', 'minus_mm', 'at_most_mm', 'x_mm', 'y_mm',
        'position_tolerance_mm', 'allowance_mm', 'shows', 'levels_for', 'must', 'review',
        'follow_ups', 'not_critical_because', 'places', 'bound', 'typed',
    ];

    public function index(SheetShelf $shelf, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($shelf->rows($user));
    }

    public function show(string $code, SheetShelf $shelf): JsonResponse
    {
        return new JsonResponse($shelf->of($code));
    }

    public function store(Request $request, string $code, WriteSheet $write, SheetShelf $shelf, #[CurrentUser] User $user): JsonResponse
    {
        $sheet = Sheet::current($code);
        $request->validate(['based_on' => ['required', 'integer', 'between:1,100000']]);
        /** @var Written $written */
        $written = $request->validate([
            'title' => ['required', 'string', 'min:3', 'max:120'],
            'pass_mark_percent' => ['required', 'integer', 'between:1,100'],
            'change' => ['required', 'string', 'min:3', 'max:300'],
            'criteria' => ['required', 'array', 'between:1,80'],
            'criteria.*' => ['required', 'array:'.implode(',', self::KEYS)],
            'criteria.*.id' => ['required', 'string', 'max:40', 'regex:/^[A-Za-z0-9][A-Za-z0-9-]*$/'],
            'criteria.*.text' => ['required', 'string', 'min:3', 'max:200'],
            'criteria.*.group' => ['required', 'in:safety,work,why,measured'],
            'criteria.*.kind' => ['required', 'in:observed,measured,judged'],
            'criteria.*.weight' => ['required', 'numeric', 'between:0.1,100'],
            'criteria.*.critical' => ['required', 'boolean'],
            'criteria.*.critical_prompt_stops' => ['required', 'boolean'],
            'criteria.*.levels' => ['sometimes', 'array', 'max:12'],
            'criteria.*.levels.*' => ['string', 'max:200'],
            'criteria.*.levels_for' => ['sometimes', 'array', 'max:3'],
            'criteria.*.levels_for.*' => ['array', 'max:12'],
            'criteria.*.levels_for.*.*' => ['string', 'max:200'],
            'criteria.*.must' => ['sometimes', 'boolean'],
            'criteria.*.review' => ['sometimes', 'list', 'max:12'],
            'criteria.*.review.*' => ['string', 'max:60'],
            'criteria.*.follow_ups' => ['sometimes', 'list', 'max:3'],
            'criteria.*.follow_ups.*' => ['string', 'min:3', 'max:200'],
            'criteria.*.places' => ['sometimes', 'list', 'max:3'],
            'criteria.*.places.*' => ['in:'.implode(',', Shown::WHAT)],
            'criteria.*.not_critical_because' => ['sometimes', 'string', 'min:3', 'max:200'],
            'translations' => ['present', 'array:'.implode(',', Sentences::LANGUAGES)],
            'translations.*' => ['array:title,criteria'],
            'translations.*.title' => ['required', 'string', 'max:120'],
            'translations.*.criteria' => ['required', 'array'],
            'translations.*.criteria.*.text' => ['required', 'string', 'max:200'],
            'translations.*.criteria.*.levels' => ['sometimes', 'array', 'max:12'],
        ]);
        $basedOn = $request->integer('based_on');
        try {
            $write($code, $written, $basedOn, $user);
        } catch (FaultyContent $faulty) {
            $values = WriteSheet::values($sheet, $written, $basedOn + 1);

            return new JsonResponse(['sheet' => null, 'faults' => array_map(static fn (ContentFault $fault): array => [
                'criterion' => str_starts_with($fault->file, 'sheets/') ? SheetFile::criterionAt($values, $fault->line) : null,
                'file' => $fault->file, 'what' => $fault->what,
            ], $faulty->faults)]);
        }

        return new JsonResponse(['sheet' => $shelf->of($code), 'faults' => []]);
    }
}
