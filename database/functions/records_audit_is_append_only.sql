-- Nobody changes the audit log, but people_forget, which takes names out of it (before names stood there no more).
CREATE OR REPLACE FUNCTION records_audit_is_append_only() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
    IF TG_OP = 'UPDATE' THEN
        IF current_setting('millstep.forgetting', true) = OLD.id::text AND NEW.id = OLD.id AND NEW.at = OLD.at
            AND NEW.source = OLD.source AND NEW.change = OLD.change AND NEW.actor_id IS NOT DISTINCT FROM OLD.actor_id
        THEN
            RETURN NEW;
        END IF;
    END IF;
    RAISE EXCEPTION 'The audit log is append-only.' USING ERRCODE = 'insufficient_privilege';
END $$;
