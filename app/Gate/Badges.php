<?php

declare(strict_types=1);

namespace App\Gate;

use App\Gate\Events\BadgeEnded;
use App\Gate\Events\PresenceChanged;
use App\People\BadgeDesk;
use App\People\User;
use App\Policy\Policy;
use App\Support\DatabaseClock;
use App\Support\PowerLock;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/** One badge that works for each person; one that was lost never works again, for anybody. */
final class Badges implements BadgeDesk
{
    public function __construct(private readonly EndTurn $endTurn)
    {
    }

    public function known(#[\SensitiveParameter] array $codes): array
    {
        $hashes = [];
        foreach ($codes as $code) {
            $hashes[Badge::hash($code)] = $code;
        }
        $known = [];
        $badges = Badge::query()->whereIn('code_hash', array_keys($hashes))->whereRaw("ended_because IS DISTINCT FROM 'returned'")->get();
        foreach ($badges as $badge) {
            $known[$hashes[$badge->code_hash]] = ['holder' => $badge->user_id, 'works' => $badge->active];
        }

        return $known;
    }

    public function issue(User $to, #[\SensitiveParameter] string $code, User $by): void
    {
        DB::transaction(function () use ($to, $code, $by): void {
            PowerLock::forRestriction();
            User::query()->whereKey($to->id)->lockForUpdate()->firstOrFail();
            $known = Badge::query()->where('code_hash', Badge::hash($code))->first();
            if ($known?->active === true && $known->user_id === $to->id) {
                return;
            }
            if ($known !== null && $known->ended_because !== 'returned') {
                throw Refusal::because('badge_taken');
            }
            $this->endActive($to, 'replaced');
            Badge::query()->updateOrCreate(['code_hash' => Badge::hash($code)], [
                'user_id' => $to->id, 'active' => true, 'ended_because' => null, 'ended_at' => null, 'issued_by' => $by->id,
            ]);
        });
    }

    public function end(User $of, string $because, User $by): void
    {
        DB::transaction(function () use ($of, $because, $by): void {
            PowerLock::forRestriction();
            $this->endActive($of, $because);
            if ($because !== 'lost') {
                return;
            }
            // Nobody can say who stands at a machine that a lost badge has opened, beside which it stood, or who came with it.
            $open = MachineSession::query()->whereNull('ended_at')->where(static fn (Builder $whose): Builder => $whose
                ->where('user_id', $of->id)->orWhere('companion_id', $of->id)->orWhere('supervisor_id', $of->id))->get();
            $now = DatabaseClock::now();
            foreach ($open as $turn) {
                ($this->endTurn)($turn, Policy::inForce(), 'revoked', $now, ['badge_lost'], $by);
            }
            Presence::query()->where('user_id', $of->id)->update(['until' => $now]);
            PresenceChanged::dispatch($of->id);
        });
    }

    public function carried(): array
    {
        /** @var list<int> $carry */
        $carry = Badge::query()->where('active', true)->pluck('user_id')->all();

        return array_fill_keys($carry, true);
    }

    private function endActive(User $of, string $because): void
    {
        $ended = Badge::query()->where('user_id', $of->id)->where('active', true)
            ->update(['active' => false, 'ended_because' => $because, 'ended_at' => CarbonImmutable::now()]);
        $ended > 0 && BadgeEnded::dispatch($of->id);
    }
}
