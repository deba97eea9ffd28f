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

    /** Says what would change; with `apply` and without faults it is changed. */
    public function store(Request $request, TakeInClassList $take, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{files: array<string, string>, apply?: bool} $given */
        $given = $request->validate([
            'files' => ['required', 'array', 'min:1', 'max:20'],
            'files.*' => ['required', 'string', 'max:'.self::MOST],
            'apply' => ['boolean'],
        ]);
        $files = array_change_key_case($given['files']);
        $faults = [];
        $rows = isset($files['users.csv'])
            ? app(ReadOneRoster::class)->rows($files, $faults)
            : app(ReadClassList::class)->rows((string) reset($files), $faults);
        $taken = $request->boolean('apply') && $faults === [] ? $take($rows, $user) : null;

        return new JsonResponse([
            'faults' => $faults,
            'lines' => $taken ?? $take->preview($rows),
            'applied' => $taken !== null,
        ]);
    }
}
