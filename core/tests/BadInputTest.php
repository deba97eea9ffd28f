<?php

declare(strict_types=1);

/**
 * Whatever is done to a good input, the answer is an answer or an error object: never a PHP exception, never
 * a number that is none. Each worked example is spoilt in every place, in every way.
 */
dataset('good inputs', function (): Generator {
    $seen = [];
    foreach (glob(__DIR__.'/vectors/*.jsonl') ?: [] as $file) {
        foreach (file($file) ?: [] as $line) {
            $case = json_decode($line, true, 64, JSON_THROW_ON_ERROR);
            if (isset($case['expect']['error']) || ($seen[$case['op']] ?? 0) >= 2) {
                continue;
            }
            $seen[$case['op']] = ($seen[$case['op']] ?? 0) + 1;
            yield $case['id'] => [$case['op'], $case['input']];
        }
    }
});

const CODES = ['invalid_input', 'no_candidate', 'impossible'];

/** @return list<mixed> every number of an answer, however deep */
function numbersOf(mixed $value): array
{
    return is_array($value) ? array_merge([], ...array_map(numbersOf(...), array_values($value))) : [$value];
}

it('refuses a missing or misshapen key by its name, or does without it', function (string $operation, array $input): void {
    foreach (array_keys($input) as $key) {
        foreach ([null, 'text', [], true, INF, -INF, NAN, ['a' => 1], -1, 0, 1e300, -1e-300] as $spoilt) {
            $answer = compute($operation, [...$input, $key => $spoilt]);
            if (isset($answer['error'])) {
                expect($answer['error']['code'])->toBeIn(CODES)
                    ->and($answer['error']['message']['code'])->toBeString()->not->toBe('');
            } else {
                foreach (numbersOf($answer) as $number) {
                    expect(! is_float($number) || is_finite($number))->toBeTrue("$operation.$key");
                }
            }
        }
    }
})->with('good inputs');

it('names the key that is missing', function (string $operation, array $input): void {
    foreach (array_keys($input) as $key) {
        $without = $input;
        unset($without[$key]);
        $answer = compute($operation, $without);
        expect($answer)->toBeArray();
        if (($answer['error']['code'] ?? null) === 'invalid_input') {
            // Of two keys that stand for each other the first is asked for.
            expect($answer['error']['field'])->toBeIn([$key, 'speeds_rpm', 'min_rpm', 'max_rpm']);
        }
    }
})->with('good inputs');

it('takes no text for a number, however numeric it looks', function (string $operation, array $input): void {
    expect($input)->not->toBe([]);
    foreach ($input as $key => $value) {
        if (is_int($value) || is_float($value)) {
            $answer = compute($operation, [...$input, $key => (string) $value]);
            // A key that this operation does not read may hold anything.
            if ($answer !== compute($operation, $input)) {
                expect($answer['error'] ?? [])->toMatchArray(['code' => 'invalid_input', 'field' => $key]);
            }
        }
    }
})->with('good inputs');

it('does not mind what it does not know', function (string $operation, array $input): void {
    expect(compute($operation, [...$input, 'colour' => 'blue', 'nested' => ['x' => [1]]]))->toBe(compute($operation, $input));
})->with('good inputs');
