<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

enum MarkVerdict: string
{
    case Leave = 'leave';
    case DrawOver = 'draw_over';
    case StoneAndRemark = 'stone_and_remark';
}
