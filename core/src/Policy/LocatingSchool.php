<?php

declare(strict_types=1);

namespace MillStep\Core\Policy;

/** How the mark is brought under the spindle: by eye, with a pointer run true in the chuck, or from an edge. */
enum LocatingSchool: string
{
    case Eye = 'eye';
    case Pointer = 'pointer';
    case EdgeFinder = 'edge_finder';
}
