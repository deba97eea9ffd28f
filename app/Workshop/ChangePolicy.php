<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Language\Speech;
use App\People\User;
use App\Policy\Policy;
use App\Support\PowerLock;
use App\Workshop\Events\PolicyChanged;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Policy\ShopPolicy;

/** Puts a changed policy in force from now on. The one before stays, so that what was in force can be shown. */
final class ChangePolicy
{
    /**
     * @param  array<string, mixed>  $settings  all of them
     *
     * @throws ValidationException naming each setting that is at fault
     */
    public function __invoke(array $settings, string $note, User $by): Policy
    {
        $faults = ShopPolicy::faults(Fields::of($settings));
        if ($faults !== []) {
            throw ValidationException::withMessages(array_map(Speech::say(...), $faults));
        }

        return DB::transaction(static function () use ($settings, $note, $by): Policy {
            PowerLock::forRestriction();
            $now = Policy::current();
            // Sent twice, it is one change.
            if ($now !== null && self::canonical($now->settings) === self::canonical($settings)) {
                return $now;
            }

            $policy = Policy::query()->create([
                'settings' => $settings,
                'note' => $note,
                'set_by' => $by->id,
                'in_force_from' => CarbonImmutable::now(),
            ]);
            PolicyChanged::dispatch($policy->id);

            return $policy;
        });
    }

    /** @param  array<string, mixed>  $settings */
    public static function canonical(array $settings): string
    {
        ksort($settings);
        array_walk_recursive($settings, static function (mixed &$value): void {
            $value = is_int($value) ? (float) $value : $value;
        });

        return json_encode($settings, JSON_THROW_ON_ERROR);
    }
}
