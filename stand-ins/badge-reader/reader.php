#!/usr/bin/env php
<?php

declare(strict_types=1);

/*
 * Stand-in for a badge reader with a machine interlock. Posts each badge to the gate with the device's token
 * and shows the answer. The interlock closes for an allowed decision and for nothing else: whatever cannot be
 * asked, understood or trusted leaves it open.
 *
 *   MILLSTEP_URL=http://127.0.0.1:8000 MILLSTEP_DEVICE_TOKEN=… php stand-ins/badge-reader/reader.php
 *       then one badge code a line; end with Ctrl-D
 *   … reader.php --once CODE [--companion CODE] [--material M] [--operation O] [--diameter MM]
 */

const WORDS = ['alone' => 'Alone', 'supervised' => 'With supervision', 'no' => 'No'];
const TIMEOUT_S = 5;

$options = getopt('', ['once:', 'companion:', 'material:', 'operation:', 'diameter:']);
$url = getenv('MILLSTEP_URL') ?: 'http://127.0.0.1:8000';
$token = getenv('MILLSTEP_DEVICE_TOKEN') ?: '';
if ($token === '' || $options === false) {
    fwrite(STDERR, "Set MILLSTEP_DEVICE_TOKEN to the token that the gate gave this reader when it was paired.\n");
    exit(2);
}

/** A UUIDv7, so that a read that is sent again is the same read. */
function uuid7(): string
{
    $hex = str_pad(dechex((int) (microtime(true) * 1000)), 12, '0', STR_PAD_LEFT).bin2hex(random_bytes(10));
    $hex[12] = '7';
    $hex[16] = dechex(8 | (hexdec($hex[16]) & 3));

    return vsprintf('%s%s-%s-%s-%s-%s%s%s', str_split($hex, 4));
}

/**
 * @param  array<string, mixed>  $body
 * @return array<string, mixed>|null null when the gate did not answer properly
 */
function ask(string $url, string $token, array $body): ?array
{
    $context = stream_context_create(['http' => [
        'method' => 'POST',
        'header' => "Authorization: Bearer $token\r\nContent-Type: application/json\r\nAccept: application/json\r\n",
        'content' => json_encode($body, JSON_THROW_ON_ERROR),
        'timeout' => TIMEOUT_S,
        'ignore_errors' => true,
    ]]);
    $answer = @file_get_contents(rtrim($url, '/').'/api/gate/reads', false, $context);
    $decoded = $answer === false ? null : json_decode($answer, true);

    return is_array($decoded) && isset($decoded['event'], $decoded['interlock']) ? $decoded : null;
}

/** @param  array<string, mixed>|null  $answer */
function show(?array $answer): void
{
    $on = $answer !== null && $answer['event'] === 'decision' && $answer['interlock'] === 'on'
        && in_array($answer['decision'], ['alone', 'supervised'], true);
    $word = match ($answer['event'] ?? null) {
        null => 'No: the gate did not answer',
        'decision' => WORDS[$answer['decision']] ?? 'No',
        'present' => 'On the floor',
        default => 'Finished',
    };
    $why = $answer === null || $answer['reasons'] === [] ? '' : '  ('.implode(', ', $answer['reasons']).')';
    printf("%s%s%s\n    interlock %s\n", $word, isset($answer['person']) ? ': '.$answer['person'] : '', $why, $on ? 'ON' : 'off');
}

$request = array_filter([
    'material' => $options['material'] ?? null,
    'operation' => $options['operation'] ?? null,
    'diameter_mm' => isset($options['diameter']) ? (float) $options['diameter'] : null,
], static fn ($value): bool => $value !== null);
$read = static fn (string $badge): ?array => ask($url, $token, ['id' => uuid7(), 'badge' => $badge, 'companion_badge' => $options['companion'] ?? null, 'request' => $request ?: null]);

if (isset($options['once'])) {
    show($read(is_string($options['once']) ? $options['once'] : ''));
    exit(0);
}
echo "Badge reader at $url. Interlock off. Hold a badge to it: type its code.\n";
while (($line = fgets(STDIN)) !== false) {
    if (trim($line) !== '') {
        show($read(trim($line)));
    }
}
echo "    interlock off\n";
