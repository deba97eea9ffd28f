-- Every change of what decides who may run, with who made it. Of secrets, and of what is known of a person, it says that they were set,
-- changed or taken away, never what they are (nor on what ground somebody assesses): people are named by their number alone, since they
-- can be forgotten.
CREATE OR REPLACE FUNCTION records_audit_row() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public AS $$
DECLARE
    secret text[] := ARRAY['password', 'pin_hash', 'code_hash', 'totp_secret', 'ground'];
    personal text[] := ARRAY['name', 'email', 'sis_id', 'born_on', 'guardian_acknowledged_on'];
    passing text[] := ARRAY['created_at', 'updated_at', 'last_seen_at', 'slowed_until', 'pin_failures', 'pin_locked_until',
        'pin_open_guess', 'pin_open_at', 'units', 'remember_token', 'pairing_id', 'totp_used_step'];
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
            IF key = ANY (secret) OR (TG_TABLE_NAME = 'people_users' AND key = ANY (personal)) THEN
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
