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
        return PlanStep::of(
            'clean',
            Message::of('planning.tool.rag'),
            Message::of($job->machine->isLathe() ? 'planning.why.clean_jaws' : 'planning.why.clean_stock'),
        );
    }
}
