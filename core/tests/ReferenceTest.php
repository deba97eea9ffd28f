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
        ->and(fn () => MaterialTable::shipped()->get('cheese'))->toThrow(MillStep\Core\Exception\InvalidInput::class);
});
