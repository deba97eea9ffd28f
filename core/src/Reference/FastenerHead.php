<?php

declare(strict_types=1);

namespace MillStep\Core\Reference;

use MillStep\Core\Border\Length;

/** A screw's head and the seat that it wants (fastener_heads.csv: ISO and ASME heads; counterbores are workshop practice). */
final readonly class FastenerHead
{
    /** Heads that lie in a cone, by the system of their thread, the usual one first. */
    public const FLAT = ['metric' => ['flat_slotted_or_cross', 'flat_socket'], 'inch' => ['flat_82']];

    public const CAP = 'cap_screw';

    /** A washer under a nut or a hexagon head, on a seat that is only made flat. */
    public const WASHER = 'washer';

    /** @param  Length|null  $seatDepth  of a counterbore; a countersink's follows from its angle */
    private function __construct(
        public string $head,
        public ?float $angleDeg,
        public Length $diameter,
        public Length $seat,
        public ?Length $seatDepth,
    ) {
    }

    /**
     * Null where the table has no such head for this thread.
     *
     * @throws BrokenTable
     */
    public static function of(string $head, Thread $thread): ?self
    {
        /** @var array<string, self>|null $all */
        static $all = null;
        if ($all === null) {
            $found = [];
            Table::shipped('fastener_heads.csv', ['head', 'size', 'head_diameter_mm', 'seat_diameter_mm'])->map(
                static function (Row $row) use (&$found): void {
                    $found[$row->text('head').' '.$row->text('size')] = new self(
                        $row->text('head'),
                        $row->numberOrNull('angle_deg'),
                        $row->length('head_diameter_mm'),
                        $row->length('seat_diameter_mm'),
                        $row->note('seat_depth_mm') === '' ? null : $row->length('seat_depth_mm'),
                    );
                },
            );
            $all = $found;
        }

        return $all["$head ".self::size($thread)] ?? null;
    }

    /** The table goes by nominal size: `M8`, `#8`, `1/4`. */
    private static function size(Thread $thread): string
    {
        $size = (string) preg_replace('/[x-].*$/', '', $thread->designation);

        return preg_match('/^\d{1,2}$/', $size) === 1 && $thread->major->inMm() < 6 ? "#$size" : $size;
    }
}
