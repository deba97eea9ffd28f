<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Every change of what decides who may run: written by the database itself, so that no path of the application
 * goes round it. Of secrets it says that they were set, changed or taken away, never what they were.
 */
return new class extends Migration
{
    /** @var array<string, string> table => the column that names a row to a person */
    private const WATCHED = [
        'people_users' => 'name', 'gate_badges' => 'user_id', 'gate_devices' => 'name', 'workshop_machines' => 'slug',
        'workshop_policies' => 'id',
        'competency_permits' => 'code', 'competency_statements' => 'permit_id',
        'competency_authorisations' => 'user_id', 'competency_machine_permit' => 'machine_id',
    ];

    public function up(): void
    {
        Schema::create('records_audit', function (Blueprint $table): void {
            $table->id();
            $table->timestampTz('at', 6)->useCurrent();
            $table->foreignId('actor_id')->nullable()->comment('null: the system, or the shell');
            $table->string('source');
            $table->string('row');
            $table->string('change')->comment('insert, update or delete');
            $table->jsonb('before');
            $table->jsonb('after');
            $table->index(['source', 'id']);
        });

        Schema::create('records_alerts', function (Blueprint $table): void {
            $table->id();
            $table->string('kind');
            $table->jsonb('facts');
            $table->timestampTz('raised_at');
            $table->timestampTz('seen_at')->nullable();
            $table->foreignId('seen_by')->nullable()->constrained('people_users');
            $table->index(['seen_at', 'id']);
        });

        DB::unprepared(<<<'SQL'
            CREATE OR REPLACE FUNCTION records_audit_row() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public AS $$
            DECLARE
                secret text[] := ARRAY['password', 'pin_hash', 'code_hash'];
                passing text[] := ARRAY['created_at', 'updated_at', 'last_seen_at', 'slowed_until', 'pin_failures', 'pin_locked_until',
                    'units',
                    'remember_token', 'pairing_id'];
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
                    VALUES (nullif(current_setting('millstep.actor', true), '')::bigint, TG_TABLE_NAME, named, lower(TG_OP), old_part,
                        new_part);
                END IF;
                RETURN NULL;
            END $$;
            CREATE OR REPLACE FUNCTION records_audit_is_append_only() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                RAISE EXCEPTION 'The audit log is append-only.' USING ERRCODE = 'insufficient_privilege';
            END $$;
            CREATE TRIGGER records_audit_no_change BEFORE UPDATE OR DELETE ON records_audit
                FOR EACH ROW EXECUTE FUNCTION records_audit_is_append_only();
            CREATE TRIGGER records_audit_no_truncate BEFORE TRUNCATE ON records_audit
                FOR EACH STATEMENT EXECUTE FUNCTION records_audit_is_append_only();
            REVOKE UPDATE, DELETE ON records_audit FROM millstep_app;
            REVOKE DELETE ON records_alerts FROM millstep_app;
            SQL);
        foreach (self::WATCHED as $table => $name) {
            DB::unprepared(
                "CREATE TRIGGER {$table}_audited AFTER INSERT OR UPDATE OR DELETE ON $table FOR EACH ROW EXECUTE FUNCTION "
                    ."records_audit_row('$name')",
            );
        }
    }
};
