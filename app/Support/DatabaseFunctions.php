<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Support\Facades\DB;

/** The functions that stand in the database, each whole in a file of its own name under database/functions. */
final class DatabaseFunctions
{
    /** Lays these down as their files say; for a migration, as the owner of the tables. */
    public static function lay(string ...$names): void
    {
        foreach ($names as $name) {
            DB::unprepared((string) file_get_contents(database_path("functions/$name.sql")));
        }
    }

    /** @return list<string> the names of all of them */
    public static function names(): array
    {
        return array_map(static fn (string $file): string => basename($file, '.sql'), glob(database_path('functions/*.sql')) ?: []);
    }
}
