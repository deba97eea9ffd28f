-- Whose token that is; whether it is still good is said by whoever asks.
CREATE OR REPLACE FUNCTION gate_device(bigint) RETURNS json LANGUAGE plpgsql STABLE AS $$
DECLARE answer json;
BEGIN
    SELECT json_build_object('device', to_json(d), 'token', json_build_object('id', t.id, 'name', t.name, 'token', t.token,
            'expires_at', t.expires_at, 'first_used_at', t.first_used_at, 'replaced_at', t.replaced_at))
        INTO answer FROM gate_tokens t JOIN gate_devices d ON d.id = t.tokenable_id WHERE t.id = $1 AND d.revoked_at IS NULL;
    RETURN answer;
END $$;
