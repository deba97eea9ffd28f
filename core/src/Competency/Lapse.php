<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

/** Why a sign-off no longer carries, in the order in which the first that applies is named. */
enum Lapse: string
{
    case Expired = 'expired';
    case Statement = 'statement';
    case Recency = 'recency';
    case Prerequisite = 'prerequisite';
    /** Something that is asked later is still missing after its grace. */
    case Requirement = 'requirement';
}
