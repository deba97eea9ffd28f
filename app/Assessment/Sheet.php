<?php

declare(strict_types=1);

namespace App\Assessment;

use App\Language\SpeaksLanguages;
use App\Workshop\Machine;
use App\Workshop\Part;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use MillStep\Core\Assessment\Criterion;
use MillStep\Core\Assessment\Personal;
use MillStep\Core\Assessment\Variant;
use MillStep\Core\Border\Fields;

/**
 * One version of a practical sheet.
 *
 * @phpstan-type SheetCriterion array{id: string, text: string, kind: 'observed'|'measured'|'judged', weight: float, critical: bool,
 *     critical_prompt_stops: bool, group: string, scale_max?: int, measure?: string, hole?: string, feature?: string,
 *     dimension?: string, lesson?: string, x_mm?: float, y_mm?: float, levels?: array<string, string>,
 *     levels_for?: array<string, array<string, string>>, must?: bool, review?: list<string>, follow_ups?: list<string>,
 *     not_critical_because?: string, places?: list<string>, allowance_mm?: float}
 * @phpstan-type SheetTask array{id: string, text: string, criterion?: string}
 *
 * @property int $id
 * @property string $code
 * @property int $version
 * @property string $title
 * @property int|null $part_id
 * @property int $pass_mark_percent
 * @property list<SheetCriterion> $criteria
 * @property array{observed_pass_percent?: int, prompt_limit?: int, why_limit?: int}|null $gates  beside the pass mark; null of old
 * @property list<array{id: string, name: string}> $dimensions  everybody has their own of
 * @property list<SheetTask> $tasks  what the learner works out from them
 * @property list<array{key: string, material: string, replaces?: array<string, array<string, mixed>>}> $variants  the pieces that it may
 *     be done on, the first unless somebody chooses; none: its part as it is
 * @property array<string, array<string, mixed>> $translations
 * @property bool $own  written in this shop
 * @property int|null $published_by
 * @property string|null $change_note
 * @property CarbonImmutable|null $created_at
 * @property Part $part
 * @property string|null $machine_kind
 * @property Machine|null $boundMachine
 * @property-read Machine|null $machine
 */
final class Sheet extends Model
{
    use SpeaksLanguages;

    protected $table = 'assessment_sheets';

    protected $guarded = [];

    protected $attributes = ['dimensions' => '[]', 'tasks' => '[]', 'variants' => '[]', 'own' => false,
        'published_by' => null, 'change_note' => null,
        'gates' => null];

    public static function spoken(): array
    {
        return ['title', 'criteria', 'dimensions', 'tasks', 'variants'];
    }

    protected function casts(): array
    {
        return ['criteria' => 'array', 'dimensions' => 'array', 'tasks' => 'array', 'variants' => 'array', 'own' => 'boolean',
            'gates' => 'array'];
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

    public static function current(string $code): self
    {
        return self::query()->with(['part', 'boundMachine'])->where('code', $code)->latest('version')->firstOrFail();
    }

    /**
     * The piece that it is done on.
     *
     * @param  string|null  $key  null: the first
     */
    public function variant(?string $key): ?Variant
    {
        foreach ($this->variants as $index => $variant) {
            if ($variant['key'] === $key || ($key === null && $index === 0)) {
                return Variant::fromRow($variant);
            }
        }

        return null;
    }

    /** @return list<SheetCriterion> its lines as they are for a piece */
    public function lines(?string $variant): array
    {
        /** @var list<SheetCriterion> */
        return $this->variant($variant)?->of($this->criteria) ?? $this->criteria;
    }

    /** What is made of: its own, or the piece's. */
    public function material(?string $variant): string
    {
        return $this->variant($variant)->material ?? $this->part->material;
    }

    /** @return list<array<string, mixed>> what it shows on a piece, as the core's Shown reads it */
    public function shows(?string $variant): array
    {
        return Variant::shows($this->lines($variant), $this->material($variant));
    }

    /** Whether it is done at such a machine, and that one is in service. */
    public function isDoneAt(Machine $machine): bool
    {
        // What is drilled on the bench may be drilled on the floor; not the other way round, for its taper.
        return $machine->in_service && ($this->machine_kind === null || $machine->kind === $this->machine_kind
            || ($this->machine_kind === 'bench_drill_press' && $machine->kind === 'floor_drill_press'));
    }

    /** @return Collection<int, Machine> that it may be done at today, the one that it is written for first */
    public function machines(): Collection
    {
        return Machine::query()->where('in_service', true)->orderBy('id')->get()
            ->filter(fn (Machine $machine): bool => $this->isDoneAt($machine))
            ->sortBy(fn (Machine $machine): int => $machine->kind === $this->machine_kind ? 0 : 1)->values();
    }

    /**
     * Lines and what is asked for, as the core scores them. A line of the group *safety* is one at which nobody should have to speak,
     * one of *why* a reason that was asked for.
     *
     * @param  array<array<string, mixed>>  $lines  with what was found for each
     * @param  mixed  $passMark  percent
     * @param  array<string, mixed>  $more  gates, and what a prompt is worth
     */
    public static function asked(array $lines, mixed $passMark, array $more): Fields
    {
        return Fields::of([
            'criteria' => array_map(static fn (array $line): array => [
                ...$line, 'safety' => ($line['group'] ?? '') === 'safety', 'why' => ($line['group'] ?? '') === 'why',
            ], array_values($lines)),
            'pass_mark_percent' => $passMark,
            ...$more,
        ]);
    }

    /**
     * The results of a line that would end the assessment.
     *
     * @param  SheetCriterion  $criterion
     * @return list<string|int>
     *
     * @throws \MillStep\Core\Border\InvalidInput when the line is not readable
     */
    public static function stopsOn(array $criterion): array
    {
        return Criterion::stopsOn(Fields::of($criterion));
    }

    /** @throws \MillStep\Core\Border\InvalidInput when they make no sense */
    public function ranges(): Personal
    {
        return Personal::of(array_map(Fields::of(...), $this->dimensions));
    }
}
