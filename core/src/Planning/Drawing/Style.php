<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Drawing;

/** What a line of a drawing stands for; whoever draws it chooses its weight and dashes. */
enum Style: string
{
    case Outline = 'outline';
    case Thin = 'thin';
    case Centre = 'centre';
    case Hidden = 'hidden';
    case Thread = 'thread';
    case Tool = 'tool';
    case Fault = 'fault';
    case Dimension = 'dimension';
    case Arrow = 'arrow';
}
