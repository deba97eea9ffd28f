<?php

declare(strict_types=1);

// bin/bench core: how fast the core is here, and how the two searching operations grow with their input.
// Figures of one run belong together; other runs and machines differ, so compare within a run only.

use MillStep\Core\Operations;

require __DIR__.'/../../../core/autoload.php';

$lines = [];
foreach (glob(__DIR__.'/../../../core/tests/vectors/*.jsonl') ?: [] as $file) {
    array_push($lines, ...(file($file) ?: []));
}
$many = '';
$count = 0;
while ($count < 6000) {
    $many .= implode('', $lines);
    $count += count($lines);
}
$input = tempnam(sys_get_temp_dir(), 'bench');
file_put_contents($input, $many);
$start = hrtime(true);
exec(escapeshellarg(PHP_BINARY).' '.escapeshellarg(__DIR__.'/../../compute').' --batch < '.escapeshellarg($input).' > /dev/null');
$seconds = (hrtime(true) - $start) / 1e9;
unlink($input);
printf(
    "batch: %d mixed worked examples in %.2f s with start-up = %s a minute\n",
    $count,
    $seconds,
    number_format(60 * $count / $seconds, 0, '.', ' '),
);

$cpu = static function (callable $work, int $times): float {
    $work();
    $before = getrusage();
    for ($i = 0; $i < $times; $i++) {
        $work();
    }
    $after = getrusage();
    $spent = static fn (string $which): float => $after["ru_$which.tv_sec"] - $before["ru_$which.tv_sec"]
        + ($after["ru_$which.tv_usec"] - $before["ru_$which.tv_usec"]) / 1e6;

    return 1000 * ($spent('utime') + $spent('stime')) / $times;
};
$drills = array_map(static fn (int $i): array => ['designation' => (string) ($i / 10), 'diameter_mm' => $i / 10], range(10, 130));
$plan = [
    'material' => 'mild_steel',
    'thickness_mm' => 20,
    'hole' => ['purpose' => 'tapped', 'thread' => 'M10', 'through' => true],
    'machine' => ['speeds_rpm' => [280, 500, 850, 1400, 2500]],
    'crib' => ['drills' => $drills],
    'policy' => ['pilot_school' => 'stepped'],
];
printf("hole_plan: %.2f ms of CPU, warm, 121 drills\n", $cpu(static fn () => Operations::compute('hole_plan', $plan), 300));

$random = new Random\Randomizer(new Random\Engine\Mt19937(1));
foreach ([10, 20, 40, 60, 120, 240, 480] as $size) {
    $pieces = [];
    for ($i = 0; $i < $size; $i++) {
        $pieces[] = ['length_mm' => $random->getInt(40, 700), 'quantity' => 1];
    }
    $input = ['bar_length_mm' => 1000, 'kerf_mm' => 2, 'pieces' => $pieces];
    printf(
        "cut_list: %3d different pieces %9.2f ms, %d bars of at least %d\n",
        $size,
        $cpu(static fn () => Operations::compute('cut_list', $input), 1),
        ($answer = Operations::compute('cut_list', $input)->toArray())['bars'],
        $answer['lower_bound'],
    );
}
foreach ([10, 20, 40, 80] as $size) {
    $available = array_map(static fn (int $i): float => 1 + 0.37 * $i, range(1, $size));
    $input = ['height_mm' => array_sum(array_slice($available, 0, 4)) + 0.11, 'available' => $available, 'tolerance_mm' => 0.001];
    $nothing = static function () use ($input): void {
        try {
            Operations::compute('parallel_stack', $input);
        } catch (MillStep\Core\Border\NoCandidate) {
            // The longest search is the one that finds nothing.
        }
    };
    printf("parallel_stack: %2d parallels, up to 4, none fits %9.2f ms\n", $size, $cpu($nothing, 3));
}
