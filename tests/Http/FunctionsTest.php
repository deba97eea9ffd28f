<?php

declare(strict_types=1);

use App\Support\DatabaseFunctions;
use Illuminate\Support\Facades\DB;

it('has each function in the database as its file says', function (): void {
    expect(DatabaseFunctions::names())->not->toBe([]);
    foreach (DatabaseFunctions::names() as $name) {
        $stands = DB::table('pg_proc')->where('proname', $name)->get();
        expect($stands)->toHaveCount(1, "There are {$stands->count()} functions called $name.");
        $file = (string) file_get_contents(database_path("functions/$name.sql"));
        expect(str_contains($file, $stands[0]->prosrc))
            ->toBeTrue("$name stands otherwise than in its file: a migration has to lay it anew.");
    }
});
