<?php

declare(strict_types=1);

use MillStep\Core\Reference\BrokenTable;
use MillStep\Core\Reference\Row;
use MillStep\Core\Reference\Table;
use MillStep\Core\Workshop\MaterialTable;

it('names file, line and column of a broken row', function (string $csv, string $words): void {
    $path = sys_get_temp_dir().'/mill-step-table-'.getmypid().'.csv';
    file_put_contents($path, $csv);
    try {
        expect(fn () => Table::read($path, ['name', 'size'])->map(fn (Row $row) => [$row->text('name'), $row->positive('size')]))
            ->toThrow(BrokenTable::class, $words);
    } finally {
        unlink($path);
    }
})->with([
    'no number' => ["name,size\na,1\nb,wide\n", 'line 3, column size: "wide" is no number'],
    'zero' => ["name,size\na,0\n", 'line 2, column size: 0 is not greater than 0'],
    'empty' => ["name,size\n,1\n", 'line 2, column name: is empty'],
    'short row' => ["name,size\na\n", 'line 2'],
    'no column' => ["name\na\n", 'line 1, column size'],
]);

it('reads every material of the shipped table', function (): void {
    expect(MaterialTable::shipped()->all())->toHaveCount(20)
        ->and(MaterialTable::shipped()->get('acrylic')->needsZeroRake)->toBeTrue()
        ->and(fn () => MaterialTable::shipped()->get('cheese'))->toThrow(MillStep\Core\Border\InvalidInput::class);
});

it('loads every shipped table, each of its rows checked', function (callable $load, int $rows): void {
    expect($load())->toHaveCount($rows);
})->with([
    'feeds' => [fn (): array => array_merge(...array_values(MillStep\Core\Planning\Cutting\FeedTable::bands())), 63],
    'limits' => [fn (): array => array_merge(...array_values(MillStep\Core\Measure\FitTable::bands())), 42],
    'tapers' => [fn (): array => MillStep\Core\Reference\MorseTaper::drills(), 7],
    'taps' => [fn (): array => MillStep\Core\Reference\TapType::all(), 7],
    'centre drills' => [fn (): array => MillStep\Core\Reference\StandardCentreDrill::all(), 20],
    'holding' => [fn (): array => MillStep\Core\Workshop\Holding\Workholding::all(), 16],
    'reamers by machine' => [fn (): array => MillStep\Core\Planning\Ream\ReamAllowance::shipped('machine'), 5],
    'reamers by hand' => [fn (): array => MillStep\Core\Planning\Ream\ReamAllowance::shipped('hand'), 5],
    'doubts' => [fn (): array => MillStep\Core\Reference\Uncertainty::marks(), 66],
]);

it('names only rows and columns that the tables have', function (): void {
    foreach (MillStep\Core\Reference\Uncertainty::marks() as $mark) {
        $lines = array_map(
            static fn (string $line): array => str_getcsv($line, escape: ''),
            file(__DIR__.'/../data/'.$mark['file'], FILE_IGNORE_NEW_LINES) ?: [],
        );
        $header = array_shift($lines);
        $columns = array_filter(
            $header,
            static fn (string $column): bool => array_filter(
                $mark['columns'],
                static fn (string $pattern): bool => fnmatch($pattern, $column),
            ) !== [],
        );
        expect($columns)->not->toBe([], "{$mark['file']}: ".implode('|', $mark['columns']));
    }
});

it('says what is known against a figure, and nothing where nothing is', function (
    string $file,
    string $row,
    string $column,
    ?string $words,
): void {
    $found = MillStep\Core\Reference\Uncertainty::of($file, $row, $column);
    expect($found?->code)->toBe($words === null ? null : "reference.unsure.$words");
})->with([
    ['materials.csv', 'nylon', 'hss_drilling_speed_teach_m_min', 'materials_5'],
    ['materials.csv', 'mild_steel', 'hss_drilling_speed_teach_m_min', null],
    ['materials.csv', 'bronze', 'specific_cutting_force_kc_N_mm2', 'materials_3'],
    ['feeds.csv', '5-8 wood', 'feed_mm_rev', 'feeds_1'],
    ['centre_drills.csv', 'inch #3', 'recommended_work_diameter_min_mm', 'centre_drills_2'],
    ['threads.csv', '9/16-18 UNF', 'usual_tap_drill', 'threads_5'],
    ['threads.csv', 'M6x1', 'clearance_normal_mm', null],
]);

it('knows limits by class and size, and what lies beyond them', function (): void {
    $limits = MillStep\Core\Measure\FitTable::limits('H7', MillStep\Core\Border\Length::mm(10));
    expect($limits->lower->inMm())->toBe(10.0)->and($limits->upper->inMm())->toBe(10.015)
        ->and(MillStep\Core\Measure\FitTable::limits('H7', MillStep\Core\Border\Length::mm(10.001))->upper->inMm())->toBe(10.019)
        ->and(MillStep\Core\Measure\FitTable::limits('g6', MillStep\Core\Border\Length::mm(3))->upper->inMm())->toBe(2.998)
        ->and(fn () => MillStep\Core\Measure\FitTable::limits('H7', MillStep\Core\Border\Length::mm(60)))
        ->toThrow(MillStep\Core\Border\NoCandidate::class);
});

it('keeps the threads\' own columns true to each other', function (): void {
    $lines = array_map(
        static fn (string $line): array => str_getcsv($line, escape: ''),
        file(__DIR__.'/../data/threads.csv', FILE_IGNORE_NEW_LINES) ?: [],
    );
    $header = array_shift($lines);
    foreach ($lines as $cells) {
        $row = array_combine($header, $cells);
        $percent = 100 * ($row['major_mm'] - $row['usual_tap_drill_mm']) / (1.299038 * $row['pitch_mm']);
        expect($percent)->toEqualWithDelta((float) $row['thread_percent'], 0.1, $row['designation'])
            ->and((float) $row['major_in'] * 25.4)->toEqualWithDelta((float) $row['major_mm'], 1e-4, $row['designation']);
        if ($row['clearance_normal_mm'] !== '') {
            expect((float) $row['clearance_close_mm'])
                ->toBeGreaterThan((float) $row['major_mm'])
                ->toBeLessThan((float) $row['clearance_normal_mm'])
                ->and((float) $row['clearance_normal_mm'])->toBeLessThan((float) $row['clearance_loose_mm']);
        }
    }
});
