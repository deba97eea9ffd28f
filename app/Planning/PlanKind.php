<?php

declare(strict_types=1);

namespace App\Planning;

use App\Planning\Requests\HolePlanRequest;
use App\Planning\Requests\LathePlanRequest;
use App\Planning\Requests\LayoutPlanRequest;
use App\Planning\Requests\PlanRequest;

enum PlanKind: string
{
    case Hole = 'hole';
    case Layout = 'layout';
    case Lathe = 'lathe';

    /** @return class-string<PlanRequest> */
    public function wanted(): string
    {
        return match ($this) {
            self::Hole => HolePlanRequest::class,
            self::Layout => LayoutPlanRequest::class,
            self::Lathe => LathePlanRequest::class,
        };
    }
}
