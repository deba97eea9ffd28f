#!/usr/bin/env php
<?php

declare(strict_types=1);

/*
 * Stand-in for a badge reader with a machine interlock. Asks the gate every second what the interlock is to do, posts each
 * badge with what is meant by it, and shows the answers. A badge is a finish while the machine has power and a start else; a
 * read whose answer got lost is asked for again under its id, and no other badge is read meanwhile.
 *
 *   MILLSTEP_URL=http://127.0.0.1:8000 MILLSTEP_DEVICE_TOKEN=… php stand-ins/badge-reader/reader.php
 *       then one badge code a line; "hand over CODE" ends the turn of whoever has the machine; end with Ctrl-D
 *   … reader.php --once CODE [--intent start|finish|hand_over] [--companion CODE]
 *       [--material M] [--thickness MM] [--operation O] [--diameter MM]
 *
 * What it says will be made, where nothing else is given: a 6 mm hole drilled in 8 mm mild steel.
 *
 * The rule that a real reader is held to: whoever asks does not move the relay. The relay has a timer of its own, on a clock that is
 * never set, and is on for no longer than three seconds after the last question that was answered in full was asked; an answer that
 * drips, stalls, lies or never comes, and a reader that hangs or dies, only ever turn it off.
 */

require __DIR__.'/Interlock.php';
require __DIR__.'/Relay.php';

use MillStep\StandIns\Interlock;
use MillStep\StandIns\Relay;

const WORDS = ['alone' => 'Alone', 'supervised' => 'With supervision', 'no' => 'No'];
const TIMEOUT_S = 3;
const POLL_S = 1;
const GIVEN_UP_S = 60;
const NS = 1_000_000_000;

$options = getopt('', ['once:', 'intent:', 'companion:', 'material:', 'thickness:', 'operation:', 'diameter:']);
$url = rtrim(getenv('MILLSTEP_URL') ?: 'http://127.0.0.1:8000', '/');
$token = getenv('MILLSTEP_DEVICE_TOKEN') ?: '';
if ($token === '' || $options === false) {
    fwrite(STDERR, "Set MILLSTEP_DEVICE_TOKEN to the token that the gate gave this reader when it was paired.\n");
    exit(2);
}
$said = static fn (string $key, string $default): string => is_string($options[$key] ?? null) ? $options[$key] : $default;
$request = [
    'material' => $said('material', 'mild_steel'),
    'thickness_mm' => (float) $said('thickness', '8'),
    'operation' => $said('operation', 'drill'),
    'diameter_mm' => (float) $said('diameter', '6'),
];

/** A UUIDv7, so that a read that is sent again is the same read. */
function uuid7(): string
{
    $hex = str_pad(dechex((int) (microtime(true) * 1000)), 12, '0', STR_PAD_LEFT).bin2hex(random_bytes(10));
    $hex[12] = '7';
    $hex[16] = dechex(8 | (hexdec($hex[16]) & 3));

    return vsprintf('%s%s-%s-%s-%s-%s%s%s', str_split($hex, 4));
}

/**
 * @param  array<array-key, mixed>|null  $body  null: a question
 * @return array{int, mixed} status, 0 when there was no whole answer within three seconds, and the decoded body
 */
function ask(string $url, string $token, ?array $body): array
{
    $curl = curl_init($url);
    curl_setopt_array($curl, [
        CURLOPT_RETURNTRANSFER => true,
        // All of it, however it comes: name, connection, headers byte by byte, a body that drips.
        CURLOPT_TIMEOUT_MS => TIMEOUT_S * 1000,
        CURLOPT_NOSIGNAL => true,
        CURLOPT_FOLLOWLOCATION => false,
        CURLOPT_PROXY => '',
        CURLOPT_HTTPHEADER => ["Authorization: Bearer $token", 'Content-Type: application/json', 'Accept: application/json', 'Expect:'],
    ]);
    if ($body !== null) {
        curl_setopt($curl, CURLOPT_POSTFIELDS, json_encode($body, JSON_THROW_ON_ERROR));
    }
    $text = curl_exec($curl);
    $status = curl_getinfo($curl, CURLINFO_RESPONSE_CODE);

    return is_string($text) && is_int($status) ? [$status, json_decode($text, true)] : [0, null];
}

function text(mixed $value): string
{
    return is_scalar($value) ? (string) $value : '';
}

/** The texts of a list, one behind the other. */
function texts(mixed $values): string
{
    return implode(', ', is_array($values) ? array_map(text(...), $values) : []);
}

/** @param  array<array-key, mixed>|null  $answer  believed, or null */
function show(?array $answer, bool $on): void
{
    $word = match ($answer['event'] ?? null) {
        'decision' => WORDS[text($answer['decision'] ?? null)] ?? 'No',
        'asks' => 'No: say what is to be made ('.texts($answer['asks'] ?? null).')',
        'in_use' => 'In use by '.text($answer['holder'] ?? null),
        'present' => 'On the floor',
        'finished' => 'Finished',
        default => 'No: the gate did not answer',
    };
    $reasons = texts([...(array) ($answer['reasons'] ?? []), ...(array) ($answer['refused'] ?? [])]);
    $person = isset($answer['person']) ? ': '.text($answer['person']) : '';
    printf("%s%s%s\n    interlock %s\n", $word, $person, $reasons === '' ? '' : "  ($reasons)", $on ? 'ON' : 'off');
}

/**
 * @param  array<array-key, mixed>  $body
 * @return array<array-key, mixed>|null the believed answer, or null
 */
function post_read(string $url, string $token, Interlock $interlock, Relay $relay, array $body): ?array
{
    $askedAt = hrtime(true);
    [$status, $answer] = ask("$url/api/gate/reads", $token, $body);
    $believed = $interlock->hear($status, $answer, ['id' => text($body['id'])], $askedAt, microtime(true));
    $relay->until($interlock->deadline());
    if ($believed) {
        return is_array($answer) ? $answer : null;
    }

    return $status >= 400 && $status < 500 ? ['said_no' => is_array($answer) ? text($answer['message'] ?? null) : ''] : null;
}

$interlock = new Interlock;
$relay = new Relay(isset($options['once']) ? (fopen('/dev/null', 'w') ?: null) : null);

$read = static fn (array $body): ?array => post_read($url, $token, $interlock, $relay, $body);
$bodyFor = static fn (string $badge, string $intent): array => [
    'id' => uuid7(), 'intent' => $intent, 'badge' => $badge, 'companion_badge' => $options['companion'] ?? null, 'request' => $request,
];

if (isset($options['once'])) {
    $answer = $read($bodyFor($said('once', ''), $said('intent', 'start')));
    isset($answer['said_no']) ? printf(
        "No: %s\n    interlock off\n",
        text($answer['said_no']),
    ) : show($answer, $interlock->isOn(hrtime(true)));
    $relay->close();
    exit(0);
}

echo "Badge reader at $url. Interlock off. Hold a badge to it: type its code.\n";
/** @var array{body: array<string, mixed>, since: int}|null $pending */
$pending = null;
$nextPoll = 0;
while (true) {
    $now = hrtime(true);
    if ($pending !== null) {
        $answer = $read($pending['body']);
        if ($answer !== null || $now - $pending['since'] > GIVEN_UP_S * NS) {
            isset($answer['said_no']) ? printf("No: %s\n", text($answer['said_no'])) : show($answer, $interlock->isOn(hrtime(true)));
            $pending = null;
        }
    } elseif ($now >= $nextPoll) {
        $nonce = uuid7();
        [$status, $state] = ask("$url/api/gate/screen?nonce=$nonce", $token, null);
        $interlock->hear($status, $state, ['nonce' => $nonce], $now, microtime(true));
        $relay->until($interlock->deadline());
    }
    $nextPoll = $now >= $nextPoll ? $now + POLL_S * NS : $nextPoll;
    $streams = [STDIN];
    $none = null;
    if (stream_select($streams, $none, $none, 0, 200_000) > 0) {
        $line = fgets(STDIN);
        if ($line === false) {
            break;
        }
        $badge = trim($line);
        if ($badge !== '' && $pending === null) {
            $handsOver = preg_match('/^hand over (.+)$/', $badge, $found) === 1;
            $intent = $handsOver ? 'hand_over' : ($interlock->isOn(hrtime(true)) ? 'finish' : 'start');
            $pending = ['body' => $bodyFor($handsOver ? $found[1] : $badge, $intent), 'since' => hrtime(true)];
        }
    }
}
$relay->close();
