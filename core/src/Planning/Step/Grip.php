<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Lathe\LatheSupport;
use MillStep\Core\Planning\Lathe\OverhangVerdict;
use MillStep\Core\Planning\Lathe\StickOut;

/** How work is gripped in a lathe's chuck: how far it stands out, and what carries its end. */
final class Grip
{
    /**
     * Says so where the work stands out too far.
     *
     * @param  Message|null  $instead  what would do without support
     * @return list<Message>
     */
    public static function of(Job $job, Length $work, Length $overhang, LatheSupport $support, ?Message $instead = null): array
    {
        $ratio = $job->policy->overhangRatio;
        $stick = (new StickOut($work, $overhang, $ratio, $job->machine->throughBore))->compute();
        $terms = ['out_mm' => round($overhang->inMm(), 1), 'out_ratio' => round($stick->ratio, 1), 'allowed_ratio' => $ratio];
        if ($stick->verdict === OverhangVerdict::SupportNeeded && $support === LatheSupport::None) {
            $advice = array_map(static fn (string $what): Message => Message::of("planning.advice.$what"), $stick->advice);
            $job->missing(Message::of($instead === null ? 'planning.lacks.support' : 'planning.lacks.support_or', [
                ...$terms,
                'advice' => $advice === [] ? Message::of('planning.advice.support') : Message::anyOf($advice),
                ...($instead === null ? [] : ['instead' => $instead]),
            ]));
        }
        $job->holdsTrue([
            'all_jaws_bear' => true, 'overhang_mm' => $overhang->inMm(), 'work_diameter_mm' => $work->inMm(),
            'supported' => $support !== LatheSupport::None, 'tailstock_clamped' => true,
            'tailstock_spindle_locked' => false,
            'tailstock_spindle_out_mm' => $job->policy->tailstockLeastOut->inMm(),
            'taper_clean' => true,
        ]);

        return [
            Message::of('planning.why.stands_out', $terms),
            ...($support === LatheSupport::None ? [] : [Message::of("planning.carried.$support->value")]),
        ];
    }
}
