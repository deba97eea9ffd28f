<?php

declare(strict_types=1);

namespace MillStep\Core\Learning;

enum QuestionKind: string
{
    case One = 'one';
    case Order = 'order';
    case Worked = 'worked';
}
