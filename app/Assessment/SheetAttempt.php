<?php

declare(strict_types=1);

namespace App\Assessment;

use App\Assessment\Photos\Photo;
use App\Assessment\Second\Review;
use App\People\User;
use App\Support\Refusal;
use App\Workshop\Gauges\Gauge;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use MillStep\Core\Assessment\AppealAnswer;
use MillStep\Core\Assessment\LinesFor;
use MillStep\Core\Assessment\Outcome;
use MillStep\Core\Assessment\PutAwayBecause;
use MillStep\Core\Assessment\TryEnded;
use MillStep\Core\Border\Length;

/**
 * One learner before one sheet. Open until it is concluded or cancelled; every mark is kept as it is made.
 *
 * @phpstan-import-type SheetCriterion from Sheet
 *
 * @property string $id
 * @property string|null $variant  the piece of its sheet that it is done on; null: the first
 * @property int|null $machine_id  at which it is done
 * @property Machine|null $machine
 * @property array<string, mixed>|null $machine_state  how it was found on the day it was opened
 * @property int $learner_id
 * @property int $assessor_id
 * @property string|null $outcome
 * @property string|null $score_percent
 * @property CarbonImmutable $started_at
 * @property CarbonImmutable|null $concluded_at
 * @property CarbonImmutable|null $cancelled_at
 * @property string|null $cancelled_because
 * @property int|null $cancelled_by
 * @property PutAwayBecause|null $put_away_because  null of one put away before that was asked: such a one is no try
 * @property int|null $put_away_marks  how many it had
 * @property int $seed  of the learner's own dimensions
 * @property CarbonImmutable|null $stopped_at
 * @property string|null $stopped_by  the criterion
 * @property int|null $second_id  an instructor who watches beside the assessor
 * @property CarbonImmutable|null $second_done_at
 * @property bool|null $second_agrees
 * @property string|null $second_says
 * @property bool $second_wanted  drawn by lot when it was opened
 * @property CarbonImmutable|null $second_viewed_at  when another who may assess, or an invited reviewer, had looked at it
 * @property Collection<int, Review> $reviews
 * @property string|null $part_code  of the part's own card
 * @property array<string, string> $answers  to the sheet's tasks, as typed
 * @property Collection<int, Mark> $lines
 * @property Collection<int, Photo> $photos
 * @property User|null $second
 * @property User|null $cancelledBy
 * @property Sheet $sheet
 * @property User $learner
 * @property User $assessor
 */
final class SheetAttempt extends Model
{
    use HasUuids;

    /** What it takes to score and show one. */
    public const SHOWN = [
        'sheet.part', 'sheet.boundMachine', 'machine', 'learner', 'assessor', 'second', 'lines.by', 'lines.gauge', 'photos.by',
        'reviews',
    ];

    protected $table = 'assessment_attempts';

    protected $guarded = [];

    protected $attributes = [
        'variant' => null, 'machine_id' => null, 'machine_state' => null,
        'outcome' => null, 'score_percent' => null, 'concluded_at' => null, 'cancelled_at' => null, 'cancelled_because' => null,
        'cancelled_by' => null, 'put_away_because' => null, 'put_away_marks' => null,
        'stopped_at' => null, 'stopped_by' => null, 'second_id' => null, 'second_done_at' => null,
        'second_agrees' => null, 'second_says' => null, 'second_wanted' => false, 'second_viewed_at' => null,
        'part_code' => null, 'answers' => '{}', 'seed' => 1,
    ];

    private ?Marks $marks = null;

    /** @var array<string, list<SheetCriterion>> by language */
    private array $criteria = [];

    /** @var array<string, Length>|null drawn once: each measured line asks */
    private ?array $personal = null;

    protected function casts(): array
    {
        return [
            'started_at' => 'immutable_datetime',
            'concluded_at' => 'immutable_datetime',
            'cancelled_at' => 'immutable_datetime',
            'put_away_because' => PutAwayBecause::class,
            'stopped_at' => 'immutable_datetime',
            'second_done_at' => 'immutable_datetime',
            'second_wanted' => 'boolean',
            'second_viewed_at' => 'immutable_datetime',
            'machine_state' => 'array',
            'second_agrees' => 'boolean',
            'answers' => 'array',
        ];
    }

    /** @return Builder<self> with what it takes to score and show them */
    public static function withSheet(): Builder
    {
        return self::query()->with(self::SHOWN);
    }

    /**
     * For one more line: with what it takes to score it, and no more. Whoever is here already is not asked for again.
     *
     * @param  self  $found  as it was found, with its learner
     */
    public static function toMark(self $found, User $by): self
    {
        $attempt = self::query()->with(['sheet.part', 'lines.gauge'])->lockForUpdate()->findOrFail($found->id);
        $here = [$by->id => $by, $found->learner->id => $found->learner];
        $others = array_diff($attempt->lines->map(static fn (Mark $line): int => $line->by_id)->unique()->all(), array_keys($here));
        $here += $others === [] ? [] : User::query()->findMany($others)->keyBy('id')->all();
        $attempt->lines->each(static fn (Mark $line): Mark => $line->setRelation('by', $here[$line->by_id]));

        return $attempt->setRelation('learner', $found->learner);
    }

    /** When something was made, as far as that can be: not after now, and not before the sheet was opened. */
    public function instant(CarbonImmutable $said): CarbonImmutable
    {
        return $said->min(CarbonImmutable::now())->max($this->started_at);
    }

    /** @return Builder<self> neither concluded nor cancelled */
    public static function stillOpen(): Builder
    {
        return self::query()->whereNull('concluded_at')->whereNull('cancelled_at');
    }

    /** How it ended, where that counts as a try: put away with a mark it does, and without one it never was. */
    public function ended(): ?TryEnded
    {
        if ($this->concluded_at !== null) {
            $try = TryEnded::concluded(Outcome::from((string) $this->outcome), $this->concluded_at);
            $answer = $this->marks()->said('appeal_answered')->value['answer'] ?? null;

            return $answer === AppealAnswer::TryAgain->value ? $try->forgiven() : $try;
        }

        return $this->cancelled_at === null || ($this->put_away_marks ?? 0) === 0 ? null : TryEnded::putAway($this->cancelled_at);
    }

    public function isOpen(): bool
    {
        return $this->concluded_at === null && $this->cancelled_at === null;
    }

    /** @throws Refusal `concluded`, `cancelled` */
    public function mustBeOpen(): void
    {
        $this->isOpen() || throw Refusal::because($this->concluded_at === null ? 'cancelled' : 'concluded');
    }

    /** What its lines come to; folded once, and again after `add`. */
    public function marks(): Marks
    {
        return $this->marks ??= new Marks($this->lines);
    }

    /** A line that was just written; what was read before it is not read again. */
    public function add(Mark $line, User $by, ?Gauge $gauge = null): void
    {
        $this->lines->push($line->setRelation('by', $by)->setRelation('gauge', $gauge));
        $this->marks = null;
    }

    /**
     * The learner's own dimensions.
     *
     * @return array<string, Length> by name
     *
     * @throws \MillStep\Core\Border\InvalidInput when the sheet's ranges make no sense
     */
    public function personal(): array
    {
        return $this->personal ??= $this->sheet->ranges()->draw($this->seed);
    }

    /** @return list<SheetCriterion> the lines of its sheet: for its piece and its machine, with the reasons that were drawn for it */
    public function criteria(): array
    {
        // Each mark asks for them some ten times.
        /** @var list<SheetCriterion> */
        return $this->criteria[app()->getLocale()] ??= LinesFor::drawn(
            LinesFor::machine($this->sheet->lines($this->variant), $this->speedChange()),
            $this->seed,
        );
    }

    /** How the speed of its machine was set when it was opened: what is looked for there does not change under it. */
    private function speedChange(): ?string
    {
        $state = $this->machine_state ?? [];
        $kept = $state['speed_change'] ?? null;

        // Nobody had said then is kept as well; only a sheet from before this was kept asks the machine as it is today.
        return array_key_exists('speed_change', $state) ? (is_string($kept) ? $kept : null) : $this->atMachine()?->speed_change;
    }

    /** @return SheetCriterion|null */
    public function criterion(string $id): ?array
    {
        foreach ($this->criteria() as $criterion) {
            if ($criterion['id'] === $id) {
                return $criterion;
            }
        }

        return null;
    }

    /** The machine that was chosen for it, or the one that its sheet is for. */
    public function atMachine(): ?Machine
    {
        return $this->machine ?? $this->sheet->machine;
    }

    /** @return array{assessment: string, version: int, attempt: string} as the ledger names it */
    public function named(): array
    {
        return ['assessment' => $this->sheet->code, 'version' => $this->sheet->version, 'attempt' => $this->id];
    }

    /** Whether somebody has assessed it, in any seat: opened, marked, watched or concluded. */
    public function hadAHandIn(User $user): bool
    {
        return in_array($user->id, [$this->assessor_id, $this->second_id], true) || $this->lines->contains(
            static fn (Mark $line): bool => $line->by_id === $user->id && $line->seat !== Seat::Learner
                && $line->kind !== 'appeal_answered',
        );
    }

    public function isSecond(User $user): bool
    {
        return $this->second_id === $user->id;
    }

    /** @return HasMany<Mark, $this> in the order in which they were recorded */
    public function lines(): HasMany
    {
        $lines = $this->hasMany(Mark::class, 'attempt_id');
        $lines->orderBy('seq');

        return $lines;
    }

    /** @return HasMany<Review, $this> */
    public function reviews(): HasMany
    {
        $reviews = $this->hasMany(Review::class, 'attempt_id');
        $reviews->orderBy('invited_at');

        return $reviews;
    }

    /** Whether the lot wants a second view of it that nobody has given yet. */
    public function wantsSecondView(): bool
    {
        return $this->second_wanted && $this->second_viewed_at === null && $this->cancelled_at === null;
    }

    /** @return HasMany<Photo, $this> */
    public function photos(): HasMany
    {
        $photos = $this->hasMany(Photo::class, 'attempt_id');
        $photos->orderBy('made_at');

        return $photos;
    }

    /** @return BelongsTo<User, $this> */
    public function second(): BelongsTo
    {
        return $this->belongsTo(User::class, 'second_id');
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /** @return BelongsTo<User, $this> */
    public function cancelledBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'cancelled_by');
    }

    /** @return BelongsTo<Sheet, $this> */
    public function sheet(): BelongsTo
    {
        return $this->belongsTo(Sheet::class);
    }

    /** @return BelongsTo<User, $this> */
    public function learner(): BelongsTo
    {
        return $this->belongsTo(User::class, 'learner_id');
    }

    /** @return BelongsTo<User, $this> */
    public function assessor(): BelongsTo
    {
        return $this->belongsTo(User::class, 'assessor_id');
    }
}
