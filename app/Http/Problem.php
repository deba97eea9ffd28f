<?php

declare(strict_types=1);

namespace App\Http;

use App\Support\Refusal;
use Illuminate\Http\JsonResponse;
use MillStep\Core\Exception\CoreException;

/** The one shape in which the API says no: `message`, a stable `code`, and the fields at fault if any. */
final class Problem
{
    public static function fromCore(CoreException $fault): JsonResponse
    {
        return self::response(
            422,
            $fault->errorCode(),
            $fault->getMessage(),
            $fault->field === null ? [] : [$fault->field => [$fault->getMessage()]],
        );
    }

    public static function fromRefusal(Refusal $refusal): JsonResponse
    {
        return self::response($refusal->status, $refusal->reason, $refusal->getMessage(), []);
    }

    public static function signedOut(int $status): JsonResponse
    {
        return self::response($status, 'signed_out', 'You were signed out. Sign in to go on; nothing that you entered is lost.', []);
    }

    /** @param  array<string, list<string>>  $errors */
    private static function response(int $status, string $code, string $message, array $errors): JsonResponse
    {
        return new JsonResponse(['message' => $message, 'code' => $code, 'errors' => (object) $errors], $status);
    }
}
