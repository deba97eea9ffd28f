-- See App\Support\PowerLock: shop (shared), machine, then the persons in the order of their numbers, so that no two wait for each other.
DROP FUNCTION IF EXISTS gate_lock(bigint, int, int, int, text, uuid);
CREATE OR REPLACE FUNCTION gate_lock(shop bigint, machine_class int, machine int, person_class int, badge text, companion text, follows uuid)
    RETURNS void LANGUAGE plpgsql AS $$
DECLARE person bigint;
BEGIN
    PERFORM pg_advisory_xact_lock_shared(shop);
    PERFORM pg_advisory_xact_lock(machine_class, machine);
    FOR person IN
        SELECT user_id FROM gate_badges WHERE badge IS NOT NULL AND code_hash = badge AND active
        UNION SELECT user_id FROM gate_badges WHERE companion IS NOT NULL AND code_hash = companion AND active
        UNION SELECT user_id FROM gate_reads WHERE badge IS NULL AND follows IS NOT NULL AND id = follows AND user_id IS NOT NULL
        ORDER BY 1
    LOOP
        PERFORM pg_advisory_xact_lock(person_class, person::int);
    END LOOP;
END $$;
