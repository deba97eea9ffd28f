<?php

declare(strict_types=1);

namespace App\Gate;

use App\Gate\Events\BadgeEnded;
use App\People\BadgeDesk;
use App\People\User;
use App\Support\PowerLock;
use App\Support\Refusal;
use App\Workshop\Policy;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** One badge that works for each person; one that was lost never works again, for anybody. */
final class Badges implements BadgeDesk
{
    public function __construct(private readonly EndTurn $endTurn)
    {
    }

    public function holderOf(#[\SensitiveParameter] string $code): ?int
    {
        return Badge::query()->where('code_hash', Badge::hash($code))->first()?->user_id;
    }

    public function issue(User $to, #[\SensitiveParameter] string $code, User $by): void
    {
        DB::transaction(function () use ($to, $code, $by): void {
            PowerLock::forRestriction();
            User::query()->whereKey($to->id)->lockForUpdate()->firstOrFail();
            $known = Badge::query()->where('code_hash', Badge::hash($code))->first();
            if ($known !== null && ($known->user_id !== $to->id || in_array($known->ended_because, ['lost', 'replaced'], true))) {
                throw Refusal::because('badge_taken');
            }
            if ($known?->active === true) {
                return;
            }
            $this->endActive($to, 'replaced');
            $known === null
                ? Badge::query()->create(['user_id' => $to->id, 'code_hash' => Badge::hash($code), 'issued_by' => $by->id])
                : $known->update(['active' => true, 'ended_because' => null, 'ended_at' => null, 'issued_by' => $by->id]);
        });
    }

    public function end(User $of, string $because, User $by): void
    {
        DB::transaction(function () use ($of, $because, $by): void {
            PowerLock::forRestriction();
            $this->endActive($of, $because);
            // Nobody can say who stands at a machine that a lost badge has opened.
            $open = MachineSession::query()->where('user_id', $of->id)->whereNull('ended_at')->get();
            foreach ($because === 'lost' ? $open : [] as $turn) {
                ($this->endTurn)($turn, Policy::inForce(), 'ended_by_instructor', by: $by);
            }
        });
    }

    public function carries(?User $person, #[\SensitiveParameter] string $code): bool
    {
        return $person !== null && Badge::query()->where('code_hash', Badge::hash($code))->where('user_id', $person->id)
            ->where('active', true)->exists();
    }

    public function carried(): array
    {
        return array_fill_keys(Badge::query()->where('active', true)->pluck('user_id')->all(), true);
    }

    private function endActive(User $of, string $because): void
    {
        $ended = Badge::query()->where('user_id', $of->id)->where('active', true)
            ->update(['active' => false, 'ended_because' => $because, 'ended_at' => CarbonImmutable::now()]);
        $ended > 0 && BadgeEnded::dispatch($of->id);
    }
}
