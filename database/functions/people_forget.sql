-- Takes out of the database what is known and said of somebody who is no longer here (people_users.forgotten_at is set already):
-- words about them in sheets, logbook and lessons; their name and address wherever a sentence, a letter or a line of the audit log
-- holds them. What they did, when, and how it was judged stays; what stands in the ledger is competency_forget's.
CREATE OR REPLACE FUNCTION people_forget(person bigint, named text, mail text, other text) RETURNS void
LANGUAGE plpgsql SECURITY DEFINER SET search_path = public AS $$
DECLARE
    place record;
    line record;
    needle text;
    part text;
    -- What the shop writes and teaches, and what is sealed or no words at all.
    left_alone text[] := ARRAY['migrations', 'competency_ledger', 'competency_texts', 'competency_keys', 'competency_folds',
        'competency_soundness', 'competency_anchors', 'competency_permits', 'competency_statements', 'content_files', 'content_packs',
        'learning_lessons', 'learning_checks', 'learning_bindings', 'assessment_sheets', 'workshop_materials', 'workshop_tools',
        'records_audit', 'people_users', 'gate_tokens', 'people_sessions', 'cache', 'cache_locks', 'jobs'];
    personal text[] := ARRAY['name', 'email', 'sis_id', 'born_on', 'guardian_acknowledged_on'];
BEGIN
    IF NOT EXISTS (SELECT 1 FROM people_users WHERE id = person AND forgotten_at IS NOT NULL) THEN
        RAISE EXCEPTION 'Nobody is forgotten who stands there by name.' USING ERRCODE = 'insufficient_privilege';
    END IF;
    -- Marks are written once (assessment_marks_are_kept): their words alone may go, and only in here.
    PERFORM set_config('millstep.forgetting_marks', 'yes', true);
    UPDATE assessment_marks SET why = NULL, value = value - 'text'
        WHERE attempt_id IN (SELECT id FROM assessment_attempts WHERE learner_id = person) AND (why IS NOT NULL OR value ? 'text');
    UPDATE assessment_attempts SET cancelled_because = NULL, second_says = NULL WHERE learner_id = person;
    UPDATE assessment_reviews SET says = NULL WHERE attempt_id IN (SELECT id FROM assessment_attempts WHERE learner_id = person);
    DELETE FROM assessment_photos WHERE attempt_id IN (SELECT id FROM assessment_attempts WHERE learner_id = person);
    UPDATE practice_entries SET note = NULL, mishap = NULL, readings = NULL, reason = NULL, edits = '[]' WHERE learner_id = person;
    UPDATE learning_progress SET notes = '' WHERE learner_id = person;
    UPDATE learning_holds SET sent_back_reason = NULL
        WHERE progress_id IN (SELECT id FROM learning_progress WHERE learner_id = person);
    DELETE FROM people_letters WHERE lower(recipient) = lower(mail);
    DELETE FROM people_invitations WHERE lower(email) = lower(mail);
    DELETE FROM people_password_resets WHERE lower(email) = lower(mail);
    DELETE FROM people_sessions WHERE user_id = person;
    -- Lines of the audit log from when names stood there.
    FOR line IN SELECT id FROM records_audit WHERE source = 'people_users'
        AND ("row" = named OR "before" ->> 'name' = named OR "after" ->> 'name' = named OR "before" ->> 'email' = mail
            OR "after" ->> 'email' = mail OR "after" ->> 'id' = person::text)
    LOOP
        PERFORM set_config('millstep.forgetting', line.id::text, true);
        UPDATE records_audit SET "row" = CASE WHEN "row" = named THEN person::text ELSE "row" END,
            "before" = "before" - personal, "after" = ("after" - personal) || coalesce(
                (SELECT jsonb_object_agg(key, 'changed') FROM jsonb_object_keys("after") key WHERE key = ANY (personal)), '{}')
            WHERE id = line.id;
    END LOOP;
    PERFORM set_config('millstep.forgetting', '', true);
    -- What failed holds words in a form that is not to be changed by halves.
    DELETE FROM failed_jobs WHERE position(named IN payload) > 0 OR position(mail IN payload) > 0;
    -- By name, as words of their own, in whatever else holds words. A name of one word may be any word ("Mark the centre"): it is looked
    -- for where a name stands, and nowhere else.
    FOR place IN SELECT c.table_name AS tab, c.column_name AS col, c.data_type AS kind
        FROM information_schema.columns c JOIN information_schema.tables t USING (table_schema, table_name)
        WHERE c.table_schema = 'public' AND t.table_type = 'BASE TABLE' AND c.is_generated = 'NEVER'
            AND c.data_type IN ('text', 'character varying', 'json', 'jsonb') AND NOT c.table_name = ANY (left_alone)
    LOOP
        FOREACH part IN ARRAY ARRAY[named, mail] LOOP
            needle := CASE WHEN place.kind IN ('json', 'jsonb') THEN left(substr(to_json(part)::text, 2), -1) ELSE part END;
            needle := regexp_replace(needle, '([][(){}.+*?^$|\\-])', '\\\1', 'g');
            IF part ~ '[[:space:]@]' THEN
                needle := '(?<![[:alnum:]])()' || needle || '(?![[:alnum:]])';
            ELSIF place.kind IN ('json', 'jsonb') THEN
                needle := '(?<="(?:name|person|learner|holder|by|who)": ?")()' || needle || '(?=")';
            ELSE
                needle := '';
            END IF;
            IF needle <> '' THEN
                EXECUTE format(
                    'UPDATE %I SET %I = regexp_replace(%I::text, $1, $2, ''g'')::%s WHERE %I::text ~ $1',
                    place.tab, place.col, place.col, place.kind, place.col
                ) USING needle, other;
            END IF;
        END LOOP;
    END LOOP;
    PERFORM set_config('millstep.forgetting_marks', '', true);
    -- Last of all what the audit log quotes, of this change too.
    FOREACH part IN ARRAY ARRAY[named, mail] LOOP
        CONTINUE WHEN part !~ '[[:space:]@]';
        needle := left(substr(to_json(part)::text, 2), -1);
        FOR line IN SELECT id FROM records_audit
            WHERE position(needle IN "before"::text) > 0 OR position(needle IN "after"::text) > 0 OR position(part IN "row") > 0
        LOOP
            PERFORM set_config('millstep.forgetting', line.id::text, true);
            UPDATE records_audit SET "before" = replace("before"::text, needle, other)::jsonb,
                "after" = replace("after"::text, needle, other)::jsonb, "row" = replace("row", part, other) WHERE id = line.id;
        END LOOP;
    END LOOP;
    PERFORM set_config('millstep.forgetting', '', true);
END $$;
