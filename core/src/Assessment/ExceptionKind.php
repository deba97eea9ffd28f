<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

/** Why somebody may be assessed before supervised practice here. */
enum ExceptionKind: string
{
    /** Learned elsewhere, with evidence of it. */
    case Transfer = 'transfer';
    /** A sheet that was passed here is done once more. */
    case Repeat = 'repeat';
    case Other = 'other';
}
