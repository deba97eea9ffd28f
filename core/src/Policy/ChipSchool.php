<?php

declare(strict_types=1);

namespace MillStep\Core\Policy;

/** What is done about long unbroken ribbons: more speed and feed until they break short, or easing off for an instant. */
enum ChipSchool: string
{
    case PushOn = 'push_on';
    case EaseOff = 'ease_off';
}
