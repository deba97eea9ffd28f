<?php

declare(strict_types=1);

namespace App\Assessment\Who;

use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use MillStep\Core\Assessment\ExceptionKind;

/**
 * That a learner may try a sheet once before supervised practice here. Its words stand in the ledger.
 *
 * @property string $id
 * @property int $learner_id
 * @property string $sheet
 * @property ExceptionKind $kind
 * @property int $granted_by
 * @property CarbonImmutable $granted_at
 * @property string|null $attempt_id  the try that it was for
 * @property User $grantor
 */
final class AssessmentException extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $table = 'assessment_exceptions';

    protected $guarded = [];

    protected $attributes = ['attempt_id' => null];

    protected function casts(): array
    {
        return ['granted_at' => 'immutable_datetime', 'kind' => ExceptionKind::class];
    }

    /** @return BelongsTo<User, $this> */
    public function grantor(): BelongsTo
    {
        return $this->belongsTo(User::class, 'granted_by');
    }

    /** @return array{kind: string, by: string, at: string} */
    public function shown(): array
    {
        return ['kind' => $this->kind->value, 'by' => $this->grantor->name, 'at' => $this->granted_at->toIso8601ZuluString()];
    }

    /** The one that is still to be used; whoever granted it does not use it themselves. */
    public static function unused(User $learner, string $sheet, ?User $butNotBy = null): ?self
    {
        $found = self::query()->where('learner_id', $learner->id)->where('sheet', $sheet)->whereNull('attempt_id')
            ->when($butNotBy !== null, static fn ($query) => $query->where('granted_by', '<>', $butNotBy?->id));
        $found->oldest('granted_at');

        return $found->first();
    }
}
