<?php

declare(strict_types=1);

return [
    // Shows the stand-ins (mailbox, badge tray) and the demo sign-ins. Never on in a real shop.
    'demo' => (bool) env('MILLSTEP_DEMO', false),

    // Seals the ledger and signs its head: 32 bytes in base64, kept with the other secrets.
    'shop_key' => env('MILLSTEP_SHOP_KEY', ''),
    // Where the signed heads of the ledger are written: outside the database, best on another disk.
    'anchors' => env('MILLSTEP_ANCHORS', storage_path('app/anchors/ledger.jsonl')),
    // Where changes are published for live screens (nginx's push module on loopback); none: screens poll.
    'push_url' => env('MILLSTEP_PUSH_URL'),
];
