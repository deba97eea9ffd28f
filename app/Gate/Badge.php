<?php

declare(strict_types=1);

namespace App\Gate;

use App\People\User;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\Config;

/**
 * @property int $id
 * @property int $user_id
 * @property string $code_hash
 * @property bool $active
 * @property 'lost'|'returned'|'replaced'|null $ended_because
 * @property User $user
 */
final class Badge extends Model
{
    protected $table = 'gate_badges';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['active' => 'boolean'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** Keyed with the application's secret, so that the table alone does not give the codes away. */
    public static function hash(#[\SensitiveParameter] string $code): string
    {
        return hash_hmac('sha256', mb_strtoupper(trim($code)), Config::string('app.key'));
    }
}
