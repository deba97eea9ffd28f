-- What was kept of a learner's lines, about every permit or about these, and the lines after that with all that their hash is over
-- (App\Competency\Folds).
DROP FUNCTION IF EXISTS competency_since_fold(bigint);
CREATE OR REPLACE FUNCTION competency_since_fold(learner bigint, of_permits bigint[] DEFAULT NULL) RETURNS json LANGUAGE plpgsql VOLATILE AS $$
DECLARE stands bigint; kept json; after json; newest bigint;
BEGIN
    SELECT min(f.seq), json_agg(json_build_object('permit', f.permit_id, 'seq', f.seq, 'state', f.state, 'seal', f.seal))
        INTO stands, kept FROM competency_folds f
        WHERE f.learner_id = learner AND (of_permits IS NULL OR f.permit_id = ANY (of_permits));
    SELECT json_agg(json_build_object('seq', l.seq, 'id', l.id, 'permit', l.permit_id, 'type', l.type, 'data', l.data::text,
        'by', l.recorded_by, 'at', to_char(l.happened_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"'),
        'recorded_at', to_char(l.recorded_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"'),
        'previous_hash', l.previous_hash, 'hash', l.hash, 'seal', l.seal, 'format', l.format, 'by_subject', l.by_subject,
        'by_writer', l.by_writer) ORDER BY l.seq)
        INTO after FROM competency_ledger l WHERE l.learner_id = learner AND (stands IS NULL OR l.seq > stands);
    SELECT l.seq INTO newest FROM competency_ledger l WHERE l.learner_id = learner ORDER BY l.seq DESC LIMIT 1;
    RETURN json_build_object('learner', learner, 'folds', kept, 'lines', after, 'newest', newest);
END $$;
