<?php

declare(strict_types=1);

// watch.php URL FILE: a relay at the machine, which asks four times a second as a reader does, and writes down each
// moment that it was on, with the turn that it was on for, and each that the shop did not answer.

use MillStep\StandIns\Interlock;
use Tests\Fuzz\Browser;

require __DIR__.'/../../../vendor/autoload.php';
require __DIR__.'/../../../stand-ins/badge-reader/Interlock.php';
[, $url, $file] = $argv;
$out = fopen($file, 'ab') ?: exit(2);
$token = str_replace('.seen', '.answered.device', $file);
while (! is_file($token)) {
    usleep(100_000);
}
$device = new Browser($url, timeout: 3);
$device->carry(json_decode((string) file_get_contents($token), true));
$relay = new Interlock;
$answered = microtime(true);
while (! is_file($file.'.stop')) {
    $nonce = bin2hex(random_bytes(8));
    $asked = microtime(true);
    $answer = $device->send('GET', "/api/gate/screen?nonce=$nonce", null);
    $now = microtime(true);
    if ($relay->hear($answer['status'], $answer['json'], ['nonce' => $nonce], $asked)) {
        $answered = $asked;
    }
    fwrite($out, json_encode([
        'at' => $now, 'asked' => $asked, 'on' => $relay->isOn($now), 'silent_s' => $now - $answered,
        'turn' => $answer['json']['running']['session'] ?? null,
    ], JSON_THROW_ON_ERROR)."\n");
    fflush($out);
    usleep(250_000);
}
