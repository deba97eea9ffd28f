<?php

declare(strict_types=1);

// Loads the core without Composer, so that bin/compute runs in a bare clone.
spl_autoload_register(static function (string $class): void {
    $prefix = 'MillStep\\Core\\';
    if (! str_starts_with($class, $prefix)) {
        return;
    }
    $file = __DIR__.'/src/'.str_replace('\\', '/', substr($class, strlen($prefix))).'.php';
    if (is_file($file)) {
        require $file;
    }
});
