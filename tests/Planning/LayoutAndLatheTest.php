<?php

declare(strict_types=1);

use Illuminate\Testing\TestResponse;

/** @param  array<string, mixed>  $with */
function lay($test, array $with = [], string $path = ''): TestResponse
{
    return $test->postJson(
        "/api/planning/layout$path",
        [
            ...[
                'length' => '100', 'width' => '80', 'hole' => '9', 'datum' => 'corner', 'pattern' => 'rectangle',
                'by' => 'count', 'count' => 2, 'rows' => 2, 'inset' => '15', 'inset_y' => '15', 'middle' => true,
                'setting' => 'stack', 'crib' => 'marking-out',
            ],
            ...$with,
        ],
    );
}

/** @param  array<string, mixed>  $with */
function turn($test, array $with = [], string $path = ''): TestResponse
{
    return $test->postJson(
        "/api/planning/lathe$path",
        [
            ...[
                'machine' => 'inch-lathe', 'cribs' => ['metric-half', 'centre-drills'], 'material' => 'nylon',
                'bar' => '28', 'thickness' => '5', 'outside' => '26', 'bore_purpose' => 'clearance',
                'bore_size' => 'M8', 'count' => 6, 'part_off' => true, 'support_centre' => false,
            ],
            ...$with,
        ],
    );
}

beforeEach(fn () => $this->actingAs($this->person()));

it('lays out the foot plate with the parallels of the crib', function (): void {
    $layout = lay($this)->assertOk()->assertJson(['layout' => ['count' => 5, 'ready' => true]])->json('layout');
    expect($layout['holes'][1])
        ->toMatchArray(['name' => 'B', 'x_mm' => 85])
        ->and($layout['holes'][1]['x_setting']['pieces_mm'])
        ->toEqual([50, 30, 5]);
});

it('reads points as they are written, one a line', function (): void {
    $points = lay($this, ['pattern' => 'points', 'points' => "15; 20\n3/4 in; 40\n50, 60", 'setting' => 'readout'])
        ->assertOk()
        ->json('layout.holes');
    expect(
        array_map(static fn (array $hole): array => [$hole['x_mm'], $hole['y_mm']], $points),
    )->toEqual([[15, 20], [19.05, 40], [50, 60]]);
    lay(
        $this,
        ['pattern' => 'points', 'points' => '-20; 10', 'datum' => 'centre', 'setting' => 'rule'],
    )->assertJson(['layout' => ['holes' => [['x_mm' => 30, 'y_mm' => 50]]]]);
});

it('puts a fault of a layout beside its field', function (array $with, string $field): void {
    lay($this, $with)->assertUnprocessable()->assertJsonValidationErrors($field);
})->with([
    [['length' => 'long'], 'length'],
    [['count' => null], 'count'],
    [['pattern' => 'points', 'points' => "15; 20\nhere"], 'points'],
    [['pattern' => 'points', 'points' => ''], 'points'],
    [['pattern' => 'points', 'points' => '2; 20'], 'points'], [['pattern' => 'spiral'], 'pattern'],
    [['inset' => ''], 'inset'], [['hole' => '80'], 'count'],
]);

it('plans a batch by this lathe\'s dial, and bars for a class from what is in stock', function (): void {
    $answer = turn($this, ['learners' => 9])->assertOk()->json();
    expect($answer['plan']['batch'])
        ->toMatchArray(['count' => 6, 'dial_divisions' => 284])
        ->and(in_words($answer['heading']['what']))
        ->toBe('6 pieces, ⌀ 26 mm × 5 mm, clearance for M8x1.25 through')
        ->and($answer['bars'])
        ->toMatchArray(['learners' => 9])
        ->and($answer['bars']['stock'])
        ->toHaveCount(2)
        ->and($answer['bars']['stock'][0])
        ->toMatchArray(['length_mm' => 1000, 'bars' => 1, 'enough' => true]);
    expect(turn($this)->json('bars'))->toBeNull();
});

it('says when the bar is too long to stand alone, and takes an allowance of nothing', function (): void {
    expect(in_words(turn($this, ['count' => 20])->json('plan.missing')))->toContain('needs support');
    expect(
        turn($this, ['cleanup' => '0', 'facing' => '0', 'jaw_clearance' => '0'])->json('plan.batch.move_mm'),
    )->toEqualWithDelta(276 * 0.0254, 1e-9);
    turn($this, ['machine' => 'bench-drill'])->assertUnprocessable()->assertJsonValidationErrors('machine');
});

it('writes drawings and tables that other programs read', function (): void {
    $svg = lay($this, path: '/files/svg')->assertOk()->assertHeader('Content-Type', 'image/svg+xml')->getContent();
    $xml = simplexml_load_string($svg);
    expect($xml)->not
        ->toBeFalse()
        ->and((float) $xml['width'])
        ->toBeGreaterThan(100)
        ->and(count($xml->circle))
        ->toBe(5)
        ->and($svg)
        ->toContain('5 × ⌀ 9 mm');
    $dxf = lay($this, path: '/files/dxf')->assertOk()->getContent();
    $pairs = explode("\r\n", rtrim($dxf));
    expect(count($pairs) % 2)
        ->toBe(0)
        ->and(end($pairs))
        ->toBe('EOF')
        ->and(substr_count($dxf, "\r\nCIRCLE\r\n"))
        ->toBe(5)
        ->and($dxf)
        ->toContain('%%c9 mm')->not
        ->toContain('⌀');
    // Every odd line of a DXF file is a group code.
    foreach (array_chunk($pairs, 2) as [$code]) {
        expect($code)->toMatch('/^\d{1,3}$/');
    }
    $csv = lay($this, path: '/files/csv')->assertOk()->getContent();
    expect($csv)
        ->toStartWith("\u{FEFF}hole,x_mm")
        ->and(explode("\n", trim($csv)))
        ->toHaveCount(6)
        ->and($csv)
        ->toContain('B,85,15,85,15,15,yes,85,0,"50 + 30 + 5"');
    expect(turn($this, path: '/files/csv')->getContent())
        ->toContain('part_off')
        ->and(turn($this, path: '/files/svg')->assertOk()->getContent())
        ->toContain('stands out');
    lay($this, path: '/files/exe')->assertNotFound();
});

it('writes lengths in the units of the person', function (): void {
    $this->actingAs($this->person(App\People\Role::Learner, ['units' => 'in']));
    expect(
        lay(
            $this,
            ['length' => '4', 'width' => '3', 'hole' => '3/8', 'inset' => '5/8', 'inset_y' => '5/8', 'setting' => 'readout'],
            '/files/svg',
        )->getContent(),
    )->toContain('⌀ 0.375 in');
});
