<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What the application's own role may do. Runs as the owner of the tables. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            GRANT USAGE ON SCHEMA public TO millstep_app;
            GRANT SELECT, INSERT, UPDATE, DELETE ON ALL TABLES IN SCHEMA public TO millstep_app;
            GRANT USAGE, SELECT ON ALL SEQUENCES IN SCHEMA public TO millstep_app;
            ALTER DEFAULT PRIVILEGES IN SCHEMA public GRANT SELECT, INSERT, UPDATE, DELETE ON TABLES TO millstep_app;
            ALTER DEFAULT PRIVILEGES IN SCHEMA public GRANT USAGE, SELECT ON SEQUENCES TO millstep_app;
            REVOKE UPDATE, DELETE ON competency_ledger FROM millstep_app;
            REVOKE INSERT, UPDATE, DELETE ON migrations FROM millstep_app;
            SQL);
    }
};
