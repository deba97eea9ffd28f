<?php

declare(strict_types=1);

it('never takes more bars than one piece a bar, nor fewer than the bound', function (): void {
    foreach (draws(40, 20, 480, 7) as $seed => $first) {
        $lengths = array_map(static fn (float $length): float => round($length), [$first, ...draws(11, 20, 480, 100 + $seed)]);
        $plan = compute(
            'cut_list',
            [
                'bar_length_mm' => 500,
                'kerf_mm' => 2,
                'pieces' => array_map(static fn (float $length): array => ['length_mm' => $length, 'quantity' => 1], $lengths),
            ],
        );
        $cut = array_merge(...$plan['layout']);
        sort($cut);
        sort($lengths);
        expect($plan['bars'])->toBeGreaterThanOrEqual($plan['lower_bound'])->toBeLessThanOrEqual(count($lengths))
            ->and($cut)->toEqual($lengths)->and($plan['layout'])->toHaveCount($plan['bars']);
        foreach ($plan['layout'] as $bar) {
            expect(array_sum($bar) + 2 * (count($bar) - 1))->toBeLessThanOrEqual(500.0005);
        }
    }
});

it('finds the least number of bars where trying everything says what that is', function (): void {
    // Every way to spread a few pieces over bars, one after the other.
    $least = function (array $pieces, array $bars, float $room) use (&$least): int {
        if ($pieces === []) {
            return count($bars);
        }
        $piece = array_shift($pieces);
        $best = PHP_INT_MAX;
        foreach ([...array_keys($bars), count($bars)] as $bar) {
            if (($bars[$bar] ?? 0) + $piece <= $room + 1e-9) {
                $best = min(
                    $best,
                    $least($pieces, [...array_slice($bars, 0, $bar), ($bars[$bar] ?? 0) + $piece, ...array_slice($bars, $bar + 1)], $room),
                );
            }
        }

        return $best;
    };
    foreach (range(1, 40) as $seed) {
        $lengths = array_map(static fn (float $length): float => round($length), draws(7, 80, 300, $seed));
        $plan = compute(
            'cut_list',
            [
                'bar_length_mm' => 500,
                'kerf_mm' => 3,
                'pieces' => array_map(static fn (float $length): array => ['length_mm' => $length, 'quantity' => 1], $lengths),
            ],
        );
        expect($plan['bars'])->toBe(
            $least(array_map(static fn (float $length): float => $length + 3, $lengths), [], 503),
            implode(',', $lengths),
        );
    }
});

it('finds the cut that fills every bar to the end, however well it is hidden', function (): void {
    // Sixty pieces made by cutting twenty bars in three: twenty bars are enough, and nothing may be wasted.
    foreach (range(1, 3) as $seed) {
        $lengths = [];
        foreach (draws(20, 380, 490, $seed) as $i => $first) {
            $first = round($first);
            $second = round((1000 - $first) / 2 - 3 * $i);
            array_push($lengths, $first, $second, 1000 - $first - $second);
        }
        $plan = compute(
            'cut_list',
            [
                'bar_length_mm' => 1000,
                'kerf_mm' => 0,
                'pieces' => array_map(static fn (float $length): array => ['length_mm' => $length, 'quantity' => 1], $lengths),
            ],
        );
        expect($plan)->toMatchArray(['bars' => 20, 'lower_bound' => 20])->and($plan['waste_mm'])->toEqualWithDelta(0, 1e-6);
    }
});

it('packs long lists within one bar of the bound', function (float $from, float $to, int $kinds, int $each): void {
    foreach (range(1, 6) as $seed) {
        $pieces = array_map(
            static fn (float $length): array => ['length_mm' => round($length), 'quantity' => $each],
            draws($kinds, $from, $to, $seed),
        );
        $plan = compute('cut_list', ['bar_length_mm' => 1000, 'kerf_mm' => 2, 'pieces' => $pieces]);
        expect($plan['bars'])->toBeLessThanOrEqual($plan['lower_bound'] + 1)->and($plan['layout'])->toHaveCount($plan['bars']);
        $cut = array_merge(...$plan['layout']);
        $wanted = array_merge(...array_map(static fn (array $piece): array => array_fill(0, $each, $piece['length_mm']), $pieces));
        sort($cut);
        sort($wanted);
        expect($cut)->toEqual($wanted);
        foreach ($plan['layout'] as $bar) {
            expect(array_sum($bar) + 2 * (count($bar) - 1))->toBeLessThanOrEqual(1000.0005);
        }
    }
})->with([
    'short pieces of few lengths' => [30, 220, 6, 25],
    'up to a third of the bar' => [100, 340, 9, 11],
    'each another length' => [60, 400, 90, 1],
    'more lengths than the fractional cut takes' => [20, 200, 140, 1],
]);

it('finds the cut of a long list that fills every bar to the end', function (int $seed): void {
    // Nine ways to cut a bar in three, each for six to twelve bars: first fit takes two to five bars more.
    $pieces = [];
    $bars = 0;
    foreach (array_map(null, draws(9, 250, 450, $seed), draws(9, 1, 100, $seed + 50), draws(9, 6, 12, $seed + 90)) as [$first, $less,
        $times]) {
        $first = round($first);
        $second = round((1000 - $first) / 2 - $less);
        foreach ([$first, $second, 1000 - $first - $second] as $length) {
            $pieces[] = ['length_mm' => $length, 'quantity' => (int) round($times)];
        }
        $bars += (int) round($times);
    }
    $plan = compute('cut_list', ['bar_length_mm' => 1000, 'kerf_mm' => 0, 'pieces' => $pieces]);
    expect($plan)->toMatchArray(['bars' => $bars, 'lower_bound' => $bars])->and($plan['waste_mm'])->toEqualWithDelta(0, 1e-6);
})->with(range(1, 8));

it('builds no stack longer than another that exists, checked against all of them', function (): void {
    $available = [1, 1.5, 2, 3, 4, 5, 8, 10, 12, 20];
    foreach (range(1, 45) as $height) {
        $shortest = null;
        for ($mask = 1; $mask < 1 << count($available); $mask++) {
            $chosen = array_values(array_filter($available, static fn (int $i): bool => (bool) ($mask >> $i & 1), ARRAY_FILTER_USE_KEY));
            if (count($chosen) <= 4 && abs(array_sum($chosen) - $height) < 1e-9) {
                $shortest = min($shortest ?? 9, count($chosen));
            }
        }
        $stack = compute('parallel_stack', ['height_mm' => $height, 'available' => $available]);
        expect(isset($stack['error']) ? null : count($stack['pieces']))->toBe($shortest, "height $height");
    }
});

it('prefers the smaller error, then the larger largest piece', function (): void {
    expect(compute('parallel_stack', ['height_mm' => 10, 'available' => [4, 6, 3, 7], 'tolerance_mm' => 0])['pieces'])->toEqual([7, 3])
        ->and(compute('parallel_stack', ['height_mm' => 10, 'available' => [9.8, 10.1], 'tolerance_mm' => 0.5])['pieces'])->toEqual([10.1]);
});

it('turns a travel and back by whole divisions only', function (): void {
    foreach (draws(200, -20, 20, 3) as $travel) {
        foreach ([0.01, 0.02, 0.0254] as $graduation) {
            foreach (['nearest' => [-0.5, 0.5], 'up' => [0, 1], 'down' => [-1, 0]] as $rounding => [$least, $most]) {
                $move = compute(
                    'dial_move',
                    ['travel_mm' => $travel, 'graduation_mm' => $graduation, 'divisions_per_turn' => 100, 'rounding' => $rounding],
                );
                expect($move['error_mm'])
                    ->toBeGreaterThanOrEqual($least * $graduation - 1e-6)
                    ->toBeLessThanOrEqual($most * $graduation + 1e-6)
                    ->and($move['turns'] * 100 + $move['remainder_divisions'])->toBe($move['divisions']);
            }
        }
    }
});

it('pecks to the depth exactly, never deeper at once than the ratio', function (): void {
    foreach (draws(60, 1, 200, 9) as $depth) {
        $plan = compute('peck_plan', ['diameter_mm' => 6, 'depth_mm' => $depth, 'start_reading_mm' => 10]);
        $depths = array_column($plan['pecks'], 'to_depth_mm');
        expect(end($depths))->toEqual($depth)->and($plan['needed'])->toBe($depth > 18);
        foreach ($depths as $i => $to) {
            expect($to - ($depths[$i - 1] ?? 0))->toBeLessThanOrEqual(($i === 0 ? 18 : 6) + 1e-9)
                ->and($plan['pecks'][$i]['reading_mm'])->toEqualWithDelta($to + 10, 1e-9);
        }
    }
});

it('refuses what would never end', function (string $operation, array $input, string $field): void {
    expect(compute($operation, $input)['error'])->toMatchArray(['code' => 'invalid_input', 'field' => $field]);
})->with([
    ['peck_plan', ['diameter_mm' => 1, 'depth_mm' => 1e5, 'next_ratio' => 1e-3], 'next_ratio'],
    ['hole_line', ['length_mm' => 1e5, 'pitch_mm' => 1e-3, 'mode' => 'from_centre', 'hole_mm' => 1], 'pitch_mm'],
    ['turning_passes', ['start_mm' => 1e5, 'finish_mm' => 1, 'max_cut_mm' => 1e-3, 'finish_cut_mm' => 0], 'max_cut_mm'],
    ['cut_list', ['bar_length_mm' => 1000, 'kerf_mm' => 1, 'pieces' => [['length_mm' => 1, 'quantity' => 999_999]]], 'pieces'],
]);
