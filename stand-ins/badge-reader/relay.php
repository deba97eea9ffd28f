#!/usr/bin/env php
<?php

declare(strict_types=1);

/*
 * Moves the relay of a machine by a deadline of the clock that only goes forward. Reads on standard input, one a line, until when
 * it may be on (nanoseconds of hrtime, 0: off now); prints each move that it makes and when. It asks nobody, reads no network and
 * waits for nothing but the next line and its own deadline; when whoever tells it is gone, it goes off.
 */

const NS = 1_000_000_000;
/** How finely it looks at the clock near its deadline, in microseconds. */
const LOOK_US = 20_000;

stream_set_blocking(STDIN, false);
$until = 0;
$isOn = false;
$buffer = '';
while (true) {
    $left = $until - hrtime(true);
    $wait = $isOn ? (int) max(0, min(LOOK_US, $left / 1_000)) : 200_000;
    $streams = [STDIN];
    $none = null;
    $gone = false;
    if (stream_select($streams, $none, $none, 0, $wait) > 0) {
        $buffer .= (string) fread(STDIN, 4096);
        $gone = feof(STDIN);
        $lines = explode("\n", $buffer);
        $buffer = (string) array_pop($lines);
        foreach ($lines as $line) {
            $until = ctype_digit($line) ? (int) $line : 0;
        }
    }
    $now = hrtime(true);
    // Never longer ahead than a lease, whatever it is told.
    $on = ! $gone && $now < $until && $until - $now <= 3 * NS;
    if ($on !== $isOn) {
        $isOn = $on;
        printf("    interlock %s%s\n", $isOn ? 'ON' : 'off', getenv('MILLSTEP_RELAY_TIMES') === false ? '' : " $now");
        fflush(STDOUT);
    }
    if ($gone) {
        exit(0);
    }
}
