<?php

declare(strict_types=1);

namespace App\Assessment;

use App\People\User;
use App\Support\Given;
use App\Support\Refusal;
use App\Workshop\Gauges\Gauge;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Border\Fields;

/**
 * One line of a sheet, written once: a verdict, a reading, that the learner did not measure, that one is undone, a note, how it
 * went by the clock, or what is said of the outcome.
 *
 * @phpstan-type Value array{result?: string|int, typed?: array<string, string>, units?: 'mm'|'in',
 *     figures?: array<string, float|int|bool>, zero_mm?: float, late?: bool, checked_on?: string, anew?: bool, mark?: string,
 *     text?: string,
 *     agrees?: bool, answer?: string, moment?: string}
 *
 * @property int $seq
 * @property string $id
 * @property string $attempt_id
 * @property string $criterion
 * @property Seat $seat
 * @property 'verdict'|'reading'|'declined'|'undone'|'note'|'conduct'|'answered'|'appealed'|'appeal_answered' $kind
 * @property Value $value
 * @property int|null $gauge_id
 * @property int $by_id
 * @property CarbonImmutable $made_at
 * @property CarbonImmutable|null $said_at  what the tablet said, where that could not be
 * @property CarbonImmutable $recorded_at
 * @property string|null $why
 * @property User $by
 * @property Gauge|null $gauge
 */
final class Mark extends Model
{
    public $timestamps = false;

    protected $table = 'assessment_marks';

    protected $primaryKey = 'seq';

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $guarded = [];

    protected $attributes = ['gauge_id' => null, 'why' => null, 'said_at' => null];

    protected function casts(): array
    {
        return ['seat' => Seat::class, 'value' => 'array', 'made_at' => 'immutable_datetime', 'said_at' => 'immutable_datetime',
            'recorded_at' => 'immutable_datetime'];
    }

    /** @return array{made: CarbonImmutable, recorded: CarbonImmutable} by the tablet's clock, and by the server's */
    public function instants(): array
    {
        return ['made' => $this->made_at, 'recorded' => $this->recorded_at];
    }

    /**
     * Writes one down. In one question: an id that is another line's already is refused, and ends no transaction.
     *
     * @param  array<string, mixed>  $with
     *
     * @throws Refusal `id_used`
     */
    public static function add(array $with): self
    {
        $line = new self($with);
        $values = $line->getAttributes();
        $row = DB::selectOne(sprintf(
            'INSERT INTO assessment_marks (%s) VALUES (%s) ON CONFLICT (id) DO NOTHING RETURNING seq',
            implode(', ', array_keys($values)),
            implode(', ', array_fill(0, count($values), '?')),
        ), array_values($values));
        $line->setAttribute('seq', Given::whole($row->seq ?? throw Refusal::idUsed()));
        $line->exists = true;

        return $line->syncOriginal();
    }

    /** The figures of a reading, as the core reads them. */
    public function figures(): Fields
    {
        return Fields::of($this->value['figures'] ?? []);
    }

    /** @return BelongsTo<User, $this> */
    public function by(): BelongsTo
    {
        return $this->belongsTo(User::class, 'by_id');
    }

    /** @return BelongsTo<Gauge, $this> */
    public function gauge(): BelongsTo
    {
        return $this->belongsTo(Gauge::class);
    }
}
