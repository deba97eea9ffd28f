<?php

declare(strict_types=1);

namespace App\Support;

/** What happened may take somebody's right to listen away: whoever listens on its channels is cut off, and asks anew. */
interface EndsRights extends HappensAfterCommit
{
}
