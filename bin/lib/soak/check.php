<?php

declare(strict_types=1);

// check.php ANSWERED SEEN: holds what was answered and what the relay did against the database.

use App\Competency\Permit;
use App\Gate\MachineSession;
use Illuminate\Support\Facades\DB;

require __DIR__.'/../../../vendor/autoload.php';
(require __DIR__.'/../../../bootstrap/app.php')->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
[, $answeredFile, $seenFile] = $argv;
/** @return iterable<array<string, mixed>> */
$lines = static function (string $file): iterable {
    foreach (file($file, FILE_IGNORE_NEW_LINES) ?: [] as $line) {
        yield json_decode($line, true, 64, JSON_THROW_ON_ERROR);
    }
};
$faults = [];
$count = ['line' => 0, 'read' => 0, 'refused' => 0];
foreach ($lines($answeredFile) as $one) {
    if ($one['status'] >= 300) {
        $count['refused']++;

        continue;
    }
    $count[$one['kind']]++;
    $there = DB::table($one['kind'] === 'line' ? 'competency_ledger' : 'gate_reads')->where('id', $one['id'])->count();
    $there === 1 || $faults[] = "{$one['kind']} {$one['id']} was answered with {$one['status']} and is there $there times";
    if ($one['kind'] === 'line' && ($one['answer']['hash'] ?? null) !== DB::table('competency_ledger')->where('id',
        $one['id'])->value('hash')) {
        $faults[] = "line {$one['id']} has another hash than was answered";
    }
}
// A turn and its minutes are written together, for each permit that it was worked under, or not at all.
foreach (MachineSession::query()->with('machine.permits')->whereNotNull('ended_at')
    ->where('started_at', '>', now()->subDay())->get() as $turn) {
    $wanted = array_map(static fn (Permit $permit): int => $permit->id, [...Permit::workedUnder($turn->machine, $turn->request)]);
    $written = DB::table('competency_ledger')->where('type', 'machine_time')->where('data->session', $turn->id)->pluck('permit_id')->all();
    sort($wanted);
    sort($written);
    $wanted === $written || $faults[] = "turn {$turn->id} was ended without its minutes, or with them twice";
}
$turns = DB::table('gate_sessions')->get()->keyBy('id');
// When the relay moved, and when the last question was asked that had been answered in full by then.
$moves = [];
foreach (file($seenFile.'.relay', FILE_IGNORE_NEW_LINES) ?: [] as $move) {
    if (preg_match('/interlock (ON|off) (\d+)$/', $move, $found) === 1) {
        $moves[] = [$found[1], (int) $found[2]];
    }
}
$answeredAt = [];
foreach ($lines($seenFile) as $one) {
    $answeredAt[] = [$one['asked_ns'], $one['answered_ns']];
}
$longest = 0.0;
foreach ($moves as $place => [$move, $at]) {
    if ($move !== 'ON') {
        continue;
    }
    $ends = $moves[$place + 1][1] ?? null;
    if ($ends === null) {
        continue;
    }
    $asked = 0;
    foreach ($answeredAt as [$question, $answered]) {
        $asked = $question <= $ends ? max($asked, $answered) : $asked;
    }
    $longest = max($longest, ($ends - $asked) / 1e9);
}
$longest > 3.05 && $faults[] = sprintf('the relay was on %.2f s after the last question that was answered', $longest);
printf("The relay moved %d times, and was on for %.2f s at most after the last question that was answered was asked.\n", count($moves), $longest);
$seen = $on = $silent = 0;
foreach ($lines($seenFile) as $one) {
    $seen++;
    $silent += $one['silent_s'] > 0.6 ? 1 : 0;
    if (! $one['on']) {
        continue;
    }
    $on++;
    if ($one['silent_s'] > 3.0) {
        $faults[] = sprintf('the relay was on %.1f s after the last answer', $one['silent_s']);
    }
    $turn = $turns[$one['turn'] ?? ''] ?? null;
    $ended = $turn?->ended_at === null ? null : (float) (new DateTimeImmutable($turn->ended_at))->format('U.u');
    if ($one['turn'] !== null && ($turn === null || ($ended !== null && $ended < $one['asked'] - 0.05))) {
        $faults[] = 'the relay was on for a turn that was over or never there: '.$one['turn'];
    }
}
printf(
    '%d ledger lines and %d reads were answered and are there once, %d refusals; the relay asked %d times, was on %d times, and was '
        ."without an answer %d times\n",
    $count['line'], $count['read'], $count['refused'], $seen, $on, $silent,
);
// How long restrictions held the lock that every decision waits for.
$held = array_map(floatval(...), file($argv[3] ?? '/dev/null', FILE_IGNORE_NEW_LINES) ?: []);
sort($held);
if ($held !== []) {
    $p99 = $held[(int) min(count($held) - 1, floor(0.99 * count($held)))];
    printf("%d restrictions held the lock for %.0f ms in the middle, %.0f ms at p99, %.0f ms at most.\n", count($held),
        $held[intdiv(count($held), 2)], $p99, end($held));
    // Of a few the worst is no p99.
    count($held) >= 100 && $p99 > 500 && $faults[] = sprintf('a restriction kept decisions waiting for %.0f ms', $p99);
}
foreach ($faults as $fault) {
    echo "✗ $fault\n";
}
exit($faults === [] && $count['line'] > 0 && $on > 0 ? 0 : 1);
