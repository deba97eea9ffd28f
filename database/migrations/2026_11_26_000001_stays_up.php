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
        // What the ledger comes to per learner and permit, up to a line of it. Thrown away at any time; never the source.
        Schema::create('competency_folds', function (Blueprint $table): void {
            $table->foreignId('learner_id')->constrained('people_users');
            $table->foreignId('permit_id')->constrained('competency_permits');
            $table->unsignedBigInteger('seq')->comment('of the last line of this learner in it');
            $table->text('state')->comment('text, not json: the seal is over it to the letter');
            $table->char('seal', 64);
            $table->primary(['learner_id', 'permit_id']);
        });

        // Asked at every poll of every screen.
        DB::statement('CREATE INDEX gate_sessions_ended ON gate_sessions (machine_id, ended_at DESC) WHERE ended_at IS NOT NULL');
        DB::statement('CREATE INDEX gate_presences_until ON gate_presences (until)');
        DB::statement('DROP INDEX IF EXISTS competency_ledger_learner_id_happened_at_index');

        // Second factor: the secret is kept encrypted, recovery codes as hashes that are used once.
        Schema::table('people_users', function (Blueprint $table): void {
            $table->text('totp_secret')->nullable();
            $table->timestampTz('totp_confirmed_at')->nullable();
            $table->bigInteger('totp_used_step')->nullable()->comment('the last step that was used: a code works once');
        });
        Schema::create('people_recovery_codes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained('people_users')->cascadeOnDelete();
            $table->char('code_hash', 64);
            $table->timestampTz('used_at')->nullable();
            $table->unique(['user_id', 'code_hash']);
        });
        // A second factor is as secret as a password: the audit writes down that it was set, never what it is.
        DB::unprepared(<<<'SQL'
            DO $do$ BEGIN
                EXECUTE replace(replace(pg_get_functiondef('records_audit_row'::regproc),
                    $q$'code_hash']$q$, $q$'code_hash', 'totp_secret']$q$),
                    $q$'pairing_id']$q$, $q$'pairing_id', 'totp_used_step']$q$);
            END $do$;
            SQL);
        // Letters that lie here in clear are of no use any more: their links are over within the hour.
        DB::statement('DELETE FROM people_letters');
    }
};
