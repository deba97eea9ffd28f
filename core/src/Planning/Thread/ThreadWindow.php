<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Thread;

use MillStep\Core\Border\Message;
use MillStep\Core\Border\NoCandidate;
use MillStep\Core\Reference\BrokenTable;
use MillStep\Core\Reference\Row;
use MillStep\Core\Reference\Table;
use MillStep\Core\Reference\Uncertainty;

/** How much of a full thread a material is tapped with (tap_drill_percent.csv: workshop practice). */
final readonly class ThreadWindow
{
    private function __construct(public float $min, public float $max, public float $target, public ?Message $unsure)
    {
    }

    /** Of a thread that is pressed out: what the usual forming drills of threads.csv leave. */
    public static function forming(): self
    {
        return new self(55, 75, 65, null);
    }

    /** Of the wide thread for an insert: its crests within class 6H (from the basic profile). */
    public static function forInsert(): self
    {
        return new self(69, 83.4, 77, null);
    }

    /**
     * @param  'hand'|'machine'  $method
     *
     * @throws BrokenTable
     * @throws NoCandidate for a group that is not usually tapped
     */
    public static function of(string $group, string $method): self
    {
        /** @var array<string, self>|null $windows */
        static $windows = null;
        if ($windows === null) {
            $found = [];
            Table::shipped('tap_drill_percent.csv', ['material_group', 'method', 'percent_min', 'percent_max',
                'percent_teach'])->map(static function (Row $row) use (&$found): void {
                    $window = new self($row->positive('percent_min'), $row->positive('percent_max'), $row->positive('percent_teach'),
                        Uncertainty::of('tap_drill_percent.csv', $row->text('material_group').' '.$row->text('method'), 'percent_teach'));
                    if ($window->target < $window->min || $window->target > $window->max) {
                        throw $row->fault('percent_teach', 'lies outside its own minimum and maximum');
                    }
                    $found[$row->text('material_group').' '.$row->text('method')] = $window;
                });
            $windows = $found;
        }

        return $windows["$group $method"] ?? throw NoCandidate::in(
            'material',
            'planning.not_tapped', ['group' => Message::of("workshop.group.$group")],
        );
    }
}
