<?php

declare(strict_types=1);

return [
    // Shows the stand-ins (mailbox, badge tray) and the demo sign-ins. Never on in a real shop.
    // Only a plain yes is one: whatever else stands there leaves the stand-ins shut.
    'demo' => in_array(env('MILLSTEP_DEMO', false), [true, 1, '1', 'true', 'yes', 'on'], true),

    // Seals the ledger and signs its head: 32 bytes in base64, kept with the other secrets.
    'shop_key' => (string) env('MILLSTEP_SHOP_KEY', ''),
    // Where the signed heads of the ledger are written: outside the database, best on another disk.
    'anchors' => (string) env('MILLSTEP_ANCHORS', storage_path('app/anchors/ledger.jsonl')),
    // And once more, where whoever reaches the first place does not: another disk, another machine. Empty: nowhere.
    'anchors_copy' => (string) env('MILLSTEP_ANCHORS_COPY', ''),
    // Where the backups are, so that one which is missing is noticed.
    'backups' => (string) env('MILLSTEP_BACKUPS', ''),
    // Which cache counts how often a device asks: shared memory in the shop, since a second of forgetting does no harm.
    'gate_limits' => env('GATE_LIMITS_STORE'),
    // Where changes are published for live screens (nginx's push module on loopback); none: screens poll.
    'push_url' => (string) env('MILLSTEP_PUSH_URL', ''),
];
