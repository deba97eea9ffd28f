<?php

declare(strict_types=1);

namespace App\People;

use App\Language\SpokenTo;
use App\Support\BootsByName;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Translation\HasLocalePreference;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Casts\Attribute;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Notifications\Notifiable;
use Illuminate\Support\Facades\DB;

/**
 * @property int $id
 * @property string $name
 * @property string $email
 * @property string|null $password  null until they have set one
 * @property Role $role
 * @property bool $active
 * @property 'mm'|'in' $units
 * @property string $language one that Sentences knows
 * @property string|null $pin_hash
 * @property CarbonImmutable|null $pin_set_at
 * @property int $pin_failures
 * @property CarbonImmutable|null $pin_locked_until
 * @property string|null $totp_secret
 * @property CarbonImmutable|null $totp_confirmed_at
 * @property int|null $totp_used_step
 * @property CarbonImmutable|null $born_on
 * @property CarbonImmutable|null $guardian_acknowledged_on
 * @property bool $all_cohorts  an instructor who reaches every learner
 * @property bool $mail_when_waiting  a letter when a learner of theirs waits
 * @property CarbonImmutable|null $invited_at
 * @property CarbonImmutable|null $joined_at  when a password of their own was set
 * @property CarbonImmutable $created_at
 * @property CarbonImmutable|null $forgotten_at  from then on nothing of them is known but what they did
 * @property string|null $sis_id  what the school calls them in its lists
 * @property Collection<int, Cohort> $cohorts
 * @property Collection<int, Model> $signsFor  the permits that they may sign for: the room of competency says which
 *
 * @method BelongsToMany<Model, User> signsFor()
 */
final class User extends Authenticatable implements HasLocalePreference, SpokenTo
{
    use BootsByName;
    use Notifiable;

    protected $table = 'people_users';

    protected $guarded = [];

    protected $attributes = [
        'language' => 'en', 'all_cohorts' => false, 'mail_when_waiting' => false,
        'totp_secret' => null, 'totp_confirmed_at' => null, 'totp_used_step' => null,
        'forgotten_at' => null,
    ];

    protected $hidden = ['password', 'pin_hash', 'pin_open_guess', 'pin_open_at', 'remember_token', 'totp_secret'];

    protected function casts(): array
    {
        return [
            'role' => Role::class,
            'active' => 'boolean',
            'password' => 'hashed',
            'pin_hash' => 'hashed',
            'pin_locked_until' => 'immutable_datetime',
            'pin_set_at' => 'immutable_datetime',
            'totp_secret' => 'encrypted',
            'totp_confirmed_at' => 'immutable_datetime',
            'all_cohorts' => 'boolean',
            'mail_when_waiting' => 'boolean',
            'invited_at' => 'immutable_datetime',
            'joined_at' => 'immutable_datetime',
            'forgotten_at' => 'immutable_datetime',
            'born_on' => 'immutable_date',
            'guardian_acknowledged_on' => 'immutable_date',
        ];
    }

    /** One mailbox, however its letters are written. */
    public static function address(string $typed): string
    {
        return mb_strtolower(trim($typed));
    }

    protected function email(): Attribute
    {
        return Attribute::set(self::address(...));
    }

    /** In which the framework's own words of a letter are. */
    public function preferredLocale(): string
    {
        return $this->language;
    }

    public function speaks(): string
    {
        return $this->language;
    }

    public function measuresIn(): string
    {
        return $this->units;
    }

    public function teaches(): bool
    {
        return $this->active && in_array($this->role, [Role::Lead, Role::Instructor], true);
    }

    public function leads(): bool
    {
        return $this->active && $this->role === Role::Lead;
    }

    /**
     * Asked again after the lock of a restriction was waited for: two leads who take the role from each other at once would leave none.
     *
     * @throws Refusal `no_longer_lead`
     */
    public function checkStillLeads(): void
    {
        if (! self::query()->findOrFail($this->id)->leads()) {
            throw Refusal::forbidden('no_longer_lead');
        }
    }

    /** @throws Refusal `person_forgotten` */
    public function checkIsKnown(): void
    {
        $this->forgotten_at === null || throw Refusal::because('person_forgotten');
    }

    /** Reads records, changes and alerts of the whole shop, and changes nothing. */
    public function audits(): bool
    {
        return $this->active && $this->role === Role::Auditor;
    }

    public function isUnderAge(): bool
    {
        return $this->born_on !== null && $this->born_on->age < 18;
    }

    public function learns(): bool
    {
        return $this->role === Role::Learner;
    }

    /**
     * Whose classes they are in, or teach.
     *
     * @return BelongsToMany<Cohort, $this>
     */
    public function cohorts(): BelongsToMany
    {
        $cohorts = $this->belongsToMany(Cohort::class, 'people_memberships');
        $cohorts->orderBy('starts_on')->orderBy('name');

        return $cohorts;
    }

    /** Whether this person teaches that learner: of a cohort of theirs, or the lead says that they reach everybody. */
    public function reaches(self $learner): bool
    {
        return $this->teaches() && ($this->leads() || $this->all_cohorts || DB::table('people_memberships', 'own')
            ->join('people_memberships as theirs', 'theirs.cohort_id', '=', 'own.cohort_id')
            ->where('own.user_id', $this->id)->where('theirs.user_id', $learner->id)->exists());
    }

    /**
     * The learners that this person teaches, by name.
     *
     * @return Builder<self>
     */
    public function reached(): Builder
    {
        return self::learners()->when(
            ! $this->leads() && ! $this->all_cohorts,
            fn (Builder $learners): Builder => $learners->whereHas(
                'cohorts',
                fn (Builder $cohorts): Builder => $cohorts
                    ->whereIn('people_cohorts.id', DB::table('people_memberships')->where('user_id', $this->id)->select('cohort_id')),
            ),
        );
    }

    /**
     * Everybody who learns here now, by name.
     *
     * @return Builder<self>
     */
    public static function learners(): Builder
    {
        return self::query()->where('role', Role::Learner)->where('active', true)->orderBy('name');
    }
}
