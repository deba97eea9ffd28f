<?php

declare(strict_types=1);

// Beside the framework's own disks: photographs of practical work, outside of what is served, read through a door that asks who.
return [
    'default' => 'local',
    'disks' => [
        'local' => ['driver' => 'local', 'root' => storage_path('app/private'), 'throw' => false],
        'media' => [
            'driver' => 'local',
            'root' => storage_path('media'),
            'visibility' => 'private',
            'throw' => false,
        ],
    ],
];
