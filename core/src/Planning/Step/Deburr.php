<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Message;

final class Deburr extends Kind
{
    public static function names(): array
    {
        return ['deburr'];
    }

    public static function make(): PlanStep
    {
        return PlanStep::of('deburr', Message::of('planning.tool.deburring_tool'), Message::of('planning.why.burrs'))
            ->beware(Message::of('planning.caution.standstill_and_brush'));
    }

    /** After the lathe: both faces of a ring, or every edge of a single piece. */
    public static function pieces(int $count): PlanStep
    {
        return PlanStep::of(
            'deburr',
            Message::of('planning.tool.deburring_tool'),
            Message::of($count > 1 ? 'planning.why.deburr_rings' : 'planning.why.deburr_edges'),
        )->beware(Message::of('planning.caution.burrs_cut'));
    }
}
