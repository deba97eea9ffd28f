-- Everything that a decision at one machine goes by (App\Gate\Moment). VOLATILE and step by step: each step is a lookup with a plan of
-- its own. Asked with the locks held, so nothing that matters changes between the steps. Its clock is the gate's: the database's own,
-- looked at after the wait for the locks; only a test says another one.
--
-- With closed_only it is asked without a lock, and says nothing where a turn is open: a machine that is off needs no rules and no records.
DROP FUNCTION IF EXISTS gate_moment(bigint, timestamptz, text, text, uuid, bigint);
DROP FUNCTION IF EXISTS gate_moment(bigint, timestamptz, text, text, text, uuid, bigint);
CREATE OR REPLACE FUNCTION gate_moment(at_machine bigint, pretended timestamptz, badge text, companion text, supervisor text, read_id uuid,
    by_device bigint, closed_only boolean DEFAULT false)
    RETURNS json LANGUAGE plpgsql VOLATILE AS $$
DECLARE
    instant timestamptz := coalesce(pretended, clock_timestamp());
    machine json; device json; takes bigint[]; permits json; statements json; accepted json; policy json;
    opened gate_sessions; closed gate_sessions; known gate_reads; latest gate_reads;
    sessions json; held gate_badges; companion_of bigint; supervisor_of bigint; people json; present json; elsewhere json; records json;
    asked_badge boolean; soundness json; lost boolean := false; relevant bigint[];
BEGIN
    SELECT * INTO opened FROM gate_sessions s WHERE s.machine_id = at_machine AND s.ended_at IS NULL;
    IF closed_only AND opened.id IS NOT NULL THEN RETURN NULL; END IF;
    SELECT to_json(m) INTO machine FROM workshop_machines m WHERE m.id = at_machine;
    IF by_device IS NOT NULL THEN SELECT to_json(d) INTO device FROM gate_devices d WHERE d.id = by_device; END IF;
    SELECT array_agg(t.permit_id) INTO takes FROM competency_machine_permit t WHERE t.machine_id = at_machine;
    IF closed_only THEN
        SELECT json_agg(p ORDER BY p.id) INTO permits FROM competency_permits p WHERE p.id = ANY (takes);
    ELSE
        -- What the machine takes, and what that builds on.
        WITH RECURSIVE asked AS (
            SELECT p.id, p.requirement FROM competency_permits p WHERE p.id = ANY (takes)
            UNION SELECT below.id, below.requirement FROM asked
                JOIN competency_permits below ON coalesce(asked.requirement -> 'prerequisites', '[]') ? below.code
        ) SELECT array_agg(asked.id) INTO relevant FROM asked;
        relevant := coalesce(relevant, '{}');
        SELECT json_agg(p ORDER BY p.id) INTO permits FROM competency_permits p WHERE p.id = ANY (relevant);
        SELECT json_agg(json_build_object('id', s.id, 'permit_id', s.permit_id, 'version', s.version,
                'in_force_from', s.in_force_from, 'grace_until', s.grace_until))
            INTO statements FROM competency_statements s WHERE s.permit_id = ANY (relevant);
        SELECT json_agg(json_build_array(l.code, l.accepted_from) ORDER BY l.version) INTO accepted FROM learning_lessons l;
        SELECT p.settings INTO policy FROM workshop_policies p WHERE p.in_force_from <= instant
            ORDER BY p.in_force_from DESC, p.id DESC LIMIT 1;
    END IF;
    IF opened.id IS NULL THEN
        SELECT * INTO closed FROM gate_sessions s WHERE s.machine_id = at_machine AND s.ended_at IS NOT NULL
            ORDER BY s.ended_at DESC LIMIT 1;
    END IF;
    IF opened.id IS NOT NULL THEN
        -- Nobody can say who stands at a machine that a badge has opened which was lost since, beside which it stood, or who came with it.
        lost := EXISTS (SELECT FROM gate_badges b WHERE b.ended_because = 'lost' AND b.ended_at >= coalesce(opened.confirmed_at, opened.started_at)
            AND b.user_id = ANY (ARRAY[opened.user_id, opened.companion_id, opened.supervisor_id]));
    END IF;
    IF read_id IS NOT NULL THEN SELECT * INTO known FROM gate_reads r WHERE r.id = read_id; END IF;
    SELECT * INTO latest FROM gate_reads r WHERE r.machine_id = at_machine ORDER BY r.seq DESC LIMIT 1;
    IF known.session_id IS NOT NULL OR latest.session_id IS NOT NULL THEN
        SELECT json_agg(s) INTO sessions FROM gate_sessions s WHERE s.id IN (known.session_id, latest.session_id);
    END IF;
    IF badge IS NOT NULL THEN SELECT * INTO held FROM gate_badges b WHERE b.active AND b.code_hash = badge; END IF;
    IF companion IS NOT NULL THEN
        SELECT b.user_id INTO companion_of FROM gate_badges b WHERE b.active AND b.code_hash = companion;
    END IF;
    IF supervisor IS NOT NULL THEN
        SELECT b.user_id INTO supervisor_of FROM gate_badges b WHERE b.active AND b.code_hash = supervisor;
    END IF;
    -- A question waits for the badge that it was asked of, while that badge is anybody's.
    SELECT b.active AND b.user_id = latest.user_id INTO asked_badge FROM gate_badges b WHERE b.id = latest.badge_id;
    SELECT json_agg(json_build_object('id', u.id, 'name', u.name, 'role', u.role, 'active', u.active, 'language', u.language))
        INTO people FROM people_users u
        WHERE u.id = ANY (ARRAY[opened.user_id, opened.companion_id, opened.supervisor_id, closed.user_id, closed.supervisor_id,
            known.user_id, known.holder_id, known.supervisor_id, latest.user_id, latest.holder_id, latest.supervisor_id,
            held.user_id, companion_of, supervisor_of]);
    IF closed_only THEN
        RETURN json_build_object('now', to_char(instant AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"'), 'clock_back', false,
            'machine', machine, 'device', device, 'takes', to_json(takes), 'permits', permits, 'statements', NULL, 'accepted', NULL,
            'policy', NULL, 'open', NULL, 'ended', CASE WHEN closed.id IS NOT NULL THEN to_json(closed) END, 'known', NULL,
            'last', CASE WHEN latest.id IS NOT NULL THEN to_json(latest) END, 'sessions', sessions, 'badge_of', NULL, 'badge_id', NULL,
            'companion_of', NULL, 'supervisor_of', NULL, 'asked_badge', false, 'badge_lost', false, 'people', people, 'present', NULL,
            'elsewhere', NULL, 'records', NULL, 'soundness', NULL);
    END IF;
    -- Who teaches and is on the floor; what of this machine's permits each may supervise, and how many other turns each watches.
    SELECT json_agg(json_build_object('id', u.id, 'name', u.name,
            'supervises', (SELECT json_agg(a.permit_id) FROM competency_authorisations a
                WHERE a.user_id = u.id AND a.permit_id = ANY (takes)
                    AND a.valid_from <= instant AND (a.valid_until IS NULL OR a.valid_until >= instant)),
            'by_name', (SELECT json_agg(a.permit_id) FROM competency_supervisors a WHERE a.user_id = u.id AND a.permit_id = ANY (takes)),
            'watches', (SELECT count(*) FROM gate_sessions s
                WHERE s.supervisor_id = u.id AND s.ended_at IS NULL AND s.machine_id <> at_machine)) ORDER BY u.name, u.id)
        INTO present FROM gate_presences p JOIN people_users u ON u.id = p.user_id
        WHERE p.until > instant AND u.active AND u.role IN ('lead', 'instructor');
    -- Whose records will be asked for: whoever has the machine or is beside them, and whoever came.
    SELECT json_agg(competency_since_fold(w.id, relevant)), json_object_agg(w.id, json_build_object(
            'runs', (SELECT count(*) FROM gate_sessions s WHERE s.user_id = w.id AND s.ended_at IS NULL AND s.machine_id <> at_machine),
            'beside', (SELECT count(*) FROM gate_sessions s
                WHERE s.companion_id = w.id AND s.ended_at IS NULL AND s.machine_id <> at_machine)))
        INTO records, elsewhere
        FROM (SELECT DISTINCT unnest(ARRAY[opened.user_id, opened.companion_id, held.user_id, companion_of,
            CASE WHEN badge IS NULL THEN latest.user_id END]) AS id) w
        WHERE w.id IS NOT NULL;
    SELECT json_build_object('state', s.state, 'seal', s.seal) INTO soundness FROM competency_soundness s;
    RETURN json_build_object('now', to_char(instant AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"'), 'clock_back', gate_clock_is_back(instant),
        'machine', machine, 'device', device, 'takes', to_json(takes), 'permits', permits, 'statements', statements,
        'accepted', accepted, 'policy', policy, 'open', CASE WHEN opened.id IS NOT NULL THEN to_json(opened) END,
        'ended', CASE WHEN closed.id IS NOT NULL THEN to_json(closed) END,
        'known', CASE WHEN known.id IS NOT NULL THEN to_json(known) END,
        'last', CASE WHEN latest.id IS NOT NULL THEN to_json(latest) END, 'sessions', sessions,
        'badge_of', held.user_id, 'badge_id', held.id, 'companion_of', companion_of, 'supervisor_of', supervisor_of,
        'asked_badge', coalesce(asked_badge, false), 'badge_lost', lost, 'people', people, 'present', present,
        'elsewhere', elsewhere, 'records', records, 'soundness', soundness);
END $$;
