<?php

declare(strict_types=1);

return [
    'defaults' => ['guard' => 'web', 'passwords' => 'users'],
    'guards' => [
        'web' => ['driver' => 'session', 'provider' => 'users'],
        // Machines' screens and badge readers carry a token of their own, never a person's session.
        'device' => ['driver' => 'device-token'],
    ],
    'providers' => [
        'users' => ['driver' => 'eloquent', 'model' => App\People\User::class],
    ],
    'passwords' => [
        'users' => ['provider' => 'users', 'table' => 'people_password_resets', 'expire' => 60, 'throttle' => 60],
        // An invitation may lie over a weekend.
        'invitations' => ['provider' => 'users', 'table' => 'people_invitations', 'expire' => 10080, 'throttle' => 0],
    ],
    'password_timeout' => 10800,
];
