<?php

declare(strict_types=1);

namespace App\Gate;

use App\Competency\Permit;
use App\Competency\RecordEntry;
use App\Gate\Events\SessionEnded;
use App\People\User;
use Carbon\CarbonImmutable;
use MillStep\Core\Policy\ShopPolicy;

/**
 * Ends a turn, says why, and writes the minutes. Only who ended it themselves, or had it ended by an instructor, was
 * surely there: all other minutes are capped at the idle limit and marked as not confirmed.
 */
final class EndTurn
{
    /** Ways to end that confirm the minutes. */
    private const CONFIRMED = ['finished', 'handed_over', 'ended_by_instructor'];

    public function __construct(private readonly RecordEntry $record)
    {
    }

    /**
     * Called with the machine's lock held, so that nobody ends the same turn twice.
     *
     * @param  'finished'|'handed_over'|'ended_by_instructor'|'idle'|'revoked'  $because
     * @param  CarbonImmutable  $now  by the database's clock
     * @param  list<string>  $reasons  of the decision that ended it
     */
    public function __invoke(
        MachineSession $session,
        ShopPolicy $policy,
        string $because,
        CarbonImmutable $now,
        array $reasons = [],
        ?User $by = null,
    ): void {
        $turn = $session->turn($policy);
        $session->update([
            'ended_at' => $because === 'idle' ? $turn->idleAt() : $now->max($session->started_at),
            'ended_because' => $because,
            'end_reasons' => $reasons,
            'ended_by' => $by?->id,
        ]);
        $minutes = $turn->minutes($now);
        // Only the work that was done keeps a permit in use.
        foreach (Permit::workedUnder($session->machine, $session->request) as $permit) {
            ($this->record)($session->user, $permit, 'machine_time', [
                'minutes' => $minutes,
                'confirmed' => in_array($because, self::CONFIRMED, true),
                'machine' => $session->machine->slug,
                'session' => $session->id,
                'ended' => $because,
                'reasons' => $reasons,
            ], $by ?? $session->user);
        }
        SessionEnded::dispatch($session->id, $session->machine->slug, $session->user_id);
    }
}
