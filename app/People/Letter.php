<?php

declare(strict_types=1);

namespace App\People;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A letter in the stand-in mailbox.
 *
 * @property int $id
 * @property string $recipient
 * @property string $subject
 * @property string $body
 * @property CarbonImmutable $created_at
 */
final class Letter extends Model
{
    public const UPDATED_AT = null;

    protected $table = 'people_letters';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        // A link in it opens an account: it lies here as little in clear as a password does.
        return ['body' => 'encrypted'];
    }
}
