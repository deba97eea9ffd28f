<?php

declare(strict_types=1);

// locks.php FILE: looks all the time who holds the lock that decisions wait for, and writes down for how many milliseconds each
// restriction held it. Run with the shop's environment; the database may go away and come back under it.

[, $file] = $argv;
$out = fopen($file, 'wb') ?: exit(2);
$database = null;
/** @var array<string, array{float, float}> $held first and last seen, by holder and transaction */
$held = [];
$look = "SELECT a.pid || ' ' || a.xact_start AS who FROM pg_locks l JOIN pg_stat_activity a USING (pid)
    WHERE l.locktype = 'advisory' AND l.objid = 7301156 AND l.mode = 'ExclusiveLock' AND l.granted";
while (! is_file($file.'.stop')) {
    try {
        $database ??= new PDO(
            'pgsql:host=127.0.0.1;port='.getenv('DB_PORT').';dbname=millstep;connect_timeout=2',
            'millstep_app',
            (string) getenv('DB_PASSWORD'),
        );
        $now = hrtime(true) / 1e6;
        $there = array_column($database->query($look)?->fetchAll(PDO::FETCH_ASSOC) ?: [], 'who', 'who');
    } catch (PDOException) {
        $database = null;
        usleep(100_000);

        continue;
    }
    foreach ($there as $who) {
        $held[$who] = [$held[$who][0] ?? $now, $now];
    }
    foreach (array_diff_key($held, $there) as $who => [$first, $last]) {
        // Between two looks it may have begun and ended as much earlier and later.
        fwrite($out, sprintf("%.1f\n", $last - $first));
        unset($held[$who]);
    }
    usleep(3_000);
}
