<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Border\NoCandidate;
use MillStep\Core\Reference\BrokenTable;
use MillStep\Core\Reference\Row;
use MillStep\Core\Reference\Table;

/** Limits of hole and shaft classes up to 50 mm (iso286_limits.csv, after ISO 286). */
final class FitTable
{
    /** @var array<string, list<array{over: float, to: float, upper: float, lower: float}>>|null by class */
    private static ?array $bands = null;

    /**
     * @param  string  $class  H7, H8, g6 …
     *
     * @throws InvalidInput for a class that the table does not know, naming the field `fit`
     * @throws NoCandidate for a size beyond the table
     */
    public static function limits(string $class, Length $nominal): Limits
    {
        $bands = self::bands()[$class] ?? throw InvalidInput::at(
            'fit',
            'measure.fit_unknown',
            ['said' => Message::quote($class, 10), 'known' => array_keys(self::bands())],
        );
        foreach ($bands as $band) {
            if ($nominal->isGreaterThan(Length::mm($band['over'])) && $nominal->isAtMost(Length::mm($band['to']))) {
                return new Limits($nominal->plus(Length::mm($band['lower'] / 1000)), $nominal->plus(Length::mm($band['upper'] / 1000)));
            }
        }
        throw NoCandidate::in('fit', 'measure.fit_beyond', ['size_mm' => $nominal->inMm()]);
    }

    /**
     * @return array<string, list<array{over: float, to: float, upper: float, lower: float}>>
     *
     * @throws BrokenTable
     */
    public static function bands(): array
    {
        if (self::$bands === null) {
            $bands = [];
            Table::shipped('iso286_limits.csv', ['band_min_mm', 'band_max_mm', 'class', 'upper_um',
                'lower_um'])->map(static function (Row $row) use (&$bands): void {
                    $band = [
                        'over' => $row->number('band_min_mm'),
                        'to' => $row->positive('band_max_mm'),
                        'upper' => $row->number('upper_um'),
                        'lower' => $row->number('lower_um'),
                    ];
                    if ($band['to'] <= $band['over'] || $band['upper'] <= $band['lower']) {
                        throw $row->fault('upper_um', 'the band or its limits are upside down');
                    }
                    $bands[$row->text('class')][] = $band;
                });
            self::$bands = $bands;
        }

        return self::$bands;
    }
}
