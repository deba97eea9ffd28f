#!/usr/bin/env php
<?php

declare(strict_types=1);

/*
 * Stand-in for a digital caliper with a data key. What lies between its jaws is typed here, one size in millimetres a line; each line
 * is a press of the data key. The reading has the gauge's resolution, zero error and noise.
 *
 *   php stand-ins/caliper/caliper.php
 *       hands each reading over on a local socket, port 4711: a sheet that is open on this machine takes it where the cursor is;
 *       a program that sends "?" and a line end is answered with the last reading, as a serial gauge does
 *   … caliper.php --wedge
 *       types: prints each reading with an Enter, for whatever has the keyboard
 *   options: --resolution MM (0.01)  --zero MM (0)  --noise MM (0.005)  --seed N (1)  --port N (4711)
 */

require __DIR__.'/Gauge.php';
require __DIR__.'/Socket.php';

use MillStep\StandIns\Caliper\Gauge;
use MillStep\StandIns\Caliper\Socket;

$options = getopt('', ['wedge', 'resolution:', 'zero:', 'noise:', 'seed:', 'port:']);
$number = static function (string $name, float $default, float $least, float $most) use ($options): float {
    $said = is_string($options[$name] ?? null) ? $options[$name] : (string) $default;
    if (! is_numeric($said) || (float) $said < $least || (float) $said > $most) {
        fwrite(STDERR, "--$name must be a number from $least to $most.\n");
        exit(2);
    }

    return (float) $said;
};
$gauge = new Gauge(
    $number('resolution', 0.01, 0.0001, 1),
    $number('zero', 0, -1, 1),
    $number('noise', 0.005, 0, 1),
    (int) $number('seed', 1, 0, 2_147_483_647),
);
$press = static function (string $line) use ($gauge): ?string {
    $size = str_replace(',', '.', trim($line));
    if (! is_numeric($size) || (float) $size < 0 || (float) $size > 1000) {
        $size === '' || fwrite(STDERR, "No size in millimetres: $size\n");

        return null;
    }

    return $gauge->shown((float) $size);
};
if (isset($options['wedge'])) {
    while (($line = fgets(STDIN)) !== false) {
        $reading = $press($line);
        $reading === null || print "$reading\n";
    }
    exit(0);
}
try {
    $socket = new Socket((int) $number('port', 4711, 1024, 65_535));
} catch (RuntimeException $taken) {
    fwrite(STDERR, $taken->getMessage()."\n");
    exit(1);
}
fwrite(STDERR, "The caliper listens on port {$socket->port} of this machine. Type a size in mm and Enter; end with Ctrl-D.\n");
stream_set_blocking(STDIN, false);
for (; ;) {
    $read = [STDIN, $socket->server(), ...$socket->connections()];
    $write = $except = null;
    if (stream_select($read, $write, $except, 5) === false) {
        continue;
    }
    foreach ($read as $stream) {
        if ($stream === $socket->server()) {
            $socket->accept();
        } elseif ($stream !== STDIN) {
            $socket->hear($stream);
        } else {
            $line = fgets(STDIN);
            if ($line === false && feof(STDIN)) {
                exit(0);
            }
            $reading = $line === false ? null : $press($line);
            if ($reading !== null) {
                $socket->take($reading);
                echo "$reading mm\n";
            }
        }
    }
}
