<?php

declare(strict_types=1);

namespace App\Learning;

use App\Workshop\Machine;
use App\Workshop\Part;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One version of a lesson. See LessonFile for the shape of a step.
 *
 * @phpstan-import-type Step from LessonFile
 *
 * @property int $id
 * @property string $code
 * @property int $version
 * @property int $accepted_from
 * @property string $title
 * @property string $place
 * @property int $minutes
 * @property list<string> $tools
 * @property string|null $hole
 * @property list<Step> $steps
 * @property Part|null $part
 * @property Machine|null $machine
 */
final class Lesson extends Model
{
    protected $table = 'learning_lessons';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['tools' => 'array', 'steps' => 'array'];
    }

    /** @return BelongsTo<Part, $this> */
    public function part(): BelongsTo
    {
        return $this->belongsTo(Part::class);
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    public static function current(string $code): self
    {
        return self::query()->with(['part', 'machine.cribs.tools'])->where('code', $code)->latest('version')->firstOrFail();
    }

    /** @return Step|null */
    public function step(string $key): ?array
    {
        foreach ($this->steps as $step) {
            if ($step['key'] === $key) {
                return $step;
            }
        }

        return null;
    }
}
