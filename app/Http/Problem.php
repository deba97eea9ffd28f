<?php

declare(strict_types=1);

namespace App\Http;

use App\Language\Speech;
use App\Support\DatabaseAway;
use App\Support\Given;
use App\Support\Refusal;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\QueryException;
use Illuminate\Database\UniqueConstraintViolationException;
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
    /** A database that was away is mostly back by then, in seconds. */
    private const AGAIN_S = '2';

    /** @var array<int, string> code by status, for what the framework refuses; its words stand under `problem` */
    private const REFUSED = [
        400 => 'bad_request', 401 => 'signed_out', 403 => 'forbidden', 404 => 'not_found', 405 => 'not_done_here',
        413 => 'too_large', 419 => 'signed_out', 422 => 'invalid', 429 => 'too_many', 503 => 'away',
    ];

    /** Answers every fault of a request to the API; null leaves a page to the framework. */
    public static function of(\Throwable $fault, Request $request): ?JsonResponse
    {
        return match (true) {
            $fault instanceof CoreException => self::fromCore($fault),
            $fault instanceof Refusal => self::response($fault->status, $fault->reason, Speech::say($fault->says)),
            ! self::isApi($request) => null,
            $fault instanceof ValidationException => self::invalid($fault),
            $fault instanceof AuthenticationException => self::refused(401),
            $fault instanceof HttpExceptionInterface => self::refused($fault->getStatusCode(), Given::fields($fault->getHeaders())),
            // Two entered the same at once; the first was faster than the second's own look.
            $fault instanceof UniqueConstraintViolationException => self::known(409, 'same_at_once'),
            $fault instanceof QueryException && self::isUnfit($fault) => self::known(422, 'value_unfit'),
            $fault instanceof \PDOException && DatabaseAway::is($fault) => self::known(
                503,
                'records_away',
                ['Retry-After' => self::AGAIN_S],
            ),
            default => self::known(500, 'broken'),
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

    private static function fromCore(CoreException $fault): JsonResponse
    {
        $says = Speech::say($fault->says);

        return self::response(
            422,
            $fault->errorCode(),
            $says,
            $fault->field === null ? [] : [$fault->field => [$says]],
        );
    }

    private static function invalid(ValidationException $fault): JsonResponse
    {
        return self::response(
            $fault->status,
            'invalid',
            $fault->getMessage(),
            array_map(Given::texts(...), Given::fields($fault->errors())),
        );
    }

    /** @param  array<string, mixed>  $headers */
    private static function refused(int $status, array $headers = []): JsonResponse
    {
        $response = self::known($status, self::REFUSED[$status] ?? self::REFUSED[$status < 500 ? 400 : 503]);
        $response->headers->add($headers);

        return $response;
    }

    /** @param  array<string, string>  $headers */
    private static function known(int $status, string $code, array $headers = []): JsonResponse
    {
        $response = self::response($status, $code === 'records_away' ? 'away' : $code, Speech::say("problem.$code"));
        $response->headers->add($headers);

        return $response;
    }

    /** @param  array<string, array<string>>  $errors */
    private static function response(int $status, string $code, string $message, array $errors = []): JsonResponse
    {
        return new JsonResponse(['message' => $message, 'code' => $code, 'errors' => (object) $errors], $status);
    }
}
