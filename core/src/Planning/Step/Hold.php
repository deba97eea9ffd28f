<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Hole\HoldingPlan;

/** The work held against turning and lifting at the press; gripped, and no further out than it may be, on the lathe. */
final class Hold extends Kind
{
    public static function names(): array
    {
        return ['hold'];
    }

    /** @param  bool  $round  whether the work is round */
    public static function atThePress(Job $job, HoldingPlan $holding, bool $round): PlanStep
    {
        $sheet = $job->thickness->isLessThan($job->policy->thinSheet);
        $step = PlanStep::of(
            'hold',
            $sheet ? Message::of('planning.tool.between_boards', ['holding' => $holding->holding->word()]) : $holding->holding->word(),
            $holding->message($job->policy),
        );
        if ($sheet) {
            $step = $step->because(Message::of('planning.why.sandwich', ['under_mm' => $job->policy->thinSheet->inMm()]));
        }

        return $step
            ->beware(
                Message::of('planning.caution.never_by_hand'),
                Message::of($round ? 'planning.caution.long_bar' : 'planning.caution.under_the_hole'),
            )
            ->shows($holding->figure);
    }

    /** @param  list<Message>  $held  how the work is held */
    public static function inTheLathe(Job $job, array $held): PlanStep
    {
        $step = PlanStep::of('hold', $job->holding?->holding->word() ?? Message::of('workshop.holding.three_jaw_chuck'), ...$held)
            ->beware(Message::of('planning.caution.jaws_and_key'), Message::of('planning.caution.forward'));

        return $job->holding === null ? $step : $step->shows($job->holding->figure);
    }
}
