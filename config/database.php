<?php

declare(strict_types=1);

$base = [
    'driver' => 'pgsql',
    'host' => env('DB_HOST', '127.0.0.1'),
    'port' => env('DB_PORT', '5432'),
    'database' => env('DB_DATABASE', 'millstep'),
    'charset' => 'utf8',
    'prefix' => '',
    'sslmode' => 'prefer',
];

return [
    'default' => env('DB_CONNECTION', 'pgsql'),
    'connections' => [
        // The application's own role: may not alter tables, may only read the ledger and add to it.
        'pgsql' => [...$base,
            'username' => env('DB_USERNAME', 'millstep_app'),
            'password' => env('DB_PASSWORD', ''),
            'options' => [
                PDO::ATTR_PERSISTENT => (bool) env('DB_PERSISTENT', false),
                // One round trip a query, instead of preparing and putting away what is asked once.
                PDO::PGSQL_ATTR_DISABLE_PREPARES => true,
            ],
        ],
        // The owner of the tables: migrations and nothing else.
        'owner' => [...$base,
            'username' => env('DB_OWNER_USERNAME', 'millstep_owner'),
            'password' => env('DB_OWNER_PASSWORD', ''),
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
