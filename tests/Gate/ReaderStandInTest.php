<?php

declare(strict_types=1);

require_once __DIR__.'/../../stand-ins/badge-reader/Interlock.php';

use MillStep\StandIns\Interlock;

/** The relay of the shipped reader: on by nothing but a fresh, successful answer to its own question. */
$now = 1_935_000_000.0;
$answer = [
    'id' => 'r-1',
    'interlock' => 'on',
    'answered_at' => gmdate('Y-m-d\TH:i:s\Z', (int) $now),
    'event' => 'decision',
    'decision' => 'alone',
];

it('is on for three seconds from the question', function () use ($now, $answer): void {
    $relay = new Interlock;
    expect($relay->hear(201, $answer, ['id' => 'r-1'], $now))
        ->toBeTrue()
        ->and($relay->isOn($now + 2.9))
        ->toBeTrue()
        ->and($relay->isOn($now + 3.0))
        ->toBeFalse();
});

it('is never on by', function (int $status, mixed $heard, array $asked) use ($now): void {
    $relay = new Interlock;
    expect($relay->hear($status, $heard, $asked, $now))->toBeFalse()->and($relay->isOn($now))->toBeFalse();
})->with([
    'an error with the right body' => [500, $answer, ['id' => 'r-1']],
    'a redirect' => [302, $answer, ['id' => 'r-1']],
    'no answer' => [0, null, ['id' => 'r-1']],
    'the answer to another read' => [200, [...$answer, 'id' => 'r-2'], ['id' => 'r-1']],
    'an answer without an id' => [200, array_diff_key($answer, ['id' => 1]), ['id' => 'r-1']],
    'an old date' => [200, [...$answer, 'answered_at' => '2020-01-01T00:00:00Z'], ['id' => 'r-1']],
    'a date in the future' => [200, [...$answer, 'answered_at' => gmdate('Y-m-d\TH:i:s\Z', (int) $now + 3_600)], ['id' => 'r-1']],
    'no date' => [200, array_diff_key($answer, ['answered_at' => 1]), ['id' => 'r-1']],
    'a text' => [200, 'on', ['id' => 'r-1']],
    'a question under nothing' => [200, $answer, []],
]);

it('goes off by an answer that it believes and that does not say on, and by one that it does not believe', function (
    int $status,
    array $heard,
) use ($now, $answer): void {
    $relay = new Interlock;
    $relay->hear(200, $answer, ['id' => 'r-1'], $now);
    $relay->hear($status, [...$answer, ...$heard], ['id' => 'r-1'], $now + 1);
    expect($relay->isOn($now + 1))->toBeFalse();
})->with([[200, ['interlock' => 'off']], [200, ['interlock' => true]], [200, ['interlock' => 'ON']], [503, []]]);

/** A port that the kernel says nobody has; one drawn at random may be the end of somebody else's connection. */
function free_port(): int
{
    $probe = stream_socket_server('tcp://127.0.0.1:0');
    $name = stream_socket_get_name($probe, false);
    fclose($probe);

    return (int) substr(strrchr($name, ':'), 1);
}

/** Runs the reader against a server that the test makes, and gives what it printed. */
function reader_against(string $server, float $seconds = 6): array
{
    $script = tempnam(sys_get_temp_dir(), 'gate');
    file_put_contents($script, "<?php\n".$server);
    $port = free_port();
    $web = proc_open(
        [PHP_BINARY, '-S', "127.0.0.1:$port", $script],
        [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']],
        $pipes,
    );
    // Slow on a machine that tests on all its processors; what never comes up would make every refusal below look right.
    for ($until = microtime(true) + 30; ($up = @fsockopen('127.0.0.1', $port)) === false && microtime(true) < $until;) {
        usleep(20_000);
    }
    expect($up)->not->toBeFalse();
    fclose($up);
    $from = microtime(true);
    $reader = proc_open(
        [PHP_BINARY, base_path('stand-ins/badge-reader/reader.php'), '--once', 'X'],
        [1 => ['pipe', 'w'], 2 => ['file', '/dev/null', 'w']],
        $out,
        null,
        ['MILLSTEP_URL' => "http://127.0.0.1:$port", 'MILLSTEP_DEVICE_TOKEN' => 't'],
    );
    $said = stream_get_contents($out[1]);
    proc_close($reader);
    $took = microtime(true) - $from;
    proc_terminate($web, SIGKILL);
    proc_close($web);
    unlink($script);

    return [$said, $took];
}

it('turns on by a proper answer, over the wire', function (): void {
    $server = '$body = json_decode(file_get_contents("php://input"), true); header("Content-Type: application/json"); '
        .'http_response_code(201);
        echo json_encode(["id" => $body["id"], "event" => "decision", "decision" => "alone", "reasons" => [],
            "interlock" => $body["intent"] === "start" && $body["request"]["material"] === "mild_steel" ? "on" : "off",
                "answered_at" => gmdate("Y-m-d\\\\TH:i:s\\\\Z")]);';
    // An answer later than three seconds is none, by the gate's own rule: a machine that is busy with other tests may be late.
    for ($read = 0, $said = ''; $read < 5 && ($said === '' || str_contains($said, 'did not answer')); $read++) {
        [$said] = reader_against($server);
    }
    expect($said)->toContain('Alone')->toContain('interlock ON');
});

it('stays off, over the wire, before', function (string $server): void {
    [$said] = reader_against($server);
    expect($said)->toContain('interlock off')->not->toContain('ON');
})->with([
    'a made-up 500 with another id and an old date' => [
        'http_response_code(500); echo json_encode(["id" => "x", "event" => "decision", "decision" => "alone", "interlock" => "on", '
            .'"reasons" => [], "answered_at" => "2020-01-01T00:00:00Z"]);',
    ],
    'a 200 with another id' => [
        'echo json_encode(["id" => "x", "event" => "decision", "decision" => "alone", "interlock" => "on", "reasons" => [], '
            .'"answered_at" => gmdate("c")]);',
    ],
    'nothing' => [''],
    'a page' => ['echo "<html>on</html>";'],
]);

it('gives up after three seconds on a server that hangs, and on one that drips', function (string $server): void {
    [$said, $took] = reader_against($server);
    expect($said)->toContain('interlock off')->and($took)->toBeLessThan(5.0);
})->with([
    'hangs' => ['sleep(8);'],
    'drips' => ['header("Content-Length: 400"); for ($i = 0; $i < 40; $i++) { echo "{"; @ob_flush(); flush(); usleep(200000); }'],
]);
