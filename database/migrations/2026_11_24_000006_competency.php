<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('competency_permits', function (Blueprint $table): void {
            $table->id();
            $table->string('code')->unique();
            $table->string('name');
            $table->jsonb('requirement')
                ->comment('lessons, checks, practice_count, practice_minutes, assessments, prerequisites, recency_days');
            $table->unsignedSmallInteger('validity_days');
            $table->jsonb('scope')->comment('what a sign-off covers unless the instructor narrows it');
            $table->timestampsTz();
        });

        Schema::create('competency_machine_permit', function (Blueprint $table): void {
            $table->foreignId('machine_id')->constrained('workshop_machines');
            $table->foreignId('permit_id')->constrained('competency_permits');
            $table->primary(['machine_id', 'permit_id']);
        });

        Schema::create('competency_statements', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('permit_id')->constrained('competency_permits');
            $table->unsignedInteger('version');
            $table->text('body');
            $table->timestampTz('in_force_from');
            $table->timestampTz('grace_until')->nullable()->comment('until then a sign-off on the version before still carries');
            $table->unique(['permit_id', 'version']);
        });

        // Who may sign for which permit.
        Schema::create('competency_authorisations', function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained('people_users');
            $table->foreignId('permit_id')->constrained('competency_permits');
            $table->primary(['user_id', 'permit_id']);
        });

        Schema::create('competency_ledger', function (Blueprint $table): void {
            $table->bigIncrements('seq');
            $table->uuid('id')->unique();
            $table->foreignId('learner_id')->constrained('people_users');
            $table->foreignId('permit_id')
                ->nullable()
                ->constrained('competency_permits')
                ->comment('null: counts for every permit that asks for it');
            $table->string('type');
            $table->json('data')->comment('json, not jsonb: the text is kept to the letter, since the hash is over it');
            $table->foreignId('recorded_by')->constrained('people_users');
            $table->timestampTz('happened_at', 6);
            $table->timestampTz('recorded_at', 6);
            $table->char('previous_hash', 64);
            $table->char('hash', 64)->unique();
            $table->index(['learner_id', 'happened_at']);
        });

        // What happened is written once. The database refuses everybody, the owner of the table too.
        DB::unprepared(<<<'SQL'
            CREATE OR REPLACE FUNCTION competency_ledger_is_append_only() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                RAISE EXCEPTION 'The competency ledger is append-only; write a correction instead.'
                    USING ERRCODE = 'insufficient_privilege';
            END $$;
            CREATE TRIGGER competency_ledger_no_change BEFORE UPDATE OR DELETE ON competency_ledger
                FOR EACH ROW EXECUTE FUNCTION competency_ledger_is_append_only();
            CREATE TRIGGER competency_ledger_no_truncate BEFORE TRUNCATE ON competency_ledger
                FOR EACH STATEMENT EXECUTE FUNCTION competency_ledger_is_append_only();
            SQL);
    }
};
