<?php

declare(strict_types=1);

namespace MillStep\Core\Policy;

/** How a large hole is led up to: a drill as wide as the web, several in steps, or straight in. */
enum PilotSchool: string
{
    case Web = 'web';
    case Stepped = 'stepped';
    case Single = 'single';
}
