<?php

declare(strict_types=1);

namespace App\Workshop;

use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property string $kind
 * @property string $system
 * @property string $designation
 * @property string $diameter_mm decimal
 * @property string $edge
 * @property string $condition
 */
final class Tool extends Model
{
    public $timestamps = false;

    protected $table = 'workshop_tools';

    protected $guarded = [];
}
