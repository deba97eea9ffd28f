<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment\Measuring;

use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;

/** The only list of ways in which a criterion is measured. */
final class WaysOfMeasuring
{
    /** @var array<string, class-string<Wanted>> `diameter` is a size of a bore, as older sheets have it */
    public const LIST = [
        'diameter' => WantedSize::class,
        'size' => WantedSize::class,
        'position' => WantedPlace::class,
        'plug' => WantedPlug::class,
        'thread' => WantedThread::class,
    ];

    /**
     * @param  array<string, Length>  $personal
     *
     * @throws CoreException when the criterion does not say what it wants
     */
    public static function of(Fields $criterion, array $personal = []): Wanted
    {
        $way = $criterion->choice('measure', array_keys(self::LIST));

        return self::LIST[$way]::fromFields($criterion, $personal);
    }

    /** @return 'length'|'place'|'plug'|'thread' what is typed for one reading of a criterion */
    public static function asks(string $way): string
    {
        return (self::LIST[$way] ?? WantedSize::class)::asks();
    }
}
