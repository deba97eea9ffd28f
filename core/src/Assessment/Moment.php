<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

/** What happens while a sheet is done, said once each; pauses as often as there are. */
enum Moment: string
{
    case Started = 'started';
    case PowerOn = 'power_on';
    case FirstCut = 'first_cut';
    case Paused = 'paused';
    case Resumed = 'resumed';
    case Ended = 'ended';
}
