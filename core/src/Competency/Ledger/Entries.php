<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;

/** The only list of kinds of entry, and the one reader of their payloads. */
final class Entries
{
    /** The newest shape of a payload; one without `v` is of the first. */
    public const VERSION = 1;

    /** @var array<string, class-string<Entry>> */
    public const KINDS = [
        'lesson_completed' => Entry\LessonCompleted::class,
        'check_attempted' => Entry\CheckAttempted::class,
        'practice_confirmed' => Entry\PracticeConfirmed::class,
        'assessment_concluded' => Entry\AssessmentConcluded::class,
        'sheet_opened' => Entry\SheetOpened::class,
        'sheet_reopened' => Entry\SheetReopened::class,
        'sheet_stopped' => Entry\SheetStopped::class,
        'mark_undone' => Entry\MarkUndone::class,
        'sheet_put_away' => Entry\SheetPutAway::class,
        'outcome_answered' => Entry\OutcomeAnswered::class,
        'outcome_appealed' => Entry\OutcomeAppealed::class,
        'appeal_answered' => Entry\AppealAnswered::class,
        'second_viewed' => Entry\SecondViewed::class,
        'authorised' => Entry\Authorised::class,
        'authorisation_ended' => Entry\AuthorisationEnded::class,
        'exception_granted' => Entry\ExceptionGranted::class,
        'rehearsal_passed' => Entry\RehearsalPassed::class,
        'statement_acknowledged' => Entry\StatementAcknowledged::class,
        'signed_off' => Entry\SignedOff::class,
        'suspended' => Entry\Suspended::class,
        'incident_hold' => Entry\IncidentHold::class,
        'revoked' => Entry\Revoked::class,
        'reinstated' => Entry\Reinstated::class,
        'machine_time' => Entry\MachineTime::class,
        'familiarised' => Entry\Familiarised::class,
        'shown' => Entry\Shown::class,
        'prior_learning' => Entry\PriorLearning::class,
        'corrected' => Entry\Corrected::class,
        'adopted' => Entry\Adopted::class,
        'blanked' => Entry\Blanked::class,
        'forgotten' => Entry\Forgotten::class,
    ];

    /**
     * @param  Fields  $fields  with `type` and, beside it, what the type needs
     *
     * @throws InvalidInput for a type or a payload version that is not known, or a payload that lacks something
     */
    public static function read(Fields $fields): Entry
    {
        $type = $fields->choice('type', array_keys(self::KINDS));
        $fields->integer('v', 1, self::VERSION, 1);

        return self::KINDS[$type]::fromFields($fields);
    }
}
