<?php

declare(strict_types=1);

namespace App\Competency;

use App\People\User;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;

/**
 * That somebody may assess and sign for a permit: by whom, from when, until when, at which machines, on what ground. The ledger has each
 * as it was given and ended; this is what stands.
 *
 * @property int $user_id
 * @property int $permit_id
 * @property CarbonImmutable $valid_from
 * @property CarbonImmutable|null $valid_until
 * @property list<int>|null $machines  null: all that the permit is for
 * @property string|null $ground  null of those from before it was asked
 * @property int|null $given_by
 * @property User|null $giver
 */
final class Authorisation extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $table = 'competency_authorisations';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['valid_from' => 'immutable_datetime', 'valid_until' => 'immutable_datetime', 'machines' => 'array'];
    }

    /** @return BelongsTo<User, $this> */
    public function giver(): BelongsTo
    {
        return $this->belongsTo(User::class, 'given_by');
    }

    /**
     * Those that stand now.
     *
     * @template TRelated of Model
     * @template TDeclaring of Model
     *
     * @param  BelongsToMany<TRelated, TDeclaring>  $relation
     * @return BelongsToMany<TRelated, TDeclaring>
     */
    public static function standing(BelongsToMany $relation): BelongsToMany
    {
        $now = CarbonImmutable::now();
        $relation->where('competency_authorisations.valid_from', '<=', $now)->where(static fn ($until) => $until
            ->whereNull('competency_authorisations.valid_until')->orWhere('competency_authorisations.valid_until', '>=', $now));

        return $relation;
    }

    /**
     * What stands between somebody and permits.
     *
     * @param  Collection<int, Permit>  $permits
     * @return array<int, self> by the permit's id
     */
    public static function of(User $user, Collection $permits): array
    {
        $now = CarbonImmutable::now();
        $standing = self::query()->with('giver')->where('user_id', $user->id)->whereIn('permit_id', $permits->modelKeys())
            ->where('valid_from', '<=', $now)
            ->where(static fn ($until) => $until->whereNull('valid_until')->orWhere('valid_until', '>=', $now))->get();

        $by = [];
        foreach ($standing as $one) {
            $by[$one->permit_id] = $one;
        }

        return $by;
    }

    /** Whether it is for work at this machine, too: one that names machines is not for work where none is named. */
    public function isAt(?Machine $machine): bool
    {
        return $this->machines === null || ($machine !== null && in_array($machine->id, $this->machines, true));
    }
}
