<?php

declare(strict_types=1);

return [
    'default' => env('MAIL_MAILER', 'mailbox'),
    'mailers' => [
        // The stand-in: letters go to the mailbox page of the demo.
        'mailbox' => ['transport' => 'mailbox'],
        'smtp' => [
            'transport' => 'smtp',
            'host' => (string) env('MAIL_HOST', '127.0.0.1'),
            'port' => (int) env('MAIL_PORT', 25),
            'username' => env('MAIL_USERNAME'),
            'password' => env('MAIL_PASSWORD'),
        ],
        'array' => ['transport' => 'array'],
    ],
    'from' => ['address' => env('MAIL_FROM_ADDRESS', 'shop@millstep.example'), 'name' => 'Mill Step'],
];
