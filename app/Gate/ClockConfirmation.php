<?php

declare(strict_types=1);

namespace App\Gate;

use Illuminate\Database\Eloquent\Model;

/**
 * Somebody who teaches has looked at a clock that was put back, and says that it is right now.
 *
 * @property int $user_id
 */
final class ClockConfirmation extends Model
{
    public $timestamps = false;

    protected $table = 'gate_clock_confirmations';

    protected $guarded = [];
}
