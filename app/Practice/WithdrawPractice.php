<?php

declare(strict_types=1);

namespace App\Practice;

use App\Practice\Events\PracticeLogged;
use App\Support\Refusal;
use Illuminate\Support\Facades\DB;

/** The learner takes an exercise back that nobody has decided yet. What is decided stays. */
final class WithdrawPractice
{
    /** @throws Refusal `already_decided` */
    public function __invoke(Entry $entry): void
    {
        DB::transaction(static function () use ($entry): void {
            $entry = Entry::query()->lockForUpdate()->find($entry->id);
            if ($entry === null) {
                return;
            }
            if (! $entry->isOpen()) {
                throw Refusal::because('already_decided', says: 'already_'.$entry->state);
            }
            $entry->delete();
            PracticeLogged::dispatch($entry->learner_id);
        });
    }
}
