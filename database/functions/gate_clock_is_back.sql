-- Whether the clock was put back: a badge was read or a turn began more than two seconds after now. Who confirmed that the clock is right
-- spoke about all that was there then; what came after that is looked at again.
CREATE OR REPLACE FUNCTION gate_clock_is_back(instant timestamptz) RETURNS boolean LANGUAGE plpgsql VOLATILE AS $$
DECLARE confirmed gate_clock_confirmations;
BEGIN
    SELECT * INTO confirmed FROM gate_clock_confirmations c ORDER BY c.id DESC LIMIT 1;
    RETURN EXISTS (SELECT FROM gate_reads r WHERE r.read_at > instant + interval '2 seconds' AND r.seq > coalesce(confirmed.read_seq, 0))
        OR EXISTS (SELECT FROM gate_sessions s
            WHERE s.started_at > instant + interval '2 seconds' AND s.seq > coalesce(confirmed.session_seq, 0));
END $$;
