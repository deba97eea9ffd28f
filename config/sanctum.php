<?php

declare(strict_types=1);

return [
    'stateful' => [],
    // Devices authenticate by token alone.
    'guard' => [],
    'expiration' => null,
    'token_prefix' => 'millstep_',
];
