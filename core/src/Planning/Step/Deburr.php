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

    /** @param  bool  $through  then it has a burr on either side, the larger where the drill came out */
    public static function make(bool $through): PlanStep
    {
        return PlanStep::of('deburr', Message::of('planning.tool.deburring_tool'), Message::of('planning.why.burrs'))
            ->needing(Message::of($through ? 'planning.needs.both_sides' : 'planning.needs.top_edge'))
            ->standing(Standing::Standstill, Standing::Brush);
    }

    /** After the lathe: both faces of a ring, or every edge of a single piece. */
    public static function pieces(int $count): PlanStep
    {
        return PlanStep::of(
            'deburr',
            Message::of('planning.tool.deburring_tool'),
            Message::of($count > 1 ? 'planning.why.deburr_rings' : 'planning.why.deburr_edges'),
        )->beware(Message::of('planning.caution.burrs_cut'))->standing(Standing::Standstill, Standing::Brush);
    }
}
