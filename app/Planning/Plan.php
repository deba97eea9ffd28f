<?php

declare(strict_types=1);

namespace App\Planning;

use App\Language\Speech;
use App\People\Role;
use App\People\User;
use App\Workshop\Part;
use App\Workshop\ShopAtHand;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Validation\ValidationException;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Policy\ShopPolicy;

/**
 * A plan that was given a name. Its request is kept as it was typed, so that it is planned anew whenever it is
 * looked at; what it came to when it was saved is kept beside it, so that a difference shows.
 *
 * @property string $id
 * @property string $name
 * @property PlanKind $kind
 * @property array<string, mixed> $request with `units`
 * @property array<string, mixed> $answer
 * @property int|null $part_id
 * @property int $owner_id
 * @property User $owner
 * @property Part|null $part
 * @property Collection<int, Attachment> $attachments
 * @property CarbonImmutable $updated_at
 */
final class Plan extends Model
{
    use SoftDeletes;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $table = 'planning_plans';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['kind' => PlanKind::class, 'request' => 'array', 'answer' => 'array'];
    }

    /** @return BelongsTo<User, $this> */
    public function owner(): BelongsTo
    {
        return $this->belongsTo(User::class, 'owner_id');
    }

    /** @return BelongsTo<Part, $this> */
    public function part(): BelongsTo
    {
        return $this->belongsTo(Part::class);
    }

    /** @return HasMany<Attachment, $this> */
    public function attachments(): HasMany
    {
        return $this->hasMany(Attachment::class);
    }

    /**
     * Learners see the shop's plans and their own; whoever teaches sees those of their learners too.
     *
     * @return Builder<self>
     */
    public static function visibleTo(User $user): Builder
    {
        $plans = self::query();

        return $user->leads()
            ? $plans
            : $plans->where(
                static fn (Builder $any): Builder => $any->where('owner_id', $user->id)->orWhereHas(
                    'owner',
                    static fn (Builder $owner): Builder => $owner->where('role', '!=', Role::Learner),
                )->when(
                    $user->teaches(),
                    static fn (Builder $any): Builder => $any->orWhereHas('owner', static fn (Builder $owner): Builder => $owner
                        ->whereIn('id', $user->reached()->reorder()->select('id'))),
                ),
            );
    }

    /**
     * One that was kept in a shape that is not read any more says so, and spoils nothing else.
     *
     * @param  ShopPolicy|null  $policy  to plan by; null for the one in force
     *
     * @throws CoreException|ValidationException when it cannot be planned
     */
    public function planNow(ShopAtHand $shop, ?ShopPolicy $policy = null): Planned
    {
        try {
            $units = ($this->request['units'] ?? null) === 'in' ? 'in' : 'mm';

            return $this->kind->wanted()::of($this->request, $units)->plan($shop, $policy);
        } catch (CoreException|ValidationException $fault) {
            throw $fault;
        } catch (\Throwable $fault) {
            report($fault);
            throw Speech::fault('plan', 'plan_unreadable');
        }
    }
}
