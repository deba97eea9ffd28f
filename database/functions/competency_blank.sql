-- Takes the words out of a line of the first form, when whom they are about is being forgotten; the ledger's own trigger looks that
-- nothing else of it changes, and that a later line said so.
CREATE OR REPLACE FUNCTION competency_blank(line bigint, remains json) RETURNS void LANGUAGE sql SECURITY DEFINER SET search_path = public AS $$
    UPDATE competency_ledger SET data = remains WHERE seq = line;
$$;
