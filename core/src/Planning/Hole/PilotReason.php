<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Hole;

enum PilotReason: string
{
    case GrabbingMaterial = 'grabbing_material';
    case SingleSchool = 'single_school';
    case UnderThreshold = 'under_threshold';
    case Web = 'web';
    case Stepped = 'stepped';
}
