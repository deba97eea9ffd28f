<?php

declare(strict_types=1);

namespace App\Workshop;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property string $slug
 * @property string $name
 * @property Collection<int, Tool> $tools
 */
final class Crib extends Model
{
    protected $table = 'workshop_cribs';

    protected $guarded = [];

    /** @return HasMany<Tool, $this> */
    public function tools(): HasMany
    {
        return $this->hasMany(Tool::class);
    }

    /** @return array<string, mixed> as the core's plans read it */
    public function spec(): array
    {
        return ['drills' => array_values($this->tools->where('kind', 'drill')->where('condition', 'sharp')->map(static fn (Tool $tool): array => [
            'designation' => $tool->designation, 'diameter_mm' => (float) $tool->diameter_mm, 'edge' => $tool->edge,
        ])->all())];
    }
}
