<?php

declare(strict_types=1);

// kill.php URL RUN KILLS SEED: ends a part of the shop outright, waits until all is well again, and says how long that took.

[, $url, $run, $kills, $seed] = $argv;
$random = new Random\Randomizer(new Random\Engine\Mt19937((int) $seed));

/** @return list<int> */
function children(int $of): array
{
    return array_map(intval(...), array_filter(explode("\n", (string) shell_exec("pgrep -P $of"))));
}

/** Processes of the shop by what they are: found by its own numbers, never by a name that others may have too. */
function parts(string $run): array
{
    $master = static fn (string $service): array => is_file("$run/services/$service/group")
        ? [(int) file_get_contents("$run/services/$service/group")]
        : [];
    $watcher = (int) file_get_contents("$run/runsvdir.pid");

    return [
        'database' => $master('database'),
        'a connection' => array_merge(...array_map(children(...), $master('database'))),
        'php-fpm' => $master('php'),
        'a web worker' => array_merge(...array_map(children(...), $master('php'))),
        'nginx' => $master('web'),
        'nginx\'s worker' => array_merge(...array_map(children(...), $master('web'))),
        'the queue' => $master('queue'),
        'the scheduler' => $master('schedule'),
        'a part\'s watcher' => children($watcher),
        'the watcher' => [$watcher],
    ];
}

function is_well(string $url, string $run): bool
{
    $call = curl_init("$url/up");
    curl_setopt_array($call, [CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 2, CURLOPT_PROXY => '']);
    curl_exec($call);
    if (curl_getinfo($call, CURLINFO_RESPONSE_CODE) !== 200) {
        return false;
    }
    foreach (['database', 'php', 'web', 'queue', 'schedule'] as $service) {
        $group = "$run/services/$service/group";
        if (! is_file($group) || ! is_dir('/proc/'.(int) file_get_contents($group))) {
            return false;
        }
    }

    return true;
}

$took = [];
for ($n = 0; $n < (int) $kills; $n++) {
    $parts = array_filter(parts($run));
    $names = array_keys($parts);
    $name = $names[$random->getInt(0, count($names) - 1)];
    $pid = $parts[$name][$random->getInt(0, count($parts[$name]) - 1)];
    usleep($random->getInt(10_000, 400_000));
    posix_kill($pid, SIGKILL);
    $begun = microtime(true);
    usleep(20_000);
    while (! is_well($url, $run)) {
        if (microtime(true) - $begun > 60) {
            fwrite(STDERR, "After $name ($pid) was killed the shop did not come back within a minute.\n");
            exit(1);
        }
        usleep(50_000);
    }
    $took[$name][] = microtime(true) - $begun;
    if (($n + 1) % 100 === 0) {
        printf("%d kills\n", $n + 1);
    }
}
ksort($took);
foreach ($took as $name => $seconds) {
    sort($seconds);
    printf(
        "%-18s %4d times, well again after %.1f s in the middle, %.1f s at most\n",
        $name,
        count($seconds),
        $seconds[intdiv(count($seconds), 2)],
        end($seconds),
    );
}

// php-fpm itself, outright, while every worker of it is busy: those that it leaves behind must not keep the next one away.
$stop = "$run/soak.load.stop";
$load = proc_open(['php', __DIR__.'/load.php', $url, $stop], [], $pipes);
sleep(1);
$away = [];
for ($n = 0; $n < ($kills >= 200 ? 20 : 5); $n++) {
    $pid = parts($run)['php-fpm'][0];
    posix_kill($pid, SIGKILL);
    $begun = microtime(true);
    usleep(20_000);
    while (! is_well($url, $run) || parts($run)['php-fpm'][0] === $pid) {
        if (microtime(true) - $begun > 60) {
            break;
        }
        usleep(20_000);
    }
    $away[] = microtime(true) - $begun;
    usleep(500_000);
}
touch($stop);
is_resource($load) && proc_close($load);
printf("php-fpm killed %d times with every worker busy: answers again after %.1f s at most\n", count($away), max($away));
// A short run stands beside other work, and only tells seconds from minutes.
if (max($away) > ($kills >= 200 ? 5.0 : 20.0)) {
    fwrite(STDERR, "php-fpm stayed away for too long.\n");
    exit(1);
}
