<?php

declare(strict_types=1);

namespace App\Competency;

use App\Competency\Events\PermitDefined;
use App\People\User;
use App\Support\PowerLock;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * Gives somebody what it takes to assess and sign for a permit, and takes it away. Each is an entry of the ledger; ended with it are the
 * turns that they watch.
 *
 * @phpstan-type Given array{ground: string, until?: CarbonImmutable|null, machines?: list<int>|null}
 */
final class Authorise
{
    public function __construct(private readonly RecordEntry $record)
    {
    }

    /** @param  Given  $given */
    public function give(Permit $permit, User $person, User $by, array $given): void
    {
        DB::transaction(function () use ($permit, $person, $by, $given): void {
            $machines = ($given['machines'] ?? []) === [] ? null : $given['machines'];
            Authorisation::query()->where('user_id', $person->id)->where('permit_id', $permit->id)->delete();
            Authorisation::query()->create([
                'user_id' => $person->id, 'permit_id' => $permit->id, 'valid_from' => CarbonImmutable::now(),
                'valid_until' => $given['until'] ?? null, 'machines' => $machines, 'ground' => $given['ground'], 'given_by' => $by->id,
            ]);
            ($this->record)($person, $permit, 'authorised', array_filter([
                'until' => ($given['until'] ?? null)?->utc()->toIso8601ZuluString(),
                'machines' => $machines === null ? null : Machine::query()->whereIn('id', $machines)->orderBy('slug')->pluck('slug')->all(),
                'ground' => $given['ground'],
            ], static fn (mixed $one): bool => $one !== null), $by);
        });
    }

    public function end(Permit $permit, User $person, User $by): void
    {
        DB::transaction(function () use ($permit, $person, $by): void {
            PowerLock::forRestriction();
            if (Authorisation::query()->where('user_id', $person->id)->where('permit_id', $permit->id)->delete() > 0) {
                ($this->record)($person, $permit, 'authorisation_ended', [], $by);
                PermitDefined::dispatch($permit->id);
            }
        });
    }
}
