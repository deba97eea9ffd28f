<?php

declare(strict_types=1);

namespace App\People;

use App\Support\Given;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;

/**
 * The first person of a shop makes their own account in the browser, with a code that only whoever started the shop
 * has read. It works once, and never where somebody leads the shop already.
 */
final class FirstLead
{
    private const ROW = 1;

    /** Any lead, also one who is not here any more: their shop is not up for the taking. */
    public static function isWanted(): bool
    {
        return User::query()->where('role', Role::Lead)->doesntExist();
    }

    /** A new code in clear, for the terminal; the one before is worthless. Null where somebody leads the shop. */
    public function code(): ?string
    {
        if (! self::isWanted()) {
            return null;
        }
        $code = implode('-', array_map(static fn (): string => self::word(), range(1, 4)));
        DB::table('people_first_codes')->upsert(
            ['id' => self::ROW, 'code_hash' => self::hash($code), 'created_at' => CarbonImmutable::now()],
            'id',
        );

        return $code;
    }

    /**
     * @param  array{name: string, email: string, password: string, language: string, units: string}  $given
     *
     * @throws Refusal `code_wrong` or `is_led`
     */
    public function claim(#[\SensitiveParameter] string $code, #[\SensitiveParameter] array $given): User
    {
        return DB::transaction(static function () use ($code, $given): User {
            // Two who were quick: the second waits here, and finds the code gone.
            $row = DB::table('people_first_codes')->where('id', self::ROW)->lockForUpdate()->first();
            if (! self::isWanted()) {
                throw Refusal::because('is_led');
            }
            if ($row === null || ! hash_equals(Given::text($row->code_hash), self::hash($code))) {
                throw Refusal::forbidden('first_code_wrong');
            }
            DB::table('people_first_codes')->delete();

            return User::query()->create([
                ...$given, 'role' => Role::Lead, 'active' => true, 'joined_at' => CarbonImmutable::now(),
            ])->refresh();
        });
    }

    /** Five letters or digits that are not taken for one another. */
    private static function word(): string
    {
        $letters = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';

        return implode('', array_map(static fn (): string => $letters[random_int(0, strlen($letters) - 1)], range(1, 5)));
    }

    private static function hash(#[\SensitiveParameter] string $code): string
    {
        $plain = (string) preg_replace('/[^A-Z0-9]/', '', mb_strtoupper($code));

        return hash_hmac('sha256', $plain, Config::string('app.key'));
    }
}
