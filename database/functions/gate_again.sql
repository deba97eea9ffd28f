-- What App\Gate\Screen\Again goes by, in one question: whose token that is, and the facts of the machine, under the locks of a decision
-- where a turn is open. Each step looks after the one before, so what was waited for is seen.
CREATE OR REPLACE FUNCTION gate_again(token bigint, shop bigint, machine_class int, at_machine int, person_class int, pretended timestamptz,
    turn boolean, OUT device text, OUT moment text) LANGUAGE plpgsql VOLATILE AS $$
BEGIN
    device := gate_device(token)::text;
    IF turn THEN PERFORM gate_lock(shop, machine_class, at_machine, person_class, NULL, NULL, NULL); END IF;
    moment := gate_moment(at_machine, pretended, NULL, NULL, NULL, NULL, NULL, NOT turn)::text;
END $$;
