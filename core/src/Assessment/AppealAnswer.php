<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

/** What another assessor says to an appeal. No outcome changes by it: it stands, or the sheet may be tried again at once. */
enum AppealAnswer: string
{
    case Stands = 'stands';
    case TryAgain = 'try_again';
}
