<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check\Analysis;

/** What a question is worth, as far as its answers tell. */
enum ItemVerdict: string
{
    case TooFew = 'too_few';
    case AllRight = 'all_right';
    case NoneRight = 'none_right';
    case Tells = 'tells';
    case TellsLittle = 'tells_little';
    case Misleads = 'misleads';
}
