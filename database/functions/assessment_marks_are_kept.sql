-- Nobody changes a mark, nor a gauge's check, but people_forget, which takes somebody's words out of what was said on a sheet: who marked
-- what, when, and how it was judged stays as it was.
CREATE OR REPLACE FUNCTION assessment_marks_are_kept() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
    IF TG_OP = 'UPDATE' AND current_setting('millstep.forgetting_marks', true) = 'yes' THEN
        IF to_jsonb(NEW) - ARRAY['value', 'why'] = to_jsonb(OLD) - ARRAY['value', 'why'] THEN
            RETURN NEW;
        END IF;
    END IF;
    RAISE EXCEPTION 'A mark is written once; make another one instead.' USING ERRCODE = 'insufficient_privilege';
END $$;
