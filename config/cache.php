<?php

declare(strict_types=1);

// Beside the framework's own stores: memory that php-fpm's workers share. It is gone at a restart, so it holds nothing
// but counts of how often a device has asked.
return ['stores' => ['apc' => ['driver' => 'apc']]];
