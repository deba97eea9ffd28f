<?php

declare(strict_types=1);

// watch.php URL FILE: a reader at the machine, which asks four times a second, with a relay of its own as the shipped reader has
// it; writes down each answer and its turn, and when the relay moved (FILE.relay), by the clock that only goes forward.

use MillStep\StandIns\Interlock;
use MillStep\StandIns\Relay;
use Tests\Fuzz\Browser;

require __DIR__.'/../../../vendor/autoload.php';
require __DIR__.'/../../../stand-ins/badge-reader/Interlock.php';
require __DIR__.'/../../../stand-ins/badge-reader/Relay.php';
[, $url, $file] = $argv;
$out = fopen($file, 'ab') ?: exit(2);
$token = str_replace('.seen', '.answered.device', $file);
while (! is_file($token)) {
    usleep(100_000);
}
$device = new Browser($url, timeout: 3);
$device->carry(json_decode((string) file_get_contents($token), true));
$interlock = new Interlock;
putenv('MILLSTEP_RELAY_TIMES=yes');
$relay = new Relay(fopen($file.'.relay', 'ab') ?: exit(2));
$answered = hrtime(true);
while (! is_file($file.'.stop')) {
    $nonce = bin2hex(random_bytes(8));
    $asked = hrtime(true);
    $at = microtime(true);
    $answer = $device->send('GET', "/api/gate/screen?nonce=$nonce", null);
    if ($interlock->hear($answer['status'], $answer['json'], ['nonce' => $nonce], $asked, microtime(true))) {
        $answered = $asked;
    }
    $relay->until($interlock->deadline());
    $now = hrtime(true);
    fwrite($out, json_encode([
        'at' => microtime(true), 'asked' => $at, 'asked_ns' => $asked, 'answered_ns' => $answered, 'on' => $interlock->isOn($now),
        'silent_s' => ($now - $answered) / 1e9, 'turn' => $answer['json']['running']['session'] ?? null,
    ], JSON_THROW_ON_ERROR)."\n");
    fflush($out);
    usleep(250_000);
}
$relay->close();
