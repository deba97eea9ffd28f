-- Takes a person's key away, and with it every word about them in the ledger, in every copy: only after a line has said so.
CREATE OR REPLACE FUNCTION competency_forget(person bigint) RETURNS void LANGUAGE plpgsql SECURITY DEFINER SET search_path = public AS $$
BEGIN
    IF NOT EXISTS (SELECT 1 FROM competency_ledger WHERE learner_id = person AND type = 'forgotten')
        OR NOT EXISTS (SELECT 1 FROM people_users WHERE id = person AND forgotten_at IS NOT NULL) THEN
        RAISE EXCEPTION 'Nobody is forgotten before the ledger says so.' USING ERRCODE = 'insufficient_privilege';
    END IF;
    DELETE FROM competency_keys WHERE person_id = person;
END $$;
