<?php

declare(strict_types=1);

// load.php URL FILE [PID OF PHP-FPM PID OF THE DATABASE]: reads badges at 40 machines, one at a time against a bare route, then so
// many a second. What is late is counted from when it was due, so that a server which falls behind shows it.

[, $url, $file] = $argv;
[$servers, $database] = [(int) ($argv[3] ?? 0), (int) ($argv[4] ?? 0)];
/** @var array{tokens: list<string>, codes: list<string>} $shop */
$shop = json_decode((string) file_get_contents($file), true, 8, JSON_THROW_ON_ERROR);
$rate = (int) (getenv('RATE') ?: 50);
$seconds = (int) (getenv('SECONDS') ?: 30);
mt_srand(7);

function uuid(): string
{
    $hex = bin2hex(random_bytes(16));

    return sprintf('%s-%s-7%s-8%s-%s', substr($hex, 0, 8), substr($hex, 8, 4), substr($hex, 13, 3), substr($hex, 17, 3), substr($hex, 20));
}

/** @param  array<string, mixed>|null  $body */
function call(string $url, ?string $token, ?array $body): CurlHandle
{
    $call = curl_init($url) ?: throw new RuntimeException;
    curl_setopt_array($call, [CURLOPT_RETURNTRANSFER => true, CURLOPT_PROXY => '', CURLOPT_TIMEOUT => 20,
        CURLOPT_HTTPHEADER => [
            'Accept: application/json',
            'Content-Type: application/json',
            'Expect:',
            ...($token === null ? [] : ["Authorization: Bearer $token"]),
        ]]
        + ($body === null ? [] : [CURLOPT_POSTFIELDS => json_encode($body, JSON_THROW_ON_ERROR)]));

    return $call;
}

const JOB = ['material' => 'mild_steel', 'thickness_mm' => 8, 'operation' => 'drill', 'diameter_mm' => 6];

/** What each machine does next: somebody comes, then goes. */
$at = array_fill(0, count($shop['tokens']), null);
$next = static function (int $machine) use (&$at, $shop): array {
    if ($at[$machine] === null) {
        do {
            $code = $shop['codes'][mt_rand(0, count($shop['codes']) - 1)];
        } while (in_array($code, $at, true));
        $at[$machine] = $code;

        return ['id' => uuid(), 'intent' => 'start', 'badge' => $code, 'request' => JOB];
    }
    [$code, $at[$machine]] = [$at[$machine], null];

    return ['id' => uuid(), 'intent' => 'finish', 'badge' => $code];
};

$say = static function (string $what, array $ms): void {
    sort($ms);
    $p = static fn (float $part): float => $ms[(int) min(count($ms) - 1, floor($part * count($ms)))];
    printf("%-34s p50 %6.1f  p95 %6.1f  p99 %6.1f  most %6.1f ms  (%d)\n", $what, $p(0.5), $p(0.95), $p(0.99), end($ms), count($ms));
};

// --- one at a time: bare and read in turn, so that both see the same machine
$times = ['bare' => [], 'up' => [], 'me' => [], 'start' => [], 'finish' => [], 'screen' => []];
$said = [];
for ($i = 0; $i < 330; $i++) {
    $machine = $i % 40;
    foreach (['bare' => call("$url/api/gate/screen", null, null), 'up' => call("$url/up", null, null), 'me' => call("$url/api/people/me",
        null, null), 'screen' => call("$url/api/gate/screen?nonce=$i", $shop['tokens'][$machine], null),
        'start' => null, 'finish' => null] as $what => $call) {
        $call ??= call("$url/api/gate/reads", $shop['tokens'][$machine], $next($machine));
        $begun = hrtime(true);
        $answer = curl_exec($call);
        $i < 30 || $times[$what][] = (hrtime(true) - $begun) / 1e6;
        if ($what === 'start' || $what === 'finish') {
            $read = json_decode((string) $answer, true);
            $key = trim(($read['decision'] ?? $read['event'] ?? 'refused').' '.implode(' ', $read['reasons'] ?? []));
            $said[$key] = ($said[$key] ?? 0) + 1;
        }
    }
}
echo "One at a time:\n";
foreach ($times as $what => $ms) {
    $say(
        [
            'bare' => 'bare route (device without a token)',
            'up' => '/up (asks the database)',
            'me' => 'bare page route (who am I, a session)',
            'start' => 'badge read that gives power',
            'finish' => 'badge read that ends a turn',
            'screen' => 'a screen\'s question',
        ][$what],
        $ms,
    );
}
$median = static function (array $ms): float {
    sort($ms);

    return $ms[intdiv(count($ms), 2)];
};
foreach (['bare', 'up', 'me'] as $against) {
    printf("a decision is %.2f times %s\n", $median($times['start']) / $median($times[$against]), $against);
}
echo 'said: '.json_encode($said)."\n";
if (($said['alone'] ?? 0) === 0) {
    fwrite(STDERR, "No read gave power: what follows would measure something else.\n");
    exit(1);
}

// --- so many a second, each when it is due; then the same with every screen asking once a second beside it
foreach ([false, true] as $screens) {
    $multi = curl_multi_init();
    $late = $asked = $open = $answers = [];
    $start = hrtime(true) + 200_000_000;
    $due = [];
    for ($n = 0; $n < $rate * $seconds; $n++) {
        $due[] = [$start + (int) ($n * 1e9 / $rate), 'read', $n % 40];
    }
    for ($second = 0; $screens && $second < $seconds; $second++) {
        for ($machine = 0; $machine < 40; $machine++) {
            $due[] = [$start + (int) (($second + $machine / 40) * 1e9), 'screen', $machine];
        }
    }
    usort($due, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
    $busy = [];
    while ($due !== [] || $open !== []) {
        while ($due !== [] && $due[0][0] <= hrtime(true)) {
            // A machine has one reader, which reads one badge at a time.
            if ($due[0][1] === 'read' && isset($busy[$due[0][2]])) {
                $skip = array_shift($due);
                $skip[2] = ($skip[2] + 13) % 40;
                for ($tries = 0; isset($busy[$skip[2]]) && $tries < 40; $tries++) {
                    $skip[2] = ($skip[2] + 1) % 40;
                }
                array_unshift($due, $skip);
                if (isset($busy[$skip[2]])) {
                    break;
                }
            }
            [$when, $what, $machine] = array_shift($due);
            $call = $what === 'read'
                ? call("$url/api/gate/reads", $shop['tokens'][$machine], $next($machine))
                : call("$url/api/gate/screen?nonce=".count($due), $shop['tokens'][$machine], null);
            curl_multi_add_handle($multi, $call);
            $open[spl_object_id($call)] = [$call, $when, $what, $machine];
            $what === 'read' && $busy[$machine] = true;
        }
        curl_multi_exec($multi, $running);
        while (($done = curl_multi_info_read($multi)) !== false) {
            [$call, $when, $what, $machine] = $open[spl_object_id($done['handle'])];
            $late[$what][] = (hrtime(true) - $when) / 1e6;
            $status = (int) curl_getinfo($call, CURLINFO_RESPONSE_CODE);
            $answers[$what.' '.$status] = ($answers[$what.' '.$status] ?? 0) + 1;
            unset($open[spl_object_id($call)]);
            curl_multi_remove_handle($multi, $call);
            if ($what === 'read') {
                unset($busy[$machine]);
            }
        }
        curl_multi_select($multi, $due === [] ? 0.01 : max(0.0, min(0.01, ($due[0][0] - hrtime(true)) / 1e9)));
    }
    printf("%d reads a second for %d s at 40 machines%s:\n", $rate, $seconds, $screens ? ', each screen asking once a second' : '');
    foreach ($late as $what => $ms) {
        $say("  $what, from when it was due", $ms);
    }
    echo '  answered: '.json_encode($answers)."\n";
}

// --- what a screen's question costs: every screen once a second and nothing beside it, half of the machines on
/** Milliseconds of processor time of a process and its children. */
$cpu = static function (int $of): float {
    $ticks = 0;
    foreach (glob('/proc/[0-9]*/stat') ?: [] as $file) {
        $stat = (string) @file_get_contents($file);
        $parts = explode(' ', substr($stat, (int) strrpos($stat, ')') + 2));
        if ((int) basename(dirname($file)) === $of || (int) ($parts[1] ?? 0) === $of) {
            $ticks += (int) ($parts[11] ?? 0) + (int) ($parts[12] ?? 0);
        }
    }

    return $ticks * 10.0;
};
foreach ($servers === 0 ? [] : [true, false] as $on) {
    foreach (array_keys($at) as $machine) {
        for ($tries = 0; $tries < 3; $tries++) {
            $is = (json_decode((string) curl_exec(call("$url/api/gate/screen?nonce=0", $shop['tokens'][$machine], null)), true)['interlock']
                ?? '') === 'on';
            $is === $on || curl_exec(call("$url/api/gate/reads", $shop['tokens'][$machine], $next($machine)));
        }
    }
    foreach ([true, false] as $warm) {
        $before = [$cpu($servers), $cpu($database)];
        $begun = hrtime(true);
        [$asked, $power] = [0, 0];
        for ($second = 0; $second < ($warm ? 3 : $seconds); $second++) {
            foreach ($shop['tokens'] as $machine => $token) {
                $wait = $begun + (int) (($second + $machine / 40) * 1e9) - hrtime(true);
                $wait > 0 && usleep(intdiv($wait, 1000));
                $answer = json_decode((string) curl_exec(call("$url/api/gate/screen?nonce=$second", $token, null)), true);
                $power += ($answer['interlock'] ?? '') === 'on' ? 1 : 0;
                $asked++;
            }
        }
        $warm || printf(
            "a screen's question, %s: php %.2f ms, database %.2f ms of processor time (%d asked, %d said on)\n",
            $on ? 'turns open' : 'machines off',
            ($cpu($servers) - $before[0]) / $asked,
            ($cpu($database) - $before[1]) / $asked,
            $asked,
            $power,
        );
    }
}
