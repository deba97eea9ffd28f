<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\ClassList\ReadClassList;
use App\People\ClassList\ReadOneRoster;
use App\People\ClassList\TakeInClassList;
use App\People\ClassList\WriteClassList;
use App\People\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

final class ClassListController
{
    /** Characters of a file; a school of some thousands fits. */
    private const MOST = 2_000_000;

    public function show(WriteClassList $write): Response
    {
        return new Response($write->csv(), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="class-list.csv"',
        ]);
    }

    /**
     * Says what would change; with `apply` and without faults it is changed. With `from` as many lines from there on as are taken in at
     * a time, so that whoever waits sees how far it is.
     */
    public function store(Request $request, TakeInClassList $take, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{files: array<string, string>, apply?: bool, from?: int} $given */
        $given = $request->validate([
            'files' => ['required', 'array', 'min:1', 'max:20'],
            'files.*' => ['required', 'string', 'max:'.self::MOST],
            'apply' => ['boolean'],
            'from' => ['integer', 'between:0,100000'],
        ]);
        $files = array_change_key_case($given['files']);
        $faults = [];
        $rows = isset($files['users.csv'])
            ? app(ReadOneRoster::class)->rows($files, $faults)
            : app(ReadClassList::class)->rows((string) reset($files), $faults);
        $apply = $request->boolean('apply') && $faults === [];
        $from = $given['from'] ?? null;
        if ($apply && $from !== null) {
            // Looked at as a whole before the first of it is taken in.
            $sound = $from > 0 || ! in_array('fault', array_column($take->preview($rows), 'change'), true);
            $done = $sound ? $take->batch($rows, $from, $user) : null;

            return new JsonResponse([
                'faults' => [], 'lines' => $done === null ? $take->preview($rows) : [],
                'applied' => $done === count($rows), 'done' => $done ?? $from, 'of' => count($rows),
            ]);
        }
        $taken = $apply ? $take($rows, $user) : null;

        return new JsonResponse([
            'faults' => $faults, 'lines' => $taken ?? $take->preview($rows), 'applied' => $taken !== null,
            'done' => $taken === null ? 0 : count($rows), 'of' => count($rows),
        ]);
    }
}
