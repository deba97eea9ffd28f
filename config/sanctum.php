<?php

return [
    'stateful' => [],
    // Devices authenticate by token alone.
    'guard' => [],
    'expiration' => null,
    'token_prefix' => 'millstep_',
];
