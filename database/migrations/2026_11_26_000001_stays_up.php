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
        // A second factor is as secret as a password.
        DB::unprepared(<<<'SQL'
            CREATE OR REPLACE FUNCTION records_audit_row() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public AS $$
            DECLARE
                secret text[] := ARRAY['password', 'pin_hash', 'code_hash', 'totp_secret'];
                passing text[] := ARRAY['created_at', 'updated_at', 'last_seen_at', 'slowed_until', 'pin_failures', 'pin_locked_until', 'units',
                    'remember_token', 'pairing_id', 'totp_used_step'];
                was jsonb := CASE WHEN TG_OP = 'INSERT' THEN '{}'::jsonb ELSE to_jsonb(OLD) - passing END;
                is_now jsonb := CASE WHEN TG_OP = 'DELETE' THEN '{}'::jsonb ELSE to_jsonb(NEW) - passing END;
                named text := coalesce(is_now ->> TG_ARGV[0], was ->> TG_ARGV[0], '');
                key text;
                old_part jsonb := '{}'::jsonb;
                new_part jsonb := '{}'::jsonb;
            BEGIN
                FOR key IN SELECT jsonb_object_keys(was || is_now) LOOP
                    -- As text, so that what was never there and what is empty are the same.
                    IF (was ->> key) IS DISTINCT FROM (is_now ->> key) THEN
                        IF key = ANY (secret) THEN
                            new_part := new_part || jsonb_build_object(key, CASE WHEN (was ->> key) IS NULL THEN 'set'
                                WHEN (is_now ->> key) IS NULL THEN 'taken away' ELSE 'changed' END);
                        ELSE
                            old_part := old_part || jsonb_build_object(key, was -> key);
                            new_part := new_part || jsonb_build_object(key, is_now -> key);
                        END IF;
                    END IF;
                END LOOP;
                IF new_part <> '{}'::jsonb THEN
                    INSERT INTO records_audit (actor_id, source, "row", change, "before", "after")
                    VALUES (nullif(current_setting('millstep.actor', true), '')::bigint, TG_TABLE_NAME, named, lower(TG_OP), old_part, new_part);
                END IF;
                RETURN NULL;
            END $$;
            SQL);
        // Letters that lie here in clear are of no use any more: their links are over within the hour.
        DB::statement('DELETE FROM people_letters');
    }
};
