<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** Whether the shop can be served: web server, PHP and database all answer. Asked by whoever watches it. */
final class Up
{
    public function __invoke(): JsonResponse
    {
        try {
            DB::select('SELECT 1');
        } catch (\PDOException) {
            return new JsonResponse(
                ['message' => 'The database does not answer.', 'code' => 'database_away', 'errors' => (object) []],
                503,
            );
        }

        return new JsonResponse(['up' => true]);
    }
}
