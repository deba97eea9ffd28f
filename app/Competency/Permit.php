<?php

declare(strict_types=1);

namespace App\Competency;

use App\Language\SpeaksLanguages;
use App\People\User;
use App\Support\BootsByName;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\AccessRequest;
use MillStep\Core\Competency\Scope;

/**
 * @property int $id
 * @property string $code
 * @property string $name
 * @property array{lessons: list<string>, checks: list<string>, practice_count: int, practice_minutes: int, assessments: list<string>,
 *     guided?: list<string>, prerequisites?: list<string>, recency_days?: int, renewal_check_days?: int,
 *     later?: list<array{kind: string, what: string, from: string, until: string}>, earlier_checks?: list<string>} $requirement
 * @property int $validity_days
 * @property array{materials?: list<string>, operations?: list<string>, max_diameter_mm?: float, min_thickness_mm?: float,
 *     companion?: bool} $scope
 * @property list<string> $machine_kinds  that it is meant for
 * @property bool $further  widens what may be done at its machines; not needed for what their other permits are for
 * @property Collection<int, Statement> $statements
 * @property Collection<int, Machine> $machines
 * @property Collection<int, User> $signers
 * @property Collection<int, Authorisation> $authorisations
 * @property Collection<int, User> $supervisors
 */
final class Permit extends Model
{
    use BootsByName;
    use SpeaksLanguages;

    protected $table = 'competency_permits';

    protected $guarded = [];

    public static function spoken(): array
    {
        return ['name'];
    }

    protected function casts(): array
    {
        return ['requirement' => 'array', 'scope' => 'array', 'machine_kinds' => 'array', 'further' => 'boolean'];
    }

    public function getRouteKeyName(): string
    {
        return 'code';
    }

    /** @return HasMany<Statement, $this> */
    public function statements(): HasMany
    {
        return $this->hasMany(Statement::class);
    }

    /** What a machine and a person are to a permit is this room's to say; the rooms below know the relation by its name. */
    public static function relate(): void
    {
        Machine::resolveRelationUsing(
            'permits',
            static fn (Machine $machine): BelongsToMany => $machine->belongsToMany(self::class, 'competency_machine_permit'),
        );
        User::resolveRelationUsing(
            'signsFor',
            static fn (User $user): BelongsToMany => Authorisation::standing(
                $user->belongsToMany(self::class, 'competency_authorisations'),
            ),
        );
    }

    /**
     * Those that running a machine alone takes, all of them.
     *
     * @return Collection<int, self>
     */
    public static function ofMachine(Machine $machine): Collection
    {
        /** @var Collection<int, self> */
        return $machine->loadMissing('permits')->getRelationValue('permits');
    }

    /**
     * Those that running a machine takes, whatever is done there.
     *
     * @return Collection<int, self>
     */
    public static function neededAt(Machine $machine): Collection
    {
        return self::ofMachine($machine)->reject(static fn (self $permit): bool => $permit->further)->values();
    }

    /**
     * Those that widen what may be done there.
     *
     * @return Collection<int, self>
     */
    public static function furtherAt(Machine $machine): Collection
    {
        return self::ofMachine($machine)->filter(static fn (self $permit): bool => $permit->further)->values();
    }

    /**
     * Those that a piece of work at a machine is done under: what the machine takes, and what is for just this work.
     *
     * @param  array<string, mixed>  $request  as it was said at the gate
     * @return Collection<int, self>
     *
     * @throws \MillStep\Core\Border\InvalidInput when what is stored is no scope
     */
    public static function workedUnder(Machine $machine, array $request): Collection
    {
        $needed = self::neededAt($machine);
        $said = AccessRequest::fromFields(Fields::of($request));
        // What is within the needed ones is theirs; nothing said is nothing further.
        $within = $needed->every(static fn (self $permit): bool => $permit->coreScope()->covers($said));

        return $within ? $needed : $needed->merge(
            self::furtherAt($machine)->filter(static fn (self $permit): bool => $permit->coreScope()->covers($said)),
        )->values();
    }

    /**
     * What it asks for after a change, with what is then asked later; a permit that is new asks for all of it at once.
     *
     * @param  array<string, mixed>  $requirement
     * @param  int|null  $days  for how long whoever is known is spared
     * @return array<string, mixed>
     */
    public function asking(array $requirement, ?int $days): array
    {
        return $this->exists
            ? AskedLater::since($this->requirement, $requirement, CarbonImmutable::now()->startOfSecond(), $days ?? AskedLater::DAYS)
            : $requirement;
    }

    /** Whether somebody teaches, and is authorised to sign for this permit. */
    public function isSignedBy(User $user): bool
    {
        return $user->teaches() && $this->signers()->whereKey($user->id)->exists();
    }

    /** Whether somebody teaches, and is authorised to sign for some permit. */
    public static function anySignedBy(User $user): bool
    {
        return $user->teaches() && self::query()->whereRelation('signers', 'people_users.id', $user->id)->exists();
    }

    /** @return BelongsToMany<Machine, $this> */
    public function machines(): BelongsToMany
    {
        return $this->belongsToMany(Machine::class, 'competency_machine_permit');
    }

    /** @return BelongsToMany<User, $this> who may sign for it */
    public function signers(): BelongsToMany
    {
        return Authorisation::standing($this->belongsToMany(User::class, 'competency_authorisations'));
    }

    /** @return HasMany<Authorisation, $this> that somebody may assess and sign for it, also what has run out */
    public function authorisations(): HasMany
    {
        return $this->hasMany(Authorisation::class);
    }

    /** @return BelongsToMany<User, $this> who may supervise for it without signing */
    public function supervisors(): BelongsToMany
    {
        return $this->belongsToMany(User::class, 'competency_supervisors');
    }

    /**
     * What a signature for it may cover at most.
     *
     * @throws \MillStep\Core\Border\InvalidInput when what is stored is no scope
     */
    public function coreScope(): Scope
    {
        return Scope::fromFields(Fields::of($this->scope));
    }

    /** @throws \LogicException when the permit has no statement yet */
    public function statementInForce(): Statement
    {
        $now = now();
        $newest = null;
        foreach ($this->statements as $statement) {
            if ($statement->in_force_from <= $now && ($newest === null || $statement->version > $newest->version)) {
                $newest = $statement;
            }
        }

        return $newest ?? throw new \LogicException("The permit {$this->code} has no statement in force.");
    }
}
