<?php

declare(strict_types=1);

namespace App\Gate;

use App\Gate\Events\ClockConfirmed;
use App\People\Pin;
use App\People\User;
use App\Support\DatabaseClock;
use App\Support\Given;
use App\Support\PowerLock;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** After the clock was put back no machine gets power until a person says that it is right. */
final class ConfirmClock
{
    public function __construct(private readonly Pin $pin)
    {
    }

    /** Whether it waits for that. */
    public static function isWanted(): bool
    {
        $now = DatabaseClock::pretended();
        $row = DB::selectOne('SELECT gate_clock_is_back(coalesce(?::timestamptz, clock_timestamp())) AS back', [$now]);

        return $row?->back === true;
    }

    /** @return CarbonImmutable|null the latest that was read or begun, whatever the clock says now; null where nothing ever was */
    public static function latest(): ?CarbonImmutable
    {
        $row = DB::selectOne('SELECT greatest((SELECT max(read_at) FROM gate_reads), (SELECT max(started_at) FROM gate_sessions)) AS at');

        return $row?->at === null ? null : CarbonImmutable::parse(Given::text($row->at));
    }

    /**
     * @param  string  $id  of the caller's making: sent twice it speaks about what was there the first time
     *
     * @throws \App\Support\Refusal a PIN's
     */
    public function __invoke(User $by, #[\SensitiveParameter] string $pin, string $id): void
    {
        $this->pin->confirm($by, $pin);
        DB::transaction(static function () use ($by, $id): void {
            // No badge is read meanwhile: it speaks about all that were.
            PowerLock::forRestriction();
            ClockConfirmation::query()->createOrFirst(['given_id' => $id], [
                'user_id' => $by->id,
                'confirmed_at' => DatabaseClock::now(),
                'read_seq' => Given::whole(BadgeRead::query()->max('seq') ?? 0),
                'session_seq' => Given::whole(MachineSession::query()->max('seq') ?? 0),
            ]);
            ClockConfirmed::dispatch($by->id);
        });
    }
}
