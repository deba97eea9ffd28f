<?php

declare(strict_types=1);

namespace App\Gate;

use App\Support\BootsByName;
use Laravel\Sanctum\PersonalAccessToken;

/**
 * What a device carries. Stored as a hash only.
 *
 * @property int $id
 * @property \DateTimeInterface|null $expires_at
 */
final class Token extends PersonalAccessToken
{
    use BootsByName;

    protected $table = 'gate_tokens';
}
