<?php

declare(strict_types=1);

use MillStep\Core\Operations;

/** Worked examples, one file an operation: numbers to 1e-6 relative or 1e-9 near 0; keys not listed are free. */
function differences(mixed $expected, mixed $found, string $path = ''): array
{
    if (is_array($expected)) {
        if (! is_array($found) || (array_is_list($expected) && count($expected) !== count($found))) {
            return [$path.': expected '.json_encode($expected).', found '.json_encode($found)];
        }
        $all = [];
        foreach ($expected as $key => $value) {
            $all = [
                ...$all,
                ...(array_key_exists($key, $found) ? differences($value, $found[$key], "$path.$key") : ["$path.$key: missing"]),
            ];
        }

        return $all;
    }
    $same = is_int($expected) || is_float($expected)
        ? (is_int($found) || is_float($found)) && (abs($expected - $found) <= 1e-6 * abs($expected) || abs($expected - $found) <= 1e-9)
        : $expected === $found;

    return $same ? [] : ["$path: expected ".json_encode($expected).', found '.json_encode($found)];
}

dataset('vectors', function (): Generator {
    // The shared ones, and those of our own that lie on the edges between two answers.
    foreach ([...glob(__DIR__.'/vectors/*.jsonl') ?: [], ...glob(__DIR__.'/cases/*.jsonl') ?: []] as $file) {
        foreach (file($file) ?: [] as $line) {
            $case = json_decode($line, true, 64, JSON_THROW_ON_ERROR);
            yield $case['id'] => [$case];
        }
    }
});

it('gives what the worked example says', function (array $case): void {
    $found = compute($case['op'], $case['input']);
    expect(differences($case['expect'], $found))->toBe([]);
})->with('vectors');

it('has a worked example for every operation but the composed ones, which have tests of their own', function (string $operation): void {
    expect(is_file(__DIR__."/vectors/$operation.jsonl") || is_file(__DIR__."/cases/$operation.jsonl"))->toBeTrue();
})->with(array_diff(array_keys(Operations::LIST), ['hole_plan', 'lathe_plan', 'layout_plan', 'setup_review']));
