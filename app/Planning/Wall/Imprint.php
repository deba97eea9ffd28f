<?php

declare(strict_types=1);

namespace App\Planning\Wall;

/** What stands on each sheet of a chart besides the chart: whose it is, of which day, and where it is to be seen today. */
final readonly class Imprint
{
    public function __construct(public string $shop, public string $date, public string $url)
    {
    }
}
