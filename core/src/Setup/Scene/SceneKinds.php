<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene;

use MillStep\Core\Setup\Scene\Lathe\LatheScene;
use MillStep\Core\Setup\Scene\Press\PressScene;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The only list of kinds of scene. */
final class SceneKinds
{
    /** @var list<class-string<SceneKind>> */
    private const KINDS = [PressScene::class, LatheScene::class];

    private const SIZES_LOOKED_AT = 12;

    /** @return list<string> */
    public static function names(): array
    {
        return array_map(static fn (string $kind): string => $kind::name(), self::KINDS);
    }

    /**
     * @return class-string<SceneKind>
     *
     * @throws \OutOfBoundsException for one that there is not
     */
    public static function get(string $name): string
    {
        foreach (self::KINDS as $kind) {
            if ($kind::name() === $name) {
                return $kind;
            }
        }
        throw new \OutOfBoundsException("No scene is called $name.");
    }

    /** @return list<string> the findings that can be put into a scene of that kind, in one size or another */
    public static function codes(string $name): array
    {
        return array_values(array_unique(array_merge(...self::bySize($name))));
    }

    /** @return list<string> those of them that can be put into every size of it */
    public static function always(string $name): array
    {
        return array_values(array_unique(array_intersect(...self::bySize($name))));
    }

    /** @return non-empty-list<list<string>> */
    private static function bySize(string $name): array
    {
        $kind = self::get($name);

        return array_map(static function (int $seed) use ($kind): array {
            $sound = $kind::sound(new Randomizer(new Mt19937($seed)));
            $codes = [];
            foreach ($kind::places() as $place) {
                foreach ($place::faults($sound) as $fault) {
                    $codes[] = $fault->code;
                }
            }

            return $codes;
        }, range(1, self::SIZES_LOOKED_AT));
    }
}
