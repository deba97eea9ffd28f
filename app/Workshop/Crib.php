<?php

declare(strict_types=1);

namespace App\Workshop;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A set of tools that lies together.
 *
 * @property int $id
 * @property string $slug
 * @property string $name
 * @property string|null $note
 * @property Collection<int, Tool> $tools
 * @property Collection<int, Machine> $machines
 */
final class Crib extends Model
{
    protected $table = 'workshop_cribs';

    protected $guarded = [];

    public function getRouteKeyName(): string
    {
        return 'slug';
    }

    /** @return HasMany<Tool, $this> */
    public function tools(): HasMany
    {
        $tools = $this->hasMany(Tool::class);
        $tools->orderBy('kind')->orderBy('diameter_mm')->orderBy('id');

        return $tools;
    }

    /** @return BelongsToMany<Machine, $this> */
    public function machines(): BelongsToMany
    {
        return $this->belongsToMany(Machine::class, 'workshop_crib_machine');
    }
}
