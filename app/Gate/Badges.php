<?php

declare(strict_types=1);

namespace App\Gate;

use App\Gate\Events\BadgeEnded;
use App\Gate\Events\PresenceChanged;
use App\People\BadgeDesk;
use App\People\User;
use App\Support\DatabaseClock;
use App\Support\PowerLock;
use App\Support\Refusal;
use Illuminate\Support\Facades\DB;

/** One badge that works for each person; one that was lost never works again, for anybody. */
final class Badges implements BadgeDesk
{
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
            // Whoever has one loses it by this; a first badge takes nothing from anybody.
            $this->hasOne($to) && PowerLock::forRestriction();
            User::query()->whereKey($to->id)->lockForUpdate()->firstOrFail();
            $known = Badge::query()->where('code_hash', Badge::hash($code))->first();
            if ($known?->active === true && $known->user_id === $to->id) {
                return;
            }
            if ($known !== null && $known->ended_because !== 'returned') {
                throw Refusal::because('badge_taken');
            }
            if ($this->hasOne($to)) {
                PowerLock::forRestriction();
                $this->endActive($to, 'replaced');
            }
            Badge::query()->updateOrCreate(['code_hash' => Badge::hash($code)], [
                'user_id' => $to->id, 'active' => true, 'ended_because' => null, 'ended_at' => null, 'issued_by' => $by->id,
            ]);
        });
    }

    public function end(User $of, string $because, User $by): void
    {
        DB::transaction(function () use ($of, $because): void {
            PowerLock::forRestriction();
            $this->endActive($of, $because);
            if ($because === 'lost') {
                // What it holds is ended by the gate's own look at each turn, before this is answered (Moment::$badgeLost).
                Presence::query()->where('user_id', $of->id)->update(['until' => DatabaseClock::now()]);
                PresenceChanged::dispatch($of->id);
            }
        });
    }

    public function carried(): array
    {
        /** @var list<int> $carry */
        $carry = Badge::query()->where('active', true)->pluck('user_id')->all();

        return array_fill_keys($carry, true);
    }

    private function hasOne(User $user): bool
    {
        return Badge::query()->where('user_id', $user->id)->where('active', true)->exists();
    }

    private function endActive(User $of, string $because): void
    {
        $ended = Badge::query()->where('user_id', $of->id)->where('active', true)
            ->update(['active' => false, 'ended_because' => $because, 'ended_at' => DatabaseClock::now()->format('Y-m-d H:i:s.uP')]);
        $ended > 0 && BadgeEnded::dispatch($of->id);
    }
}
