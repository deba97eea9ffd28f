<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Support\Given;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Measure\Size;
use MillStep\Core\Reference\StandardCentreDrill;
use MillStep\Core\Reference\TapType;
use MillStep\Core\Reference\ThreadTable;
use MillStep\Core\Workshop\BoringBar;
use MillStep\Core\Workshop\Holding\Kit;

/** Puts one tool into a crib. What was typed (3/8, #7, M6) is understood by the core and kept by its proper name. */
final class SaveTool
{
    /**
     * @param  array{kind: string, size: string, edge?: string|null, type?: string|null, method?: string|null, gauge?: string|null,
     *     taper?: int|null, flute_length?: string|null, enters?: string|null, reach?: string|null, condition?: string|null}  $given
     * @param  'mm'|'in'  $units
     *
     * @throws InvalidInput naming `size` or `type`
     */
    public function __invoke(Crib $crib, array $given, string $units): Tool
    {
        $row = self::row($given, $units);

        return Tool::query()->updateOrCreate(
            ['crib_id' => $crib->id, 'kind' => $row['kind'], 'designation' => $row['designation'], 'edge' => $row['edge']],
            [...$row, 'condition' => $given['condition'] ?? 'good'],
        );
    }

    /**
     * @param  array{kind: string, size: string, edge?: string|null, type?: string|null, method?: string|null, gauge?: string|null,
     *     taper?: int|null, flute_length?: string|null, point_angle?: int|null, enters?: string|null, reach?: string|null}  $given
     * @param  'mm'|'in'  $units
     * @return array{kind: string, designation: string, edge: string, diameter_mm: float|null, details: array<string, mixed>}
     */
    private static function row(array $given, string $units): array
    {
        $edge = $given['kind'] === 'drill' ? $given['edge'] ?? 'normal' : 'normal';
        [$designation, $diameter, $details] = match ($given['kind']) {
            'tap' => self::tap($given['size'], $given['type'] ?? ''),
            'centre_drill' => self::centreDrill($given['size']),
            'holding' => self::holding($given['size'], $given['type'] ?? '', $units),
            'step_drill' => self::stepDrill($given['size'], $units),
            'boring_bar' => self::boringBar($given, $units),
            'hole_saw' => self::sized($given['size'], $units, self::lengths($given, ['reach'], $units)),
            'gauge' => ($given['gauge'] ?? 'plug') === 'thread'
                ? self::threadGauge($given['size'])
                : self::sized($given['size'], $units, ['gauge' => $given['gauge'] ?? 'plug'], $given['gauge'] ?? 'plug'),
            'reamer' => self::sized($given['size'], $units, ['method' => $given['method'] ?? 'machine'], $given['method'] ?? 'machine'),
            default => self::sized($given['size'], $units, array_filter([
                'taper' => $given['taper'] ?? null,
                'point_angle_deg' => isset($given['point_angle']) ? (float) $given['point_angle'] : null,
                ...self::lengths($given, ['flute_length'], $units),
            ], static fn (mixed $value): bool => $value !== null)),
        };

        return [
            'kind' => $given['kind'],
            'designation' => $designation,
            'edge' => $edge,
            'diameter_mm' => $diameter,
            'details' => $details,
        ];
    }

    /**
     * Those of the lengths that were typed, by the name that they are kept under.
     *
     * @param  array<string, mixed>  $given
     * @param  list<string>  $fields
     * @param  'mm'|'in'  $units
     * @return array<string, float>
     *
     * @throws InvalidInput naming the field
     */
    private static function lengths(array $given, array $fields, string $units): array
    {
        $lengths = [];
        foreach ($fields as $field) {
            $typed = Given::text($given[$field] ?? '');
            try {
                if ($typed !== '') {
                    $lengths["{$field}_mm"] = Size::length($typed, $units)->diameter->inMm();
                }
            } catch (InvalidInput $fault) {
                throw InvalidInput::named($field, $fault->says);
            }
        }

        return $lengths;
    }

    /**
     * With the smallest hole that it enters and how far it stands out, where somebody said.
     *
     * @param  array{size: string, enters?: string|null, reach?: string|null}  $given
     * @param  'mm'|'in'  $units
     * @return array{string, float, array<string, mixed>}
     *
     * @throws InvalidInput naming `size`, `enters` or `reach`
     */
    private static function boringBar(array $given, string $units): array
    {
        [$name, $thick, $details] = self::sized($given['size'], $units, self::lengths($given, ['enters', 'reach'], $units));
        try {
            BoringBar::fromFields(Fields::of(['bar_mm' => $thick, ...$details]));
        } catch (InvalidInput $fault) {
            throw InvalidInput::named('enters', $fault->says);
        }

        return [$name, $thick, $details];
    }

    /**
     * @param  'mm'|'in'  $units
     * @param  array<string, mixed>  $details
     * @return array{string, float, array<string, mixed>}
     */
    private static function sized(string $typed, string $units, array $details, string $suffix = ''): array
    {
        $size = self::size($typed, $units);

        return [trim($size->designation.' '.$suffix), $size->diameter->inMm(), $details];
    }

    /**
     * With the widest work that it takes.
     *
     * @param  'mm'|'in'  $units
     * @return array{string, float, array<string, mixed>}
     *
     * @throws InvalidInput naming `size` or `type`
     */
    private static function holding(string $typed, string $piece, string $units): array
    {
        if (! in_array($piece, Kit::PIECES, true)) {
            throw InvalidInput::at('type', 'workshop.which_holding', ['known' => Kit::PIECES]);
        }
        try {
            $size = Size::length($typed, $units);
        } catch (InvalidInput $fault) {
            throw InvalidInput::named('size', $fault->says);
        }

        return [trim("$size->designation ".str_replace('_', ' ', $piece)), $size->diameter->inMm(), ['type' => $piece]];
    }

    /** @return array{string, float, array<string, mixed>} */
    private static function tap(string $typed, string $type): array
    {
        if (! isset(TapType::all()[$type])) {
            throw InvalidInput::at('type', 'workshop.which_tap', ['known' => array_keys(TapType::all())]);
        }
        $thread = ThreadTable::shipped()->get($typed, 'size');

        return [
            $thread->designation.' '.str_replace('_', ' ', $type),
            $thread->major->inMm(),
            ['thread' => $thread->designation, 'type' => $type],
        ];
    }

    /** @return array{string, float, array<string, mixed>} */
    private static function threadGauge(string $typed): array
    {
        $thread = ThreadTable::shipped()->get($typed, 'size');

        return [$thread->designation.' thread', $thread->major->inMm(), ['gauge' => 'thread', 'thread' => $thread->designation]];
    }

    /** @return array{string, float, array<string, mixed>} */
    private static function centreDrill(string $typed): array
    {
        $drill = StandardCentreDrill::all()[trim($typed)] ?? throw InvalidInput::at(
            'size',
            'workshop.no_centre_drill',
            ['known' => array_map(strval(...), array_keys(StandardCentreDrill::all()))],
        );

        return [$drill->range->size, $drill->shape->body->inMm(), []];
    }

    /**
     * `4-20 by 2`: its steps from the smallest to the largest.
     *
     * @param  'mm'|'in'  $units
     * @return array{string, float, array<string, mixed>}
     */
    private static function stepDrill(string $typed, string $units): array
    {
        if (preg_match('/^\s*(\S+)\s*(?:-|–|to)\s*(\S+)\s*by\s*(\S+)\s*$/u', $typed, $found) !== 1) {
            throw InvalidInput::at('size', 'workshop.no_step_drill');
        }
        [$from, $to, $step] = array_map(
            static fn (string $size): float => self::size($size, $units)->diameter->inMm(),
            array_slice($found, 1),
        );
        if ($to <= $from || $to - $from > 100 * $step) {
            throw InvalidInput::at('size', 'workshop.step_drill_order');
        }

        return [trim($typed), $to, ['diameters_mm' => range($from, $to + $step / 1000, $step)]];
    }

    /** @param  'mm'|'in'  $units */
    private static function size(string $typed, string $units): Size
    {
        try {
            return Size::parse($typed, $units);
        } catch (InvalidInput $fault) {
            throw InvalidInput::named('size', $fault->says);
        }
    }
}
