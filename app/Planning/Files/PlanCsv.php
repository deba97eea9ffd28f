<?php

declare(strict_types=1);

namespace App\Planning\Files;

use App\Language\Sentences;
use App\Planning\Planned;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Layout\LayoutHole;
use MillStep\Core\Planning\Layout\LayoutResult;
use MillStep\Core\Planning\Layout\LayoutSetting;
use MillStep\Core\Planning\Step\PlanStep;
use MillStep\Core\Planning\Step\Standing;

/** The table of a plan for a spreadsheet: coordinates of a layout, operations of a sequence. */
final class PlanCsv
{
    private const BYTE_ORDER_MARK = "\u{FEFF}";

    public static function of(Planned $planned, Sentences $says): string
    {
        $rows = $planned->result instanceof LayoutResult ? self::layout($planned->result)
            : self::sequence($planned->result->operations, $says);
        $stream = fopen('php://temp', 'r+');
        if ($stream === false) {
            throw new \RuntimeException('No memory for the file.');
        }
        foreach ($rows as $row) {
            fputcsv($stream, $row, escape: '');
        }
        rewind($stream);
        $csv = self::BYTE_ORDER_MARK.stream_get_contents($stream);
        fclose($stream);

        return $csv;
    }

    /** @return list<list<string>> */
    private static function layout(LayoutResult $layout): array
    {
        $setting = static fn (LayoutSetting $set): array => [
            self::mm($set->value),
            self::mm($set->error),
            implode(' + ', array_map(self::mm(...), $set->pieces)),
        ];

        return [
            [
                'hole', 'x_mm', 'y_mm', 'datum_x_mm', 'datum_y_mm', 'edge_mm', 'edge_ok', 'set_x_mm', 'error_x_mm',
                'stack_x', 'set_y_mm', 'error_y_mm', 'stack_y',
            ],
            ...array_map(static fn (LayoutHole $hole): array => [
                $hole->name, self::mm($hole->x), self::mm($hole->y), self::mm($hole->datumX), self::mm($hole->datumY),
                self::mm($hole->edge), $hole->edgeOk ? 'yes' : 'no', ...$setting($hole->xSetting),
                ...$setting($hole->ySetting),
            ], $layout->holes),
        ];
    }

    /**
     * @param  list<PlanStep>  $steps
     * @return list<list<string>>
     */
    private static function sequence(array $steps, Sentences $says): array
    {
        return [
            [
                'step', 'kind', 'tool', 'diameter_mm', 'rpm', 'setting', 'feed_mm_rev', 'total_depth_mm', 'scale_reading',
                'dial_reading', 'times', 'lubricant', 'time_s', 'needs', 'why', 'cautions',
            ],
            ...array_map(static fn (PlanStep $step, int $index): array => [
                (string) ($index + 1), $step->kind, $says->say($step->tool), self::mm($step->diameter), self::number($step->rpm, 0),
                $says->say($step->setting ?? ''), self::number($step->feedMmRev, 3), self::mm($step->totalDepth),
                $step->scaleReading ?? '', $says->say($step->dialReading ?? ''),
                (string) ($step->repeat ?? ''), $says->say($step->lubricant ?? ''), self::number($step->timeS, 0),
                implode(' ', array_map($says->say(...), $step->needs)),
                implode(' ', array_map($says->say(...), $step->why)),
                implode(' ', array_map($says->say(...), [
                    ...$step->dangers, ...$step->cautions,
                    ...array_map(static fn (Standing $always): Message => $always->word(), $step->standing),
                ])),
            ], $steps, array_keys($steps)),
        ];
    }

    private static function mm(?Length $length): string
    {
        return $length === null ? '' : DrawingFile::plain($length->inMm(), 4);
    }

    private static function number(?float $value, int $digits): string
    {
        return $value === null ? '' : DrawingFile::plain($value, $digits);
    }
}
