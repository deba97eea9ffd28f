<?php

declare(strict_types=1);

namespace App\Records\Listeners;

use App\Learning\Events\LookAsked;
use App\People\Role;
use App\People\User;
use App\Practice\Events\PracticeLogged;
use App\Records\WaitingLetter;
use App\Records\WhoWaits;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Support\Facades\Cache;

/** A letter to those who teach the learner and like letters; of one learner at most one in a while. It may wait. */
final class WriteToWhoTeaches implements ShouldQueue
{
    /** So long the next about the same learner is kept back, in seconds. */
    public const QUIET_S = 900;

    public function handle(LookAsked|PracticeLogged $event): void
    {
        $learner = User::query()->where('active', true)->find($event->learnerId);
        // What was taken back or looked at meanwhile waits no longer.
        if ($learner === null || array_sum($waiting = WhoWaits::isLearner($learner)) === 0) {
            return;
        }
        $teachers = User::query()->where('active', true)->where('mail_when_waiting', true)
            ->whereIn('role', [Role::Instructor, Role::Lead])->get();
        foreach ($teachers as $teacher) {
            if ($teacher->reaches($learner) && Cache::add("waiting-letter.{$teacher->id}.{$learner->id}", true, self::QUIET_S)) {
                $teacher->notify(new WaitingLetter($learner->name, $waiting));
            }
        }
    }
}
