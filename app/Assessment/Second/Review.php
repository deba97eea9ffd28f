<?php

declare(strict_types=1);

namespace App\Assessment\Second;

use App\Assessment\SheetAttempt;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Somebody from outside who was asked to look at one sheet: by a link that shows it, and takes one answer, for fourteen days. Of the link
 * only a hash is kept.
 *
 * @property string $id
 * @property string $attempt_id
 * @property string $token_hash
 * @property string $name
 * @property int $invited_by
 * @property CarbonImmutable $invited_at
 * @property CarbonImmutable $expires_at
 * @property CarbonImmutable|null $said_at
 * @property bool|null $agrees
 * @property string|null $says
 * @property SheetAttempt $attempt
 */
final class Review extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $table = 'assessment_reviews';

    protected $guarded = [];

    protected $attributes = ['said_at' => null, 'agrees' => null, 'says' => null];

    protected function casts(): array
    {
        return ['invited_at' => 'immutable_datetime', 'expires_at' => 'immutable_datetime', 'said_at' => 'immutable_datetime',
            'agrees' => 'boolean'];
    }

    /** @return BelongsTo<SheetAttempt, $this> */
    public function attempt(): BelongsTo
    {
        return $this->belongsTo(SheetAttempt::class);
    }

    public static function hash(#[\SensitiveParameter] string $token): string
    {
        return hash('sha256', $token);
    }

    /** The one that a link stands for, while it holds: an unknown, old or ended one is not told apart. */
    public static function byToken(#[\SensitiveParameter] string $token): self
    {
        return self::query()->where('token_hash', self::hash($token))->where('expires_at', '>=', CarbonImmutable::now())->firstOrFail();
    }
}
