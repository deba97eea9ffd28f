<?php

declare(strict_types=1);

namespace App\Records;

use App\People\Role;
use App\People\User;
use App\Support\Given;
use Carbon\CarbonImmutable;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Notification;

/** Puts an alert on the screens of lead and auditor and writes them a letter. One that stands unseen is not raised again. */
final class RaiseAlert
{
    /**
     * @param  string  $kind  as RaisesAlert has them
     * @param  array<string, mixed>  $facts
     */
    public function __invoke(string $kind, array $facts): Alert
    {
        // As they come back from the database.
        $facts = Given::fields(json_decode(json_encode($facts, JSON_THROW_ON_ERROR), true));
        foreach (Alert::query()->where('kind', $kind)->whereNull('seen_at')->get() as $standing) {
            if (self::same($standing->facts, $facts)) {
                return $standing;
            }
        }
        $alert = Alert::query()->create(['kind' => $kind, 'facts' => $facts, 'raised_at' => CarbonImmutable::now()]);
        try {
            Notification::send(
                User::query()->whereIn('role', [Role::Lead, Role::Auditor])->where('active', true)->get(),
                new AlertLetter($kind, $facts),
            );
        } catch (\Throwable $failure) {
            // The alert stands on the screens even when no mail can be sent.
            Log::error('An alert could not be mailed.', ['kind' => $kind, 'failure' => $failure::class]);
        }

        return $alert;
    }

    /**
     * JSON keeps no order of keys.
     *
     * @param  array<string, mixed>  $a
     * @param  array<string, mixed>  $b
     */
    private static function same(array $a, array $b): bool
    {
        return json_encode(Arr::sortRecursive($a)) === json_encode(Arr::sortRecursive($b));
    }
}
