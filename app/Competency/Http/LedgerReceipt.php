<?php

declare(strict_types=1);

namespace App\Competency\Http;

use App\Competency\LedgerEntry;
use Illuminate\Http\JsonResponse;

/** What the writer of a line gets: its id, and the hash under which it stands. */
final class LedgerReceipt
{
    public static function for(LedgerEntry $entry): JsonResponse
    {
        return new JsonResponse(['id' => $entry->id, 'hash' => $entry->hash], 201);
    }
}
