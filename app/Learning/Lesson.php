<?php

declare(strict_types=1);

namespace App\Learning;

use App\Language\SpeaksLanguages;
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
 * @property string|null $machine_kind
 * @property list<string> $findings  of the setup review, that it teaches about
 * @property Machine|null $boundMachine
 * @property-read Machine|null $machine
 */
final class Lesson extends Model
{
    use SpeaksLanguages;

    protected $table = 'learning_lessons';

    protected $guarded = [];

    public static function spoken(): array
    {
        return ['title', 'place', 'tools', 'steps'];
    }

    protected function casts(): array
    {
        return ['tools' => 'array', 'steps' => 'array', 'findings' => 'array'];
    }

    /** @return BelongsTo<Part, $this> */
    public function part(): BelongsTo
    {
        return $this->belongsTo(Part::class);
    }

    /** @return BelongsTo<Machine, $this> one that was chosen for it */
    public function boundMachine(): BelongsTo
    {
        return $this->belongsTo(Machine::class, 'machine_id');
    }

    /** The machine that was chosen for it, or this shop's first of the kind that it is written for. */
    public function getMachineAttribute(): ?Machine
    {
        return $this->boundMachine ?? Machine::firstOfKind($this->machine_kind);
    }

    /** @return list<Step> as it was written, whatever language is spoken */
    public function taught(): array
    {
        /** @var list<Step> */
        return json_decode((string) $this->getRawOriginal('steps'), true);
    }

    public static function current(string $code): self
    {
        return self::query()->with(['part', 'boundMachine.cribs.tools'])->where('code', $code)->latest('version')->firstOrFail();
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
