<?php

declare(strict_types=1);

namespace App\Http;

use App\Support\Refusal;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\QueryException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use MillStep\Core\Border\CoreException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

/**
 * The one shape in which the API says no: `message`, a stable `code`, and the fields at fault if any. It names what
 * to do, and never a class, a table or a file of ours.
 */
final class Problem
{
    /** @var array<int, array{string, string}> code and words by status, for what the framework refuses */
    private const REFUSED = [
        400 => ['bad_request', 'This request cannot be read. Reload the page and try again.'],
        401 => ['signed_out', 'You were signed out. Sign in to go on; nothing that you entered is lost.'],
        403 => ['forbidden', 'This is not yours to see or do. Ask your instructor or the shop lead.'],
        404 => ['not_found', 'There is no such thing here. It may have been removed; go back and look again.'],
        405 => ['not_done_here', 'This address does not do that. Reload the page and try again.'],
        413 => ['too_large', 'This is too large to send: at most 8 MB.'],
        419 => ['signed_out', 'You were signed out. Sign in to go on; nothing that you entered is lost.'],
        422 => ['invalid', 'Something here cannot be taken as it is.'],
        429 => ['too_many', 'Too many requests at once. Wait a minute, then go on.'],
        503 => ['away', 'Mill Step is being looked after and is back in a moment.'],
    ];

    /** Answers every fault of a request to the API; null leaves a page to the framework. */
    public static function of(\Throwable $fault, Request $request): ?JsonResponse
    {
        return match (true) {
            $fault instanceof CoreException => self::fromCore($fault),
            $fault instanceof Refusal => self::response($fault->status, $fault->reason, $fault->getMessage(), []),
            ! self::isApi($request) => null,
            $fault instanceof ValidationException => self::response($fault->status, 'invalid', $fault->getMessage(), $fault->errors()),
            $fault instanceof AuthenticationException => self::refused(401),
            $fault instanceof HttpExceptionInterface => self::refused($fault->getStatusCode(), $fault->getHeaders()),
            $fault instanceof QueryException && self::isUnfit($fault) => self::response(
                422,
                'value_unfit',
                'A value here is too large or no value of its kind, so nothing was written. Check what you entered.',
                [],
            ),
            $fault instanceof \PDOException && self::isAway($fault) => self::response(
                503,
                'away',
                'Mill Step cannot reach its records for the moment. Nothing of this was kept, and no machine is switched on; try again.',
                [],
            ),
            default => self::response(500, 'broken', 'Something broke here and was written down. Nothing of this was kept; try again.', []),
        };
    }

    /** Also where the path is no text at all, which the framework's own way to look at it does not survive. */
    public static function isApi(Request $request): bool
    {
        return str_starts_with($request->getPathInfo(), '/api/') || $request->getPathInfo() === '/api';
    }

    /** A value that the database cannot hold ("data exception"): whoever sent it is told, and nothing was written. */
    public static function isUnfit(QueryException $fault): bool
    {
        return str_starts_with((string) $fault->getCode(), '22');
    }

    /** The database does not answer, or was just stopped (its classes 08 and 57P). */
    public static function isAway(\PDOException $fault): bool
    {
        return preg_match('/SQLSTATE\[(08|57P)|server closed the connection/', $fault->getMessage()) === 1;
    }

    private static function fromCore(CoreException $fault): JsonResponse
    {
        return self::response(
            422,
            $fault->errorCode(),
            $fault->getMessage(),
            $fault->field === null ? [] : [$fault->field => [$fault->getMessage()]],
        );
    }

    /** @param  array<string, mixed>  $headers */
    private static function refused(int $status, array $headers = []): JsonResponse
    {
        [$code, $message] = self::REFUSED[$status] ?? ($status < 500 ? self::REFUSED[400] : self::REFUSED[503]);
        $response = self::response($status, $code, $message, []);
        $response->headers->add($headers);

        return $response;
    }

    /** @param  array<string, array<string>>  $errors */
    private static function response(int $status, string $code, string $message, array $errors): JsonResponse
    {
        return new JsonResponse(['message' => $message, 'code' => $code, 'errors' => (object) $errors], $status);
    }
}
