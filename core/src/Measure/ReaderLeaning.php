<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

/** To which side a reader's differences lie, nearly all of them. */
enum ReaderLeaning: string
{
    case Over = 'over';
    case Under = 'under';
    case Both = 'both';
}
