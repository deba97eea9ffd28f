<?php

declare(strict_types=1);

return [
    // Shows the stand-ins (mailbox, badge tray) and the demo sign-ins. Never on in a real shop.
    'demo' => (bool) env('MILLSTEP_DEMO', false),
];
