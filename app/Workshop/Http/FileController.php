<?php

declare(strict_types=1);

namespace App\Workshop\Http;

use App\People\User;
use App\Workshop\ImportWorkshop;
use App\Workshop\WorkshopFile;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class FileController
{
    public function show(WorkshopFile $file): JsonResponse
    {
        return new JsonResponse(
            ['$schema' => url(WorkshopFile::SCHEMA), ...$file->export()],
            200,
            ['Content-Disposition' => 'attachment; filename="workshop.json"'],
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
        );
    }

    /** Without `apply` it only says what would change. Faults are an answer of their own: nothing is changed then. */
    public function store(Request $request, ImportWorkshop $import, #[CurrentUser] User $user): JsonResponse
    {
        $request->validate(['text' => ['required', 'string'], 'apply' => ['required', 'boolean']]);
        $file = json_decode($request->string('text')->value(), true, 64);
        $outcome = is_array($file) && ($file === [] || ! array_is_list($file)) ? $import($file, $request->boolean('apply'), $user)
            : [
                'faults' => [
                    [
                        'where' => '/',
                        'what' => 'This is no JSON document'.(json_last_error() === JSON_ERROR_NONE ? ''
                            : ': '.json_last_error_msg()).'. Choose a file that was written out here, or one after the published schema.',
                    ],
                ],
                'added' => [],
                'changed' => [],
                'same' => 0,
            ];

        return new JsonResponse([...$outcome, 'applied' => $request->boolean('apply') && $outcome['faults'] === []]);
    }
}
