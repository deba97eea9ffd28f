<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * What a badge, a screen and a decision ask of the database, as functions: a connection that stays open plans them
 * once, where the same query sent as text is planned at every badge, which took longer than running it.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
        -- A database that is migrated anew keeps its functions, also those of a later shape.
        DO $$ DECLARE known regprocedure; BEGIN
            FOR known IN SELECT oid::regprocedure FROM pg_proc WHERE proname IN ('gate_lock', 'gate_moment') LOOP
                EXECUTE 'DROP FUNCTION ' || known;
            END LOOP;
        END $$;
        -- Whose token that is; whether it is still good is said by whoever asks.
        CREATE OR REPLACE FUNCTION gate_device(bigint) RETURNS json LANGUAGE plpgsql STABLE AS $$
        DECLARE answer json;
        BEGIN
            SELECT json_build_object('device', to_json(d), 'token',
                    json_build_object('id', t.id, 'name', t.name, 'token', t.token, 'expires_at', t.expires_at))
                INTO answer FROM gate_tokens t JOIN gate_devices d ON d.id = t.tokenable_id WHERE t.id = $1 AND d.revoked_at IS NULL;
            RETURN answer;
        END $$;

        -- See App\Support\PowerLock: shop (shared), machine, person.
        CREATE OR REPLACE FUNCTION gate_lock(shop bigint, machine_class int, machine int, person_class int, badge text, follows uuid)
            RETURNS void LANGUAGE plpgsql AS $$
        DECLARE person bigint;
        BEGIN
            PERFORM pg_advisory_xact_lock_shared(shop);
            PERFORM pg_advisory_xact_lock(machine_class, machine);
            IF badge IS NOT NULL THEN
                SELECT user_id INTO person FROM gate_badges WHERE code_hash = badge AND active;
            ELSIF follows IS NOT NULL THEN
                SELECT user_id INTO person FROM gate_reads WHERE id = follows;
            END IF;
            IF person IS NOT NULL THEN
                PERFORM pg_advisory_xact_lock(person_class, person::int);
            END IF;
        END $$;

        -- What was kept of a learner's lines, and the lines after that (App\Competency\Folds).
        CREATE OR REPLACE FUNCTION competency_since_fold(learner bigint) RETURNS json LANGUAGE plpgsql VOLATILE AS $$
        DECLARE stands bigint; kept json; after json;
        BEGIN
            SELECT min(f.seq), json_agg(json_build_object('permit', f.permit_id, 'seq', f.seq, 'state', f.state, 'seal', f.seal))
                INTO stands, kept FROM competency_folds f WHERE f.learner_id = learner;
            SELECT json_agg(json_build_object('seq', l.seq, 'id', l.id, 'permit', l.permit_id, 'type', l.type, 'data', l.data,
                'at', to_char(l.happened_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"')) ORDER BY l.seq)
                INTO after FROM competency_ledger l WHERE l.learner_id = learner AND l.seq > coalesce(stands, 0);
            RETURN json_build_object('learner', learner, 'folds', kept, 'lines', after);
        END $$;

        -- Everything that a decision at one machine goes by (App\Gate\Moment). VOLATILE and step by step: each step is a
        -- lookup with a plan of its own. Asked with the locks held, so nothing that matters changes between the steps.
        CREATE OR REPLACE FUNCTION gate_moment(at_machine bigint, at_instant timestamptz, badge text, companion text, read_id uuid,
            by_device bigint)
            RETURNS json LANGUAGE plpgsql VOLATILE AS $$
        DECLARE
            machine json; device json; takes json; permits json; statements json; accepted json; policy json;
            opened gate_sessions; closed gate_sessions; known gate_reads; latest gate_reads;
            sessions json; badge_of bigint; companion_of bigint; people json; present json; elsewhere json; records json;
        BEGIN
            SELECT to_json(m) INTO machine FROM workshop_machines m WHERE m.id = at_machine;
            IF by_device IS NOT NULL THEN SELECT to_json(d) INTO device FROM gate_devices d WHERE d.id = by_device; END IF;
            SELECT json_agg(t.permit_id) INTO takes FROM competency_machine_permit t WHERE t.machine_id = at_machine;
            SELECT json_agg(p ORDER BY p.id) INTO permits FROM competency_permits p;
            SELECT json_agg(json_build_object('id', s.id, 'permit_id', s.permit_id, 'version', s.version,
                    'in_force_from', s.in_force_from, 'grace_until', s.grace_until))
                INTO statements FROM competency_statements s;
            SELECT json_agg(json_build_array(l.code, l.accepted_from) ORDER BY l.version) INTO accepted FROM learning_lessons l;
            SELECT p.settings INTO policy FROM workshop_policies p WHERE p.in_force_from <= at_instant
                ORDER BY p.in_force_from DESC, p.id DESC LIMIT 1;
            SELECT * INTO opened FROM gate_sessions s WHERE s.machine_id = at_machine AND s.ended_at IS NULL;
            IF opened.id IS NULL THEN
                SELECT * INTO closed FROM gate_sessions s WHERE s.machine_id = at_machine AND s.ended_at IS NOT NULL
                    ORDER BY s.ended_at DESC LIMIT 1;
            END IF;
            IF read_id IS NOT NULL THEN SELECT * INTO known FROM gate_reads r WHERE r.id = read_id; END IF;
            SELECT * INTO latest FROM gate_reads r WHERE r.machine_id = at_machine ORDER BY r.read_at DESC LIMIT 1;
            IF known.session_id IS NOT NULL OR latest.session_id IS NOT NULL THEN
                SELECT json_agg(s) INTO sessions FROM gate_sessions s WHERE s.id IN (known.session_id, latest.session_id);
            END IF;
            IF badge IS NOT NULL THEN SELECT b.user_id INTO badge_of FROM gate_badges b WHERE b.active AND b.code_hash = badge; END IF;
            IF companion IS NOT NULL THEN
                SELECT b.user_id INTO companion_of FROM gate_badges b WHERE b.active AND b.code_hash = companion;
            END IF;
            SELECT json_agg(json_build_object('id', u.id, 'name', u.name, 'role', u.role, 'active', u.active))
                INTO people FROM people_users u
                WHERE u.id = ANY (ARRAY[opened.user_id, opened.companion_id, closed.user_id, known.user_id, known.holder_id,
                    latest.user_id, latest.holder_id, badge_of, companion_of]);
            SELECT json_agg(p.user_id) INTO present FROM gate_presences p JOIN people_users u ON u.id = p.user_id
                WHERE p.until > at_instant AND u.active AND u.role IN ('lead', 'instructor');
            -- Whose records will be asked for: whoever has the machine, and whoever came.
            SELECT json_agg(competency_since_fold(w.id)), json_object_agg(w.id, (SELECT count(*) FROM gate_sessions s
                    WHERE s.user_id = w.id AND s.ended_at IS NULL AND s.machine_id <> at_machine))
                INTO records, elsewhere
                FROM (SELECT DISTINCT unnest(ARRAY[opened.user_id, badge_of, CASE WHEN badge IS NULL THEN latest.user_id END]) AS id) w
                WHERE w.id IS NOT NULL;
            RETURN json_build_object('machine', machine, 'device', device, 'takes', takes, 'permits', permits, 'statements', statements,
                'accepted', accepted, 'policy', policy, 'open', CASE WHEN opened.id IS NOT NULL THEN to_json(opened) END,
                'ended', CASE WHEN closed.id IS NOT NULL THEN to_json(closed) END,
                'known', CASE WHEN known.id IS NOT NULL THEN to_json(known) END,
                'last', CASE WHEN latest.id IS NOT NULL THEN to_json(latest) END, 'sessions', sessions,
                'badge_of', badge_of, 'companion_of', companion_of, 'people', people, 'present', present,
                'elsewhere', elsewhere, 'records', records);
        END $$;
        SQL);
    }
};
