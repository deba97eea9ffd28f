<?php

declare(strict_types=1);

namespace App\Gate;

use App\Support\BootsByName;
use App\Support\DatabaseClock;
use Illuminate\Support\Facades\DB;
use Laravel\Sanctum\PersonalAccessToken;

/**
 * What a device carries. Stored as a hash only.
 *
 * @property int $id
 * @property \DateTimeInterface|null $expires_at
 */
final class Token extends PersonalAccessToken
{
    use BootsByName;

    protected $table = 'gate_tokens';

    /** At its first use it takes the place of those before it. */
    public function takeOver(): void
    {
        DB::transaction(function (): void {
            $now = DatabaseClock::now();
            $mine = self::query()->whereKey($this->id)->whereNull('first_used_at')->whereNull('replaced_at')
                ->update(['first_used_at' => $now]);
            $mine === 0 || self::query()->where('tokenable_id', self::query()->whereKey($this->id)->select('tokenable_id'))
                ->where('id', '<>', $this->id)->whereNull('replaced_at')->update(['replaced_at' => $now]);
        });
    }
}
