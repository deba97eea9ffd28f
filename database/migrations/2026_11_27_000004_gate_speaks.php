<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** The gate's one query says in which language each person is answered. */
return new class extends Migration
{
    public function up(): void
    {
        $known = DB::selectOne("SELECT pg_get_functiondef('gate_moment'::regproc) AS text")->text;
        $said = str_replace("'active', u.active))", "'active', u.active, 'language', u.language))", $known, $places);
        $places === 1 || throw new LogicException('gate_moment is not what this migration was written for.');
        DB::unprepared($said);
    }
};
