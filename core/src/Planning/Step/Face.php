<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;

/** The bar's end made square. */
final class Face extends Kind
{
    public static function names(): array
    {
        return ['face'];
    }

    public static function asked(): array
    {
        return ['rpm' => 'rpm'];
    }

    /**
     * @param  list<Message>  $held  how the bar is held
     * @param  Message|null  $needs  what it depends on
     */
    public static function make(Job $job, Length $bar, array $held, ?Message $needs = null): PlanStep
    {
        $tool = Message::of('planning.tool.facing_tool');

        return PlanStep::of('face', $tool, ...[...$held, Message::of('planning.why.square_face')])
            ->beware(Message::of('planning.caution.jaws_and_key'), Message::of('planning.caution.forward'))
            ->needing(...array_filter([$needs]))
            ->sized($bar)
            ->spun($job->cut($tool, $bar, 'drilling'), $job->machine)
            ->wetted($job->material->lubricant->word());
    }
}
