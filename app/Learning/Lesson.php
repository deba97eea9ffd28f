<?php

declare(strict_types=1);

namespace App\Learning;

use App\Language\SpeaksLanguages;
use App\Support\Given;
use App\Workshop\Machine;
use App\Workshop\Part;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Arr;
use MillStep\Core\Learning\Bound\PersonalSize;

/**
 * One version of a lesson. See LessonFile for the shape of a step.
 *
 * @phpstan-import-type Step from LessonFile
 * @phpstan-import-type Frame from LessonFrame
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
 * @property array<string, mixed>|null $plan  what its case is planned for; a plain hole through the part where null
 * @property list<Step> $steps
 * @property Frame $frame  what stands around its steps
 * @property Part|null $part
 * @property string|null $machine_kind
 * @property list<string> $findings  of the setup review, that it teaches about
 * @property array{language: string, texts: array<string, string>}|null $sources  the files that it was read from, to the letter
 * @property bool $own  written in this shop
 * @property int|null $published_by
 * @property CarbonImmutable|null $published_at
 * @property CarbonImmutable|null $retired_at  no longer begun by anybody
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
        return ['title', 'place', 'tools', 'steps', 'frame'];
    }

    protected function casts(): array
    {
        return [
            'tools' => 'array', 'steps' => 'array', 'findings' => 'array', 'frame' => 'array', 'plan' => 'array', 'sources' => 'array',
            'own' => 'boolean', 'published_at' => 'immutable_datetime', 'retired_at' => 'immutable_datetime',
        ];
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

    /** Whether its figures are those of a machine: what it was written for is known then. */
    public function isBound(): bool
    {
        return $this->machine_kind !== null && ($this->plan !== null || $this->hole !== null);
    }

    /** @return array<string, mixed> what the core is asked to plan, for a part of this thickness */
    public function wanted(Part $part): array
    {
        $plan = $this->plan ?? ['hole' => ['purpose' => 'plain', 'diameter_mm' => $part->mainHole($this->hole)['diameter_mm'] ?? null]];
        // Another part than the one that it was written for is as thick as it is itself.
        if ($part->id !== $this->part?->id) {
            Arr::set($plan, ($plan['kind'] ?? 'hole') === 'lathe' ? 'part.thickness_mm' : 'thickness_mm', $part->thickness_mm);
        }

        return Given::fields(['thickness_mm' => $part->thickness_mm, ...$plan]);
    }

    /** @return list<string> by which sizes its case may differ from learner to learner */
    public function ownSizes(): array
    {
        $plan = $this->plan ?? ['hole' => ['diameter_mm' => 0]];

        return array_values(array_filter(PersonalSize::KEYS, static fn (string $key): bool => Arr::has($plan, $key)));
    }

    /** @return list<Step> as it was written, whatever language is spoken */
    public function taught(): array
    {
        /** @var list<Step> */
        return json_decode(Given::text($this->getRawOriginal('steps')), true);
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
