<?php

declare(strict_types=1);

/** @return array{int, string} */
function runCompute(string $arguments, string $input): array
{
    $process = proc_open(
        PHP_BINARY.' '.dirname(__DIR__, 2).'/bin/compute '.$arguments,
        [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
        $pipes,
    );
    fwrite($pipes[0], $input);
    fclose($pipes[0]);
    $output = stream_get_contents($pipes[1]);
    $errors = stream_get_contents($pipes[2]);

    return [proc_close($process), $output.$errors];
}

it('answers one operation and exits 0', function (): void {
    [$exit, $output] = runCompute('drill_point', '{"diameter_mm": 10, "point_angle_deg": 90}');
    expect($exit)->toBe(0)->and(json_decode($output, true))->toBe(['point_length_mm' => 5.0]);
});

it('answers an error object and exits 1', function (string $operation, string $input, string $code): void {
    [$exit, $output] = runCompute($operation, $input);
    expect($exit)->toBe(1)->and(json_decode($output, true)['error']['code'])->toBe($code);
})->with([
    'unknown operation' => ['mill_a_slot', '{}', 'unknown_op'],
    'no JSON' => ['drill_point', 'not json', 'invalid_input'],
    'a list' => ['drill_point', '[]', 'invalid_input'],
    'nothing' => ['drill_point', '', 'invalid_input'],
    'infinity' => ['drill_point', '{"diameter_mm": 1e999, "point_angle_deg": 90}', 'invalid_input'],
    'nothing to tell from zero' => ['drill_point', '{"diameter_mm": 1e-14, "point_angle_deg": 90}', 'invalid_input'],
    'a point that never ends' => ['drill_point', '{"diameter_mm": 1e5, "point_angle_deg": 0.000001}', 'impossible'],
]);

it('survives a megabyte of junk', function (): void {
    [$exit, $output] = runCompute('parse_size', random_bytes(1_000_000));
    expect($exit)->toBe(1)->and(json_decode($output, true)['error']['code'])->toBe('invalid_input');
    [$exit, $output] = runCompute('parse_size', json_encode(['text' => str_repeat('9', 1_000_000)]));
    expect($exit)->toBe(1)->and(json_decode($output, true)['error']['field'])->toBe('text');
});

it('lets one bad line of a batch spoil only itself', function (): void {
    [$exit, $output] = runCompute('--batch', implode("\n", [
        '{"id": 1, "op": "drill_point", "input": {"diameter_mm": 10, "point_angle_deg": 90}}',
        'junk',
        '{"id": 3, "op": "drill_point", "input": {"diameter_mm": 20, "point_angle_deg": 90}}',
    ]));
    $lines = array_map(static fn (string $line): array => json_decode($line, true), explode("\n", trim($output)));
    expect($exit)->toBe(0)->and($lines[0]['result']['point_length_mm'])->toBe(5.0)
        ->and($lines[1])->toMatchArray(['id' => null])->and($lines[1]['error']['code'])->toBe('invalid_input')
        ->and($lines[2]['id'])->toBe(3);
});

it('exits 2 on unusable arguments', function (string $arguments): void {
    expect(runCompute($arguments, '{}')[0])->toBe(2);
})->with(['', '--no-such-flag', 'drill_point twice']);
