<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\HoldingDrawing;
use MillStep\Core\Planning\Hole\HoldingPlan;

/** The work held against turning and lifting at the press; gripped, and no further out than it may be, on the lathe. */
final class Hold extends Kind
{
    public static function names(): array
    {
        return ['hold'];
    }

    /** So thick is each of the two boards that sheet is drilled between, where nobody says. */
    public const BOARD_MM = 10.0;

    /**
     * @param  Length  $hole  the widest that is drilled
     * @param  Length|null  $round  the diameter of round work
     * @param  bool  $sheet  between two boards
     */
    public static function atThePress(Job $job, HoldingPlan $holding, Length $hole, ?Length $round, bool $sheet): PlanStep
    {
        $step = PlanStep::of(
            'hold',
            $sheet ? Message::of('planning.tool.between_boards', ['holding' => $holding->holding->word()]) : $holding->holding->word(),
            $holding->message(),
        );
        if ($sheet) {
            $step = $step->because(Message::of('planning.why.sandwich', ['under_mm' => $job->policy->thinSheet->inMm()]))
                ->needing(Message::of('planning.needs.boards_taken', ['board_mm' => self::BOARD_MM]));
        }

        if ($job->material->isSoft() && ! $sheet) {
            $step = $step->needing(Message::of('planning.needs.flat_backing'));
        }

        if ($round !== null) {
            $step = $step->needing(Message::of('planning.needs.groove_clear'), Message::of('planning.needs.straps_clear'));
        }

        return $step
            ->danger(Message::of('planning.caution.never_by_hand'))
            ->beware(Message::of(match (true) {
                $round !== null => 'planning.caution.long_bar',
                $job->material->isSoft() => 'planning.caution.backed_right_under',
                default => 'planning.caution.under_the_hole',
            }))
            ->needing(...array_filter([$holding->assumption()]))
            ->sketched(HoldingDrawing::of($holding->holding, $holding->lever, $hole, $round))
            ->shows($holding->figure);
    }

    /** @param  list<Message>  $held  how the work is held */
    public static function inTheLathe(Job $job, array $held, Message ...$needs): PlanStep
    {
        $step = PlanStep::of('hold', $job->holding?->holding->word() ?? Message::of('workshop.holding.three_jaw_chuck'), ...$held)
            ->beware(Message::of('planning.caution.jaws_and_key'), Message::of('planning.caution.forward'))
            ->needing(...$needs);

        return $job->holding === null ? $step : $step->shows($job->holding->figure);
    }
}
