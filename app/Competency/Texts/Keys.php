<?php

declare(strict_types=1);

namespace App\Competency\Texts;

use App\Support\Given;
use Illuminate\Support\Facades\DB;

/**
 * The key of each person, made when the first line needs it. Only a function of the database's owner takes one away
 * (competency_forget); what was sealed with it is unreadable from then on, in every copy.
 */
final class Keys
{
    /**
     * Of these people, made where there is none; never again for somebody who was forgotten. Under the lock of the chain, so that
     * nobody else makes them meanwhile.
     *
     * @return array<int, Key> by person
     */
    public static function made(int ...$people): array
    {
        $people = array_values(array_unique($people));
        $rows = DB::select(
            'WITH made AS (
                INSERT INTO competency_keys (person_id, key) SELECT p.id, given.key FROM unnest(?::bigint[], ?::text[]) given (id, key)
                JOIN people_users p ON p.id = given.id AND p.forgotten_at IS NULL
                ON CONFLICT DO NOTHING RETURNING person_id, key
            ) SELECT person_id, key FROM made UNION ALL SELECT person_id, key FROM competency_keys WHERE person_id = ANY (?::bigint[])',
            [
                self::list($people),
                '{'.implode(',', array_map(static fn (): string => base64_encode(random_bytes(32)), $people)).'}',
                self::list($people),
            ],
        );

        return self::read($rows);
    }

    /**
     * @param  array<array-key, int>  $people
     * @return array<int, Key> by person; who was forgotten has none
     */
    public static function of(array $people): array
    {
        return self::read(DB::table('competency_keys')->whereIn('person_id', array_unique($people))->get()->all());
    }

    /**
     * @param  array<array-key, mixed>  $rows
     * @return array<int, Key>
     */
    private static function read(array $rows): array
    {
        $keys = [];
        foreach ($rows as $row) {
            assert($row instanceof \stdClass);
            $keys[Given::whole($row->person_id)] = new Key(base64_decode(Given::text($row->key), true) ?: '');
        }

        return $keys;
    }

    /** @param  list<int>  $people */
    private static function list(array $people): string
    {
        return '{'.implode(',', $people).'}';
    }
}
