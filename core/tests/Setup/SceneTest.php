<?php

declare(strict_types=1);

use MillStep\Core\Planning\Drawing\Text;
use MillStep\Core\Setup\Scene\Scene;
use MillStep\Core\Setup\Scene\SceneKinds;
use Random\Engine\Mt19937;
use Random\Randomizer;

function seeded(int $seed): Randomizer
{
    return new Randomizer(new Mt19937($seed));
}

it('has a sound set-up in every size, which the review has nothing against', function (string $kind): void {
    foreach (range(1, 200) as $seed) {
        expect(SceneKinds::get($kind)::sound(seeded($seed))->review()->findings)->toBe([]);
    }
})->with(SceneKinds::names());

it('contains exactly its faults, over a thousand seeds', function (string $kind): void {
    foreach (range(1, 1000) as $seed) {
        $count = 1 + $seed % 4;
        // What is put in is held against the review as the scene is drawn: anything missing or over is thrown there.
        $scene = Scene::drawn($kind, SceneKinds::codes($kind), $count, seeded($seed));
        expect($scene->wrongPlaces())->toHaveCount($count)
            ->and(array_diff($scene->wrongPlaces(), array_column($scene->places(), 'id')))->toBe([])
            ->and(count($scene->reasons()))->toBeGreaterThanOrEqual($count);
    }
})->with(SceneKinds::names());

it('can be put wrong in every way that it knows, each seen at its own place and nowhere else', function (string $kind): void {
    $sound = SceneKinds::get($kind)::sound(seeded(3));
    $seen = static fn ($facts): array => array_combine(
        array_map(static fn (string $place): string => $place::name(), SceneKinds::get($kind)::places()),
        array_map(static function (string $place) use ($facts): string {
            $pen = new MillStep\Core\Planning\Drawing\Pen(6.0);
            $place::draw($pen, $facts);

            return json_encode([$place::label($facts), $pen->drawing('x')], JSON_THROW_ON_ERROR);
        }, SceneKinds::get($kind)::places()),
    );
    $before = $seen($sound);
    foreach (SceneKinds::get($kind)::places() as $place) {
        foreach ($place::faults($sound) as $fault) {
            $after = $seen($fault->putInto($sound));
            // Words and lines both tell it: who does not see the drawing has no less.
            expect($after[$place::name()])->not->toBe($before[$place::name()], "{$place::name()} $fault->code")
                ->and(array_keys(array_diff_assoc($after, $before)))->toBe([$place::name()]);
        }
    }
})->with(SceneKinds::names());

it('has places that do not cover one another\'s middle, large enough for a finger', function (string $kind): void {
    $places = Scene::drawn($kind, SceneKinds::codes($kind), 1, seeded(1))->places();
    foreach ($places as $one) {
        $middle = [($one['min_x'] + $one['max_x']) / 2, ($one['min_y'] + $one['max_y']) / 2];
        expect($one['max_x'] - $one['min_x'])->toBeGreaterThanOrEqual(14)->and($one['max_y'] - $one['min_y'])->toBeGreaterThanOrEqual(18);
        foreach ($places as $other) {
            $covers = $other['id'] !== $one['id'] && $middle[0] > $other['min_x'] && $middle[0] < $other['max_x']
                && $middle[1] > $other['min_y'] && $middle[1] < $other['max_y'];
            expect($covers)->toBeFalse("{$other['id']} lies on {$one['id']}");
        }
    }
})->with(SceneKinds::names());

it('says the drill, the work and the cutting speed beside the speed that is set', function (): void {
    $drawing = Scene::drawn('press', ['speed_too_fast'], 1, seeded(8))->drawing();
    $words = array_map(
        static fn (Text $text): string => is_string($text->before) ? $text->before : $text->before->code,
        array_filter($drawing->shapes, static fn ($shape): bool => $shape instanceof Text),
    );
    expect($words)->toContain('setup.scene.rpm', 'setup.scene.drill_is', 'setup.scene.cut');
});
