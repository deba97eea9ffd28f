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
        -- Whose token that is; whether it is still good is said by whoever asks.
        CREATE OR REPLACE FUNCTION gate_device(bigint) RETURNS json LANGUAGE plpgsql STABLE AS $$
        DECLARE answer json;
        BEGIN
            SELECT json_build_object('device', to_json(d), 'token', json_build_object('id', t.id, 'name', t.name, 'token', t.token, 'expires_at', t.expires_at))
                INTO answer FROM gate_tokens t JOIN gate_devices d ON d.id = t.tokenable_id WHERE t.id = $1 AND d.revoked_at IS NULL;
            RETURN answer;
        END $$;

        -- See App\Support\PowerLock: shop (shared), machine, person.
        CREATE OR REPLACE FUNCTION gate_lock(shop bigint, machine_class int, machine int, person_class int, badge text, follows uuid) RETURNS void LANGUAGE plpgsql AS $$
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

        -- Everything that a decision at one machine goes by (App\Gate\Moment). VOLATILE, so that each look has a snapshot of its own.
        CREATE OR REPLACE FUNCTION gate_moment(bigint, timestamptz, text, text, uuid, bigint) RETURNS json LANGUAGE plpgsql VOLATILE AS $$
        DECLARE answer json;
        BEGIN
        WITH asked AS (SELECT $1 AS machine, $2 AS now, $3 AS badge, $4 AS companion, $5 AS read, $6 AS device),
            open AS (SELECT s.* FROM gate_sessions s, asked WHERE s.machine_id = asked.machine AND s.ended_at IS NULL),
            ended AS (SELECT s.* FROM gate_sessions s, asked WHERE s.machine_id = asked.machine AND s.ended_at IS NOT NULL ORDER BY s.ended_at DESC LIMIT 1),
            known AS (SELECT r.* FROM gate_reads r, asked WHERE r.id = asked.read),
            last AS (SELECT r.* FROM gate_reads r, asked WHERE r.machine_id = asked.machine ORDER BY r.read_at DESC LIMIT 1),
            badges AS (SELECT b.user_id, b.code_hash FROM gate_badges b, asked WHERE b.active AND b.code_hash IN (asked.badge, asked.companion)),
            people AS (SELECT user_id AS id FROM open UNION SELECT companion_id FROM open UNION SELECT user_id FROM ended UNION SELECT user_id FROM known
                UNION SELECT holder_id FROM known UNION SELECT user_id FROM last UNION SELECT holder_id FROM last UNION SELECT user_id FROM badges)
        SELECT json_build_object(
            'machine', (SELECT to_json(m) FROM workshop_machines m WHERE m.id = asked.machine),
            'device', (SELECT to_json(d) FROM gate_devices d WHERE d.id = asked.device),
            'takes', (SELECT json_agg(permit_id) FROM competency_machine_permit WHERE machine_id = asked.machine),
            'permits', (SELECT json_agg(p ORDER BY p.id) FROM competency_permits p),
            'statements', (SELECT json_agg(s) FROM (SELECT id, permit_id, version, in_force_from, grace_until FROM competency_statements) s),
            'accepted', (SELECT json_agg(json_build_array(code, accepted_from) ORDER BY version) FROM learning_lessons),
            'policy', (SELECT p.settings FROM workshop_policies p WHERE p.in_force_from <= asked.now ORDER BY p.in_force_from DESC, p.id DESC LIMIT 1),
            'open', (SELECT to_json(open) FROM open), 'ended', (SELECT to_json(ended) FROM ended),
            'known', (SELECT to_json(known) FROM known), 'last', (SELECT to_json(last) FROM last),
            'sessions', (SELECT json_agg(s) FROM gate_sessions s WHERE s.id IN (SELECT session_id FROM known UNION SELECT session_id FROM last)),
            'badges', (SELECT json_object_agg(code_hash, user_id) FROM badges),
            'people', (SELECT json_agg(u) FROM (SELECT id, name, role, active FROM people_users WHERE id IN (SELECT id FROM people)) u),
            'present', (SELECT json_agg(p.user_id) FROM gate_presences p JOIN people_users u ON u.id = p.user_id
                WHERE p.until > asked.now AND u.active AND u.role IN ('lead', 'instructor')),
            'elsewhere', (SELECT json_object_agg(user_id, turns) FROM (SELECT user_id, count(*) AS turns FROM gate_sessions
                WHERE ended_at IS NULL AND machine_id <> asked.machine GROUP BY user_id) e)
        ) INTO answer FROM asked;
        RETURN answer;
        END $$;

        -- What was kept of each learner's lines, and the lines after that (App\Competency\Folds).
        CREATE OR REPLACE FUNCTION competency_since_fold(bigint[]) RETURNS TABLE (id bigint, folds json, lines json) LANGUAGE plpgsql STABLE AS $$
        BEGIN
        RETURN QUERY
        WITH who AS (SELECT unnest($1) AS id),
            kept AS (SELECT learner_id, min(seq) AS seq, json_agg(json_build_object('permit', permit_id, 'seq', seq, 'state', state, 'seal', seal)) AS folds
                FROM competency_folds WHERE learner_id IN (SELECT w.id FROM who w) GROUP BY learner_id)
        SELECT who.id, kept.folds, (SELECT json_agg(json_build_object('seq', l.seq, 'id', l.id, 'permit', l.permit_id, 'type', l.type, 'data', l.data,
            'at', to_char(l.happened_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"')) ORDER BY l.seq)
            FROM competency_ledger l WHERE l.learner_id = who.id AND l.seq > coalesce(kept.seq, 0)) AS lines
        FROM who LEFT JOIN kept ON kept.learner_id = who.id;
        END $$;
        SQL);
    }
};
