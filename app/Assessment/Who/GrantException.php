<?php

declare(strict_types=1);

namespace App\Assessment\Who;

use App\Assessment\SheetAttempt;
use App\Competency\RecordEntry;
use App\People\User;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Assessment\ExceptionKind;
use MillStep\Core\Assessment\OwnWords;

/**
 * Lets a learner try a sheet once before supervised practice here. Granted by whoever may assess it or leads the shop; somebody else
 * assesses. A transfer is entered as prior learning, too, with its evidence.
 */
final class GrantException
{
    public function __construct(private readonly RecordEntry $record, private readonly WhoAssesses $who)
    {
    }

    /** @throws Refusal `own_record`, `not_authorised`, `why_exception`, `nothing_to_repeat`, `excepted_already`, `id_used` */
    public function __invoke(User $learner, string $sheet, User $by, string $id, ExceptionKind $kind, string $words): AssessmentException
    {
        $learner->is($by) && throw Refusal::forbidden('own_record', says: 'own_assessment');
        $by->leads() || $this->who->isAuthorised($by, $sheet) || throw Refusal::forbidden('not_authorised', says: 'may_not_assess');

        return DB::transaction(function () use ($learner, $sheet, $by, $id, $kind, $words): AssessmentException {
            User::query()->whereKey($learner->id)->lockForUpdate()->firstOrFail();
            $known = AssessmentException::query()->find($id);
            if ($known !== null) {
                return [$known->learner_id, $known->sheet, $known->kind, $known->granted_by] === [$learner->id, $sheet, $kind, $by->id]
                    ? $known : throw Refusal::idUsed();
            }
            OwnWords::areAccount($words) || throw Refusal::because('why_exception', ['letters' => OwnWords::ACCOUNT]);
            $passed = SheetAttempt::query()->where('learner_id', $learner->id)->where('outcome', 'passed')
                ->whereRelation('sheet', 'code', $sheet)->exists();
            $kind !== ExceptionKind::Repeat || $passed || throw Refusal::because('nothing_to_repeat');
            AssessmentException::unused($learner, $sheet) === null || throw Refusal::because('excepted_already');
            $exception = AssessmentException::query()->create([
                'id' => $id, 'learner_id' => $learner->id, 'sheet' => $sheet, 'kind' => $kind, 'granted_by' => $by->id,
                'granted_at' => CarbonImmutable::now(),
            ]);
            ($this->record)($learner, null, 'exception_granted', [
                'assessment' => $sheet, 'kind' => $kind->value, 'words' => trim($words),
            ], $by);
            $kind !== ExceptionKind::Transfer || ($this->record)($learner, null, 'prior_learning', ['evidence' => trim($words)], $by);

            return $exception;
        });
    }
}
