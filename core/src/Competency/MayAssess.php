<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

/**
 * Who may assess whom. A learner comes to a sheet after supervised practice, or by an exception that somebody else has granted; whoever
 * assesses is authorised for a permit that the sheet belongs to, and never assesses themselves.
 */
final readonly class MayAssess
{
    /**
     * @param  Stage|null  $stage  of the learner, the highest on a permit that asks for the sheet and that the assessor is authorised for;
     *     null where they are authorised for none
     * @param  bool  $excepted  an exception was granted by somebody else than the assessor
     * @return list<'own_record'|'not_authorised'|'not_piloted'> all that speaks against it, the most telling first
     */
    public static function reasons(bool $own, ?Stage $stage, bool $excepted): array
    {
        return array_keys(array_filter([
            'own_record' => $own,
            'not_authorised' => $stage === null,
            'not_piloted' => $stage !== null && $stage->value < Stage::Piloted->value && ! $excepted,
        ]));
    }
}
