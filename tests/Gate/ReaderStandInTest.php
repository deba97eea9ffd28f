<?php

declare(strict_types=1);

require_once __DIR__.'/../../stand-ins/badge-reader/Interlock.php';

use MillStep\StandIns\Interlock;

/** The relay of the shipped reader: on by nothing but a fresh, successful answer to its own question. */
$now = 1_935_000_000.0;
/** The clock that only goes forward, when it was asked; and so many seconds later. */
$asked = 77_000_000_000;
$later = static fn (float $seconds): int => 77_000_000_000 + (int) ($seconds * 1e9);
$answer = [
    'id' => 'r-1',
    'interlock' => 'on',
    'answered_at' => gmdate('Y-m-d\TH:i:s\Z', (int) $now),
    'event' => 'decision',
    'decision' => 'alone',
];

it('is on for three seconds from the question', function () use ($now, $answer, $asked, $later): void {
    $relay = new Interlock;
    expect($relay->hear(201, $answer, ['id' => 'r-1'], $asked, $now))
        ->toBeTrue()
        ->and($relay->isOn($later(2.9)))
        ->toBeTrue()
        ->and($relay->isOn($later(3.0)))
        ->toBeFalse()
        ->and($relay->deadline())
        ->toBe($later(3.0));
});

it('is never on by', function (int $status, mixed $heard, array $under) use ($now, $asked): void {
    $relay = new Interlock;
    expect($relay->hear($status, $heard, $under, $asked, $now))->toBeFalse()->and($relay->isOn($asked))->toBeFalse();
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
) use ($now, $answer, $asked, $later): void {
    $relay = new Interlock;
    $relay->hear(200, $answer, ['id' => 'r-1'], $asked, $now);
    $relay->hear($status, [...$answer, ...$heard], ['id' => 'r-1'], $later(1), $now + 1);
    expect($relay->isOn($later(1)))->toBeFalse();
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

it('has a relay with a timer of its own: off three seconds after the last answered question, whatever comes', function (): void {
    $modes = ['drips', 'drips its head', 'stalls', 'stalls within', 'goes on saying 100', 'closes', 'lies', 'answers an error'];
    $folder = sys_get_temp_dir().'/relay-'.getmypid();
    @mkdir($folder);
    $quiet = ['file', '/dev/null', 'w'];
    $started = [];
    foreach ($modes as $place => $mode) {
        $port = free_port();
        $log = "$folder/$place.log";
        file_put_contents($log, '');
        $server = proc_open([PHP_BINARY, __DIR__.'/hostile-gate.php', (string) $port, $mode, $log], [1 => $quiet, 2 => $quiet], $none);
        $started[] = [$mode, $log, $port, $server];
    }
    usleep(500_000);
    foreach ($started as $place => [$mode, $log, $port, $server]) {
        $started[$place][] = proc_open([PHP_BINARY, base_path('stand-ins/badge-reader/reader.php')],
            [0 => ['pipe', 'r'], 1 => ['file', "$log.moves", 'w'], 2 => $quiet], $pipes, null,
            ['MILLSTEP_URL' => "http://127.0.0.1:$port", 'MILLSTEP_DEVICE_TOKEN' => 't', 'MILLSTEP_RELAY_TIMES' => 'yes']);
        $started[$place][] = $pipes[0];
    }
    // Two answers a second apart, three seconds, and what a busy machine takes.
    for ($until = microtime(true) + 20; microtime(true) < $until; usleep(200_000)) {
        $offs = array_filter(
            $started,
            static fn (array $each): bool => str_contains((string) file_get_contents("$each[1].moves"), 'interlock off '),
        );
        if (count($offs) === count($modes)) {
            break;
        }
    }
    foreach ($started as [$mode, $log, $port, $server, $reader, $pipe]) {
        $came = array_map(intval(...), file($log, FILE_IGNORE_NEW_LINES) ?: []);
        preg_match_all('/interlock (ON|off) (\d+)/', (string) file_get_contents("$log.moves"), $moves, PREG_SET_ORDER);
        proc_terminate($reader, SIGKILL);
        proc_terminate($server, SIGKILL);
        fclose($pipe);
        expect(array_column($moves, 1))->toBe(['ON', 'off'], "a server that $mode");
        // The question was asked before it came; the relay looks at its clock every 20 ms.
        expect(((int) $moves[1][2] - max($came)) / 1e9)->toBeLessThan(3.05, "a server that $mode");
    }
    array_map(unlink(...), glob("$folder/*") ?: []);
    rmdir($folder);
});

it('goes off when the reader is gone, and is on for no longer than a lease whatever it is told', function (): void {
    $relay = static function (string $told): string {
        $process = proc_open([PHP_BINARY, base_path('stand-ins/badge-reader/relay.php')], [['pipe', 'r'], ['pipe', 'w']], $pipes);
        fwrite($pipes[0], $told);
        usleep(400_000);
        fclose($pipes[0]);
        $said = (string) stream_get_contents($pipes[1]);
        proc_close($process);

        return (string) preg_replace('/\s+/', ' ', $said);
    };
    expect($relay((hrtime(true) + 2_500_000_000)."\n"))->toBe(' interlock ON interlock off ')
        ->and($relay((hrtime(true) + 60_000_000_000)."\n"))->toBe('')
        ->and($relay("99999999999999999999999999\n"))->toBe('')
        ->and($relay("on\n"))->toBe('');
});
