<?php

declare(strict_types=1);

use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Learning\Bound\BoundCase;
use MillStep\Core\Learning\Bound\CaseFigures;
use MillStep\Core\Learning\Bound\PersonalSize;
use MillStep\Core\Learning\Drawing\LessonDrawings;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Learning\LessonReading;
use MillStep\Core\Measure\Limits;
use MillStep\Core\Planning\Plan\Bench;

require_once __DIR__.'/../Planning/helpers.php';

/** What a lesson is bound to, as this bench makes it. */
function bound(array $wanted, array $bench = []): BoundCase
{
    $lathe = ($wanted['kind'] ?? 'hole') === 'lathe';

    return BoundCase::of(Bench::fromFields(Fields::of([
        'material' => 'mild_steel',
        'machine' => $lathe ? lathe(['speeds_rpm' => [45, 120, 200, 315, 500, 800, 1250, 2000], 'taper' => 3]) : bench(),
        'crib' => [
            'drills' => [...crib(0.1), ...crib(0.1, 'zero_rake')],
            'centre_drills' => [['size' => '1.6'], ['size' => '2.0'], ['size' => '2.5'], ['size' => '3.15'], ['size' => '4.0']],
            'taps' => [['thread' => 'M4x0.7', 'type' => 'spiral_flute']],
            'reamers' => [['diameter_mm' => 10, 'method' => 'machine'], ['diameter_mm' => 10, 'method' => 'hand']],
        ],
        ...$bench,
    ])), Fields::of($wanted));
}

/** @return array<string, Closure(): BoundCase> */
function cases_taught(): array
{
    return [
        'a blind hole' => fn (): BoundCase => bound(['thickness_mm' => 20, 'hole' => [
            'purpose' => 'plain', 'diameter_mm' => 8, 'through' => false, 'depth_mm' => 12,
        ]]),
        'a bar across' => fn (): BoundCase => bound(['thickness_mm' => 30, 'work_diameter_mm' => 30, 'hole' => [
            'purpose' => 'plain', 'diameter_mm' => 5,
        ]]),
        'a batch of rings' => fn (): BoundCase => bound([
            'kind' => 'lathe', 'bar' => ['diameter_mm' => 28], 'count' => 6, 'blade_mm' => 2,
            'part' => ['thickness_mm' => 5, 'outside_mm' => 26, 'bore' => ['purpose' => 'clearance', 'fastener' => 'M8']],
        ], ['material' => 'nylon']),
        'a long bar' => fn (): BoundCase => bound([
            'kind' => 'lathe', 'bar' => ['diameter_mm' => 25], 'support' => 'tailstock', 'overhang_mm' => 200,
            'part' => ['thickness_mm' => 180, 'part_off' => false, 'support_centre' => true, 'outside_mm' => 24],
        ]),
    ];
}

function figure(BoundCase $case, string $key): mixed
{
    $figure = CaseFigures::of($case)[$key];

    return $figure->unit === null ? $figure->name : $figure->value;
}

it('works out what a master says with a number in it', function (): void {
    $reamed = bound(
        ['thickness_mm' => 20, 'hole' => ['purpose' => 'reamed', 'diameter_mm' => 10, 'fit' => 'H7', 'reamer' => 'machine']],
        ['material' => 'aluminium_6000'],
    );
    // 10 mm of aluminium, 40 K warm, is 0.009 larger: over half of what H7 allows.
    expect(figure($reamed, 'warm.hole'))->toBe(0.009)->and(figure($reamed, 'warm.share'))->toBe(61.0)
        ->and(figure($reamed, 'limits.least'))->toBe(10.0)->and(figure($reamed, 'limits.most'))->toBe(10.015);
    $tapped = bound(
        ['thickness_mm' => 20, 'hole' => ['purpose' => 'tapped', 'thread' => 'M4', 'through' => false, 'depth_mm' => 8]],
        ['material' => 'brass_free_cutting'],
    );
    // M4 breaks near 1.6 N m: 8 N a hand on a wrench of 200.
    expect(figure($tapped, 'tap.breaks'))->toBe(1.6)->and(figure($tapped, 'tap.hand')->terms)->toBe(['n' => 8.0])
        ->and(figure($tapped, 'thread.pitch'))->toBe(0.7);
    $across = cases_taught()['a bar across']();
    // 0.3 off on 30 mm tips a 150 mm rule by 3 mm.
    expect(figure($across, 'cross.tips'))->toBe(3.0);
    $bar = cases_taught()['a long bar']();
    // 200 mm of steel, 50 K warm, is 0.12 longer.
    expect(figure($bar, 'warm.bar'))->toBe(0.12)->and(figure($bar, 'out.most'))->toBe(75.0);
    $rings = cases_taught()['a batch of rings']();
    // 26 mm of nylon, 30 K warm, reads about 0.06 large.
    expect(figure($rings, 'warm.ring'))->toBe(0.062)->and(figure($rings, 'part_off.divisions'))->toBe(284.0)
        ->and(figure($rings, 'batch.count'))->toBe('6');
});

it('leaves a floor of what the stock has under the tip', function (): void {
    $case = cases_taught()['a blind hole']();
    expect(figure($case, 'floor.left'))->toEqualWithDelta(20 - 12 - 4 / tan(deg2rad(59)), 1e-9)
        ->and(CaseFigures::of($case))->not->toHaveKey('warm.ring');
});

it('says what is missing where the crib or the machine cannot make it', function (): void {
    expect(fn () => bound(['thickness_mm' => 20, 'hole' => ['purpose' => 'plain', 'diameter_mm' => 20]]))
        ->toThrow(CoreException::class)
        ->and(fn () => bound(['kind' => 'planer']))->toThrow(InvalidInput::class);
});

it('draws every kind for every case within its bounds, or nothing where the case has none', function (Closure $case): void {
    $scene = new LessonScene($case()->hole, Length::mm(12), null, $case());
    foreach (array_filter(LessonDrawings::names(), LessonDrawings::wantsCase(...)) as $name) {
        $drawing = LessonDrawings::draw($name, $scene);
        if ($drawing === null) {
            continue;
        }
        $drawn = json_decode(json_encode($drawing->toArray(), JSON_THROW_ON_ERROR), true);
        expect(strlen(json_encode($drawn)))->toBeLessThan(20_000, $name)->and($drawn['shapes'])->not->toBe([]);
        foreach ($drawn['shapes'] as $shape) {
            foreach ($shape['points'] ?? [] as [$x, $y]) {
                expect($x)->toBeGreaterThanOrEqual($drawn['min_x'])->toBeLessThanOrEqual($drawn['max_x'])
                    ->and($y)->toBeGreaterThanOrEqual($drawn['min_y'])->toBeLessThanOrEqual($drawn['max_y']);
            }
        }
    }
})->with(cases_taught());

/** @return list<float> what a drawing's dimensions say */
function said_lengths(string $name, BoundCase $case): array
{
    $drawing = LessonDrawings::draw($name, new LessonScene($case->hole, null, null, $case));
    $shapes = json_decode(json_encode($drawing?->toArray() ?? ['shapes' => []], JSON_THROW_ON_ERROR), true)['shapes'];

    return array_values(array_filter(array_column($shapes, 'length_mm'), is_numeric(...)));
}

it('dimensions what it draws by the figures of the case', function (): void {
    $bar = cases_taught()['a long bar']();
    expect(said_lengths('jaws_overhang', $bar))->toEqual([25, 200, 75])
        ->and(said_lengths('turn_passes', $bar))->toEqual([24, 25])
        ->and(said_lengths('tailstock', $bar))->toEqual([$bar->policy->tailstockLeastOut->inMm()]);
});

function judged(BoundCase $case, string $kind, float $value, ?float $touch = null): string
{
    return (new LessonReading($case, Length::mm(1), Length::mm(120), null))->judge($kind, Length::mm($value), $touch)->value;
}

it('judges what is read off scales, dials and gauges for the case', function (): void {
    $blind = cases_taught()['a blind hole']();
    $end = 14 + 12 + 4 / tan(deg2rad(59)) - $blind->hole->inside()->inMm();
    // On the face all of the way is still to come; in the pilot the tip was inside already.
    expect(judged($blind, 'face_reading', ceil(26 + 4 / tan(deg2rad(59))), 14.0))->toBe('in')
        ->and(judged($blind, 'face_reading', $end, 14.0))->toBe('out')
        ->and(judged($blind, 'depth_reading', ceil($end), 14.0))->toBe('in')
        ->and(judged($blind, 'depth_reading', floor($end) - 1, 14.0))->toBe('out')
        ->and(judged($blind, 'scale_touch', 14))->toBe('in')->and(judged($blind, 'scale_touch', 119))->toBe('out')
        ->and(fn () => judged($blind, 'depth_reading', 20))->toThrow(InvalidInput::class)
        ->and(fn () => judged($blind, 'stick_out', 20))->toThrow(InvalidInput::class)
        ->and(fn () => judged($blind, 'weather', 20))->toThrow(InvalidInput::class);
    $rings = cases_taught()['a batch of rings']();
    expect(judged($rings, 'divisions', 284))->toBe('in')->and(judged($rings, 'divisions', 283))->toBe('out')
        ->and(judged($rings, 'piece_length', 5.2))->toBe('in')->and(judged($rings, 'piece_length', 7.2))->toBe('out')
        ->and(judged($rings, 'full_depth', 4 + 44.3, 4.0))->toBe('in')->and(judged($rings, 'full_depth', 4 + 40, 4.0))->toBe('out')
        ->and(judged($rings, 'stick_out', 60))->toBe('in')->and(judged($rings, 'stick_out', 40))->toBe('out')
        ->and(judged($rings, 'stick_out', 90))->toBe('out');
    $bar = cases_taught()['a long bar']();
    expect(judged($bar, 'centre_mouth', figure($bar, 'centre.mouth')))->toBe('in')
        ->and(judged($bar, 'centre_mouth', figure($bar, 'centre.least') - 0.2))->toBe('out')
        ->and(judged($bar, 'turned', 24.1))->toBe('in')->and(judged($bar, 'turned', 24.2))->toBe('out');
});

it('knows a right reading for every kind that it judges', function (): void {
    foreach (cases_taught() as $make) {
        $case = $make();
        foreach (LessonReading::KINDS as $kind) {
            try {
                $window = (new LessonReading($case, Length::mm(1), Length::mm(120), new Limits(Length::mm(9), Length::mm(9.3))))
                    ->window($kind, 10.0);
            } catch (InvalidInput) {
                continue;
            }
            expect($window->upper->isAtLeast($window->lower))->toBeTrue($kind);
        }
    }
});

it('draws each learner a size of their own out of a range, the same each time', function (): void {
    $range = PersonalSize::of(24, 26, 0.5);
    $drawn = array_map(static fn (int $learner): float => $range->drawn(7, $learner, 'part.outside_mm')->inMm(), range(1, 60));
    expect($range->count)->toBe(5)->and(array_values(array_unique($drawn)))->toHaveCount(5)
        ->and(array_diff(array_map(strval(...), $drawn), ['24', '24.5', '25', '25.5', '26']))->toBe([])
        ->and($range->drawn(7, 3, 'part.outside_mm')->inMm())->toBe($drawn[2]);
});

it('refuses a range that holds no size, or more than anybody would draw from', function (float $from, float $to, float $step): void {
    expect(fn () => PersonalSize::of($from, $to, $step))->toThrow(InvalidInput::class);
})->with([[0, 5, 1], [5, 4, 1], [4, 5, 0], [4, 5, -1], [1, 5000, 0.1]]);

/** @return list<array{float, float, float, float}> the straight lines of a drawing in one style, as x1 y1 x2 y2 */
function straight(string $name, BoundCase $case, string $style): array
{
    $drawing = LessonDrawings::draw($name, new LessonScene($case->hole, null, null, $case));
    $shapes = json_decode(json_encode($drawing?->toArray() ?? ['shapes' => []], JSON_THROW_ON_ERROR), true)['shapes'];

    return array_values(array_map(
        static fn (array $shape): array => [...$shape['points'][0], ...$shape['points'][1]],
        array_filter(
            $shapes,
            static fn (array $shape): bool => ($shape['style'] ?? null) === $style && count($shape['points'] ?? []) === 2,
        ),
    ));
}

/** How far a point lies from a line. */
function from_line(array $line, float $x, float $y): float
{
    [$x1, $y1, $x2, $y2] = $line;

    return abs(($y2 - $y1) * $x - ($x2 - $x1) * $y + $x2 * $y1 - $y2 * $x1) / hypot($x2 - $x1, $y2 - $y1);
}

it('lays a rule against the bar so that it touches, level or tipped', function (): void {
    $bar = cases_taught()['a bar across']();
    $level = straight('cross_rule', $bar, 'tool')[0];
    $tipped = straight('cross_rule', $bar, 'fault')[0];
    expect(from_line($level, 0, 0))->toEqualWithDelta(15, 1e-9)->and($level[1])->toEqualWithDelta($level[3], 1e-9)
        ->and(from_line($tipped, 90, 0))->toEqualWithDelta(15, 1e-9)
        // Off to the right, its left end is high.
        ->and($tipped[1])->toBeGreaterThan($tipped[3]);
    foreach ([[0.0, 0], [128.0, 1]] as [$x, $place]) {
        expect(from_line(straight('tool_height', $bar, 'fault')[$place], $x, 0))->toEqualWithDelta(14, 1e-9);
    }
    // Too high, the rule's top leans away from you; too low, towards you.
    [$high, $low] = straight('tool_height', $bar, 'fault');
    expect($high[0])->toBeLessThan($high[2])->and($low[0])->toBeGreaterThan($low[2]);
});

it('brings the drill out of a bar where its corners meet the curve, and out of a sheet before they do', function (): void {
    $bar = cases_taught()['a bar across']();
    foreach (straight('cross_breakout', $bar, 'fault') as [$x, $y]) {
        expect(hypot($x, $y))->toEqualWithDelta(15, 1e-9)->and(abs($x))->toEqualWithDelta(2.5, 1e-9);
    }
    $sheet = bound(['thickness_mm' => 1.5, 'hole' => ['purpose' => 'plain', 'diameter_mm' => 8]], ['material' => 'aluminium_6000']);
    $drawing = LessonDrawings::draw('sheet_corners', new LessonScene($sheet->hole, null, null, $sheet));
    $shapes = json_decode(json_encode($drawing?->toArray(), JSON_THROW_ON_ERROR), true)['shapes'];
    $drill = array_values(array_filter($shapes, static fn (array $shape): bool => ($shape['style'] ?? null) === 'fault'))[0]['points'];
    // With its corners at the upper face the tip is out below the sheet.
    expect($drill[1])->toEqual([-4, 0])->and($drill[2][1])->toBeLessThan(-1.5);
});

it('draws the three centre holes of this centre drill: short of its cone, in its room, and past it', function (): void {
    $bar = cases_taught()['a long bar']();
    $drawing = LessonDrawings::draw('centre_holes', new LessonScene(null, null, null, $bar));
    $shapes = json_decode(json_encode($drawing?->toArray(), JSON_THROW_ON_ERROR), true)['shapes'];
    $halves = array_values(array_filter($shapes, static fn (array $shape): bool => ($shape['hatched'] ?? false) === true));
    $mouths = array_map(
        static fn (int $place): float => $halves[2 * $place + 1]['points'][1][0] - $halves[2 * $place]['points'][1][0],
        [0, 1, 2],
    );
    expect($mouths[0])->toBeLessThan(figure($bar, 'centre.least'))
        ->and($mouths[1])->toBeGreaterThanOrEqual(figure($bar, 'centre.least'))->toBeLessThanOrEqual(figure($bar, 'centre.most'))
        ->and($mouths[2])->toBeGreaterThan(figure($bar, 'centre.most'));
});

it('turns the dial as far as one move goes', function (): void {
    $rings = cases_taught()['a batch of rings']();
    [$x1, $y1, $x2, $y2] = straight('dial_turns', $rings, 'tool')[0];
    $angle = fmod(M_PI / 2 - atan2($y2 - $y1, $x2 - $x1) + 2 * M_PI, 2 * M_PI);
    expect($angle / (2 * M_PI) * 100)->toEqualWithDelta(284 % 100, 1e-6);
});
