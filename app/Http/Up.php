<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/**
 * Whether the shop can be served: web server, PHP and a database that takes entries all answer, and their clocks agree. Asked by
 * whoever watches it.
 */
final class Up
{
    /** This machine's clock and the database's may be that far apart, in seconds. */
    private const APART_S = 1.0;

    public function __invoke(): JsonResponse
    {
        try {
            $before = microtime(true);
            $row = DB::selectOne('SELECT pg_is_in_recovery() AS follows, extract(epoch FROM clock_timestamp())::float8 AS clock');
            $after = microtime(true);
        } catch (\PDOException) {
            return self::away('The database does not answer.', 'database_away');
        }
        $clock = is_numeric($row?->clock) ? (float) $row->clock : 0.0;

        return match (true) {
            $row?->follows !== false => self::away('The database takes no entries: another one leads.', 'database_follows'),
            $clock < $before - self::APART_S || $clock > $after + self::APART_S => self::away(
                'This machine\'s clock and the database\'s are apart.',
                'clocks_apart',
            ),
            default => new JsonResponse(['up' => true]),
        };
    }

    private static function away(string $message, string $code): JsonResponse
    {
        return new JsonResponse(['message' => $message, 'code' => $code, 'errors' => (object) []], 503, ['Retry-After' => '2']);
    }
}
