<?php

declare(strict_types=1);

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Learning\BoundHole;
use MillStep\Core\Learning\Drawing\Grab;
use MillStep\Core\Learning\Drawing\LessonDrawings;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Learning\PartFigures;
use MillStep\Core\Learning\PartMark;
use MillStep\Core\Learning\PartShape;
use MillStep\Core\Planning\Plan\HolePlan;

require_once __DIR__.'/../Planning/helpers.php';

/** @param  array<string, mixed>  $with */
function scene(float $diameter = 9, float $thickness = 8, array $with = [], ?float $touch = 12): LessonScene
{
    return new LessonScene(BoundHole::of(HolePlan::fromFields(Fields::of([
        'material' => 'mild_steel', 'thickness_mm' => $thickness, 'hole' => ['purpose' => 'plain', 'diameter_mm' => $diameter],
        'machine' => bench(['fastest_belt' => 'top']), 'crib' => ['drills' => crib(0.1)], 'policy' => [], 'lever_mm' => 100, ...$with,
    ]))), $touch === null ? null : Length::mm($touch), new PartShape(Length::mm($thickness), [
        new PartMark('A', Length::mm(15), Length::mm(20), Length::mm($diameter)),
        new PartMark('B', Length::mm(85), Length::mm(20), Length::mm($diameter)),
    ], 'A'));
}

/** @return array<string, mixed>|null as it crosses the border */
function drawn(string $name, ?LessonScene $scene = null): ?array
{
    $drawing = LessonDrawings::draw($name, $scene ?? scene());

    return $drawing === null ? null : json_decode(json_encode($drawing->toArray(), JSON_THROW_ON_ERROR), true);
}

/** @return list<array<string, mixed>> */
function lines(array $drawing, string $style): array
{
    return array_values(array_filter($drawing['shapes'], static fn (array $shape): bool => ($shape['style'] ?? null) === $style));
}

it('draws every kind within its own bounds, small enough to be sent', function (string $name, LessonScene $scene): void {
    $drawing = drawn($name, $scene);
    if ($drawing === null) {
        // Two paths are compared only where there are two drills.
        expect($name)->toBe('corner_path')->and($scene->hole()->pilot)->toBeNull();

        return;
    }
    expect(strlen(json_encode($drawing)))->toBeLessThan(20_000)
        ->and($drawing['max_x'])->toBeGreaterThan($drawing['min_x'])
        ->and($drawing['max_y'])->toBeGreaterThan($drawing['min_y'])
        ->and($drawing['shapes'])->not->toBe([]);
    foreach ($drawing['shapes'] as $shape) {
        foreach ($shape['points'] ?? [] as [$x, $y]) {
            expect($x)->toBeGreaterThanOrEqual($drawing['min_x'])->toBeLessThanOrEqual($drawing['max_x'])
                ->and($y)->toBeGreaterThanOrEqual($drawing['min_y'])->toBeLessThanOrEqual($drawing['max_y']);
        }
    }
})->with(array_values(array_filter(
    LessonDrawings::names(),
    static fn (string $name): bool => ! LessonDrawings::wantsCase($name),
)))->with([
    'the foot plate' => [fn (): LessonScene => scene()],
    'a small hole in thick stock' => [fn (): LessonScene => scene(3, 25)],
    'not yet touched' => [fn (): LessonScene => scene(touch: null)],
]);

it('draws without a hole only what is made of none', function (): void {
    foreach (LessonDrawings::names() as $name) {
        expect(drawn($name, new LessonScene(null)) === null)
            ->toBe(LessonDrawings::wantsHole($name) || LessonDrawings::wantsPart($name) || LessonDrawings::wantsCase($name), $name);
    }
    expect(fn () => LessonDrawings::draw('no_such', new LessonScene(null)))->toThrow(OutOfBoundsException::class);
});

it('grabs where the rim is: between the flank of the drill and the lower face', function (float $diameter, float $thickness): void {
    $scene = scene($diameter, $thickness);
    $point = $scene->hole()->pointLength()->inMm();
    $rims = array_values(array_filter(
        lines(drawn('grab', $scene), 'fault'),
        static fn (array $shape): bool => count($shape['points']) === 3,
    ));
    $tip = Grab::tips($thickness, $point, $scene->hole()->travel()->inMm())[2];
    expect($rims)->toHaveCount(2)->and($tip)->toBeGreaterThan($thickness)->toBeLessThan($thickness + $point);
    foreach ($rims as ['points' => [$shoulder, $inner, $outer]]) {
        // The middle of the third phase lies halfway between the two rims.
        $middle = ($rims[0]['points'][0][0] + $rims[1]['points'][0][0]) / 2;
        expect($inner[1])->toEqualWithDelta(-$thickness, 1e-9)
            ->and($outer[1])->toEqualWithDelta(-$thickness, 1e-9)
            ->and($shoulder[1])->toEqualWithDelta(-max(0, $tip - $point), 1e-9)
            // On the flank: as far out as the point is wide where it passes the lower face.
            ->and(abs($inner[0] - $middle))->toEqualWithDelta($diameter / 2 * ($tip - $thickness) / $point, 1e-9)
            ->and(abs($outer[0] - $middle))->toEqualWithDelta($diameter / 2, 1e-9);
    }
})->with([[9, 8], [6, 12], [12, 10]]);

it('unrolls the path of each corner to one scale', function (): void {
    $long = array_map(
        static fn (array $line): float => abs($line['points'][1][0] - $line['points'][0][0]),
        lines(drawn('corner_path'), 'outline'),
    );
    expect($long[0])->toEqualWithDelta(M_PI * 9, 1e-9)->and($long[1])->toEqualWithDelta(M_PI * 1.8, 1e-9);
});

it('marks the speed that is set, under the one that is wanted', function (): void {
    $drawing = drawn('speed_row');
    $set = lines($drawing, 'tool')[0]['points'][0][0];
    $over = array_map(static fn (array $line): float => $line['points'][0][0], lines($drawing, 'fault'));
    expect(min($over))->toBeGreaterThan($set)
        // One that is set by a dial has no row.
        ->and(drawn('speed_row', scene(with: [
            'machine' => bench(['speeds_rpm' => null, 'min_rpm' => 100, 'max_rpm' => 2000]),
        ])))->toBeNull();
});

it('points at touch, ease and stop on the machine\'s own scale', function (): void {
    $drawing = drawn('scale_stop');
    // The lips meet the edge of the 1.8 mm pilot.
    $inside = 0.9 / tan(deg2rad(59));
    $tips = [];
    foreach (['outline', 'fault', 'tool'] as $style) {
        $pointer = array_values(array_filter(lines($drawing, $style), static fn (array $shape): bool => count($shape['points']) === 3))[0];
        $tips[$style] = $pointer['points'][0][1];
    }
    expect($tips['outline'])->toEqualWithDelta(-12, 1e-9)
        ->and($tips['fault'])->toEqualWithDelta(-(12 + 8 - $inside), 1e-9)
        ->and($tips['tool'])->toEqualWithDelta(-(12 + 8 + 4.5 / tan(deg2rad(59)) + 1 - $inside), 1e-9);
});

it('lets the web drop into a mark that is wider, and stand on the rim of one that is not', function (): void {
    $drawing = drawn('mark_under_drill');
    $stands = static fn (string $style): float => lines($drawing, $style)[0]['points'][2][1];
    expect($stands('tool'))->toBeLessThan(0)->and($stands('fault'))->toEqual(0.0);
});

it('ends the drill in scrap, above the table', function (): void {
    $scene = scene();
    $drawing = drawn('under_the_hole', $scene);
    $tip = min(array_column(lines($drawing, 'tool')[0]['points'], 1));
    $scrap = min(array_column(lines($drawing, 'thin')[0]['points'], 1));
    expect($tip)->toEqualWithDelta(-$scene->hole()->travel()->inMm(), 1e-9)->and($scrap)->toBeLessThan($tip);
});

it('crosses both arcs of the dividers in the mark', function (): void {
    foreach (lines(drawn('dividers_inset'), 'fault') as ['points' => $arc]) {
        $near = min(array_map(static fn (array $p): float => hypot($p[0] - 15, $p[1] - 20), $arc));
        expect($near)->toBeLessThan(1e-6);
    }
});

it('halves what two lines are off: both lie as far from the middle', function (): void {
    $drawing = drawn('v_block_halves');
    $first = lines($drawing, 'tool')[1]['points'][0][1];
    $second = lines($drawing, 'fault')[0]['points'][0][1];
    expect($first + $second)->toEqualWithDelta(0, 1e-9)->and($first)->toBeGreaterThan(0);
});

it('touches a hole with the corners of flat tips, and knows how much they hide', function (float $diameter, float $small): void {
    $figures = PartFigures::of(new PartShape(Length::mm(8), [
        new PartMark('A', Length::mm(15), Length::mm(15), Length::mm($diameter)),
    ], 'A'));
    expect($figures['caliper.small']->value)->toEqualWithDelta($small, 1e-9)
        ->and($figures['edge.least']->value)->toEqualWithDelta(1.5 * $diameter, 1e-9)
        ->and($figures['chain.all']->value)->toEqualWithDelta(1.0, 1e-9);
    foreach (lines(drawn('caliper_in_hole', scene($diameter)), 'tool') as ['points' => [$corner]]) {
        expect(hypot($corner[0], $corner[1]))->toEqualWithDelta($diameter / 2, 1e-9);
    }
    // As domain/teaching has it: 0.06 in 9 mm, 0.10 in 5.
})->with([[9.0, 0.06], [5.0, 0.1]]);

it('leaves half of each prick outside the hole', function (): void {
    $points = array_merge(...array_column(array_slice(lines(drawn('proof_circle'), 'tool'), 4), 'points'));
    $middle = 3.4 * 4.5;
    expect(min(array_map(static fn (array $p): float => hypot($p[0] - $middle, $p[1]), $points)))->toBeGreaterThan(4.5 - 1e-6);
});

it('aims the punch that draws a mark back at the crossing', function (): void {
    $drawing = drawn('mark_drawn_back');
    [$punch] = lines($drawing, 'tool');
    $xs = array_column($punch['points'], 0);
    // The crossing is at nought and the mark beside it: the head stands on the far side, so that a blow drives towards the crossing.
    expect($punch['points'][0][0])->toBeGreaterThan(0)->and(max($xs))->toBeGreaterThan($punch['points'][0][0] + 10);
});

it('says to the hundredth what flat tips hide, as the drawing does', function (): void {
    $hole = new PartMark('A', Length::mm(15), Length::mm(20), Length::mm(9));
    $figure = PartFigures::of(new PartShape(Length::mm(8), [$hole], 'A'))['caliper.small'];
    expect($figure->value)->toBe(0.06)->and($figure->name)->toBe('0.06');
});
