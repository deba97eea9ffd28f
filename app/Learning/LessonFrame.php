<?php

declare(strict_types=1);

namespace App\Learning;

use App\Support\ContentFault;
use App\Support\Given;
use App\Support\YamlText;

/**
 * What stands around a lesson's steps: what one needs and can already, what is wrongly believed, the words of it, the
 * instructor's card, what changes for whom, and what one can at the end. All of it is said in each language.
 *
 * @phpstan-type Frame array{opening: string|null, misconceptions: list<array{said: string, so: string}>,
 *     words: list<array{word: string, is: string}>, card: list<string>,
 *     adaptations: array{left_handed: string|null, seated: string|null, deaf: string|null},
 *     ending: array{repeat: string|null, can: string|null, not_yet: string|null}}
 */
final class LessonFrame
{
    private const PAIRS = ['misconceptions' => ['said', 'so'], 'words' => ['word', 'is']];

    private const FIXED = ['adaptations' => ['left_handed', 'seated', 'deaf'], 'ending' => ['repeat', 'can', 'not_yet']];

    /** @return list<ContentFault> */
    public static function faults(YamlText $front): array
    {
        $faults = [];
        $wrong = static function (string $key) use ($front, &$faults): void {
            $faults[] = ContentFault::at($front->file, $front->lineOf($key), 'frame_shape', ['key' => $key]);
        };
        $values = $front->values;
        if (isset($values['opening']) && ! is_string($values['opening'])) {
            $wrong('opening');
        }
        foreach (self::PAIRS as $key => $wanted) {
            $list = $values[$key] ?? [];
            if (! is_array($list)) {
                $wrong($key);
            }
            foreach (Given::rows($list) as $entry) {
                if (array_diff($wanted, array_keys(array_filter($entry, is_string(...)))) !== []) {
                    $wrong($key);
                    break;
                }
            }
        }
        $card = $values['card'] ?? [];
        if (! is_array($card) || array_filter($card, is_string(...)) !== $card) {
            $wrong('card');
        }
        foreach (self::FIXED as $key => $known) {
            $given = $values[$key] ?? [];
            if (! is_array($given) || array_diff(array_keys($given), $known) !== [] || array_filter($given, is_string(...)) !== $given) {
                $wrong($key);
            }
        }

        return $faults;
    }

    /**
     * @param  array<string, mixed>  $front
     * @return Frame
     */
    public static function of(array $front): array
    {
        $pairs = static fn (string $key): array => array_map(
            static fn (array $entry): array => array_map(Given::text(...), array_intersect_key($entry, array_flip(self::PAIRS[$key]))),
            Given::rows($front[$key] ?? []),
        );
        $fixed = static fn (string $key): array => array_map(
            static fn (string $name): ?string => isset(Given::fields($front[$key] ?? [])[$name])
                ? Given::text(Given::fields($front[$key])[$name]) : null,
            array_combine(self::FIXED[$key], self::FIXED[$key]),
        );

        /** @var Frame */
        return [
            'opening' => isset($front['opening']) ? Given::text($front['opening']) : null,
            'misconceptions' => $pairs('misconceptions'), 'words' => $pairs('words'),
            'card' => Given::texts($front['card'] ?? null),
            'adaptations' => $fixed('adaptations'), 'ending' => $fixed('ending'),
        ];
    }

    /**
     * How much of each there is: as much in every language.
     *
     * @param  array<string, mixed>  $front
     * @return array<string, int|list<string>>
     */
    public static function shape(array $front): array
    {
        $frame = self::of($front);

        return [
            'opening' => (int) ($frame['opening'] !== null), 'misconceptions' => count($frame['misconceptions']),
            'words' => count($frame['words']), 'card' => count($frame['card']),
            'adaptations' => array_keys(array_filter($frame['adaptations'], is_string(...))),
            'ending' => array_keys(array_filter($frame['ending'], is_string(...))),
        ];
    }
}
