<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Message;

final class Clean extends Kind
{
    public static function names(): array
    {
        return ['clean'];
    }

    public static function make(Job $job): PlanStep
    {
        $step = PlanStep::of(
            'clean',
            Message::of('planning.tool.rag'),
            Message::of($job->machine->isLathe() ? 'planning.why.clean_jaws' : 'planning.why.clean_stock'),
        );

        return $job->material->avoids() ? $step->needing(Message::of('planning.needs.avoid', [
            'material' => $job->material->word(), 'avoid' => $job->material->avoid(),
        ])) : $step;
    }
}
