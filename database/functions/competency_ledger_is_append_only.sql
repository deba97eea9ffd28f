-- What happened is written once. The database refuses everybody, the owner of the table too, but for one thing: the words in a line of
-- the first form ("reason", the only ones that it ever held) are taken out after a later line has said so (competency_blank).
CREATE OR REPLACE FUNCTION competency_ledger_is_append_only() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
    IF TG_OP = 'UPDATE' THEN
        IF OLD.format = 1 AND to_jsonb(NEW) - 'data' = to_jsonb(OLD) - 'data'
            AND NEW.data::jsonb = OLD.data::jsonb - 'reason' AND OLD.data::jsonb ? 'reason'
            AND EXISTS (SELECT 1 FROM competency_ledger said WHERE said.type = 'blanked' AND said.seq > OLD.seq
                AND said.data ->> 'seq' = OLD.seq::text)
        THEN
            RETURN NEW;
        END IF;
    END IF;
    RAISE EXCEPTION 'The competency ledger is append-only; write a correction instead.'
        USING ERRCODE = 'insufficient_privilege';
END $$;
