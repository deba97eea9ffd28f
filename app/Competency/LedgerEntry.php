<?php

declare(strict_types=1);

namespace App\Competency;

use App\People\User;
use App\Support\Given;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Collection;
use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\HashChain;
use MillStep\Core\Competency\Ledger\Entries;
use MillStep\Core\Competency\Ledger\Line;

/**
 * One line of the ledger. Written by RecordEntry, read by everybody else, changed by nobody.
 *
 * @phpstan-import-type Stored from Soundness
 *
 * @property int $seq
 * @property string $id
 * @property int $learner_id
 * @property int|null $permit_id
 * @property string $type
 * @property string $data JSON, kept to the letter
 * @property int $recorded_by
 * @property CarbonImmutable $happened_at
 * @property CarbonImmutable $recorded_at
 * @property string $previous_hash
 * @property string $hash
 * @property string|null $seal
 * @property int $format  1: words stand in the payload; 2: beside it (Texts\LineWords)
 * @property string|null $by_subject  commitment to words and name, under the key of whom it is about
 * @property string|null $by_writer  the same under the writer's
 * @property User $recorder
 */
final class LedgerEntry extends Model
{
    public const INSTANT = 'Y-m-d\TH:i:s.u\Z';

    public $timestamps = false;

    protected $table = 'competency_ledger';

    protected $primaryKey = 'seq';

    protected $dateFormat = 'Y-m-d H:i:s.uP';

    protected $guarded = [];

    protected $attributes = ['format' => 2, 'by_subject' => null, 'by_writer' => null];

    protected function casts(): array
    {
        return ['happened_at' => 'immutable_datetime', 'recorded_at' => 'immutable_datetime'];
    }

    /** @return Stored what its hash is over, and the hash */
    public function stored(): array
    {
        return [
            'seq' => $this->seq, 'id' => $this->id, 'permit' => $this->permit_id, 'type' => $this->type, 'data' => $this->data,
            'by' => $this->recorded_by, 'at' => $this->happened_at->utc()->format(self::INSTANT),
            'recorded_at' => $this->recorded_at->utc()->format(self::INSTANT),
            'previous_hash' => $this->previous_hash, 'hash' => $this->hash, 'seal' => $this->seal,
            'format' => $this->format, 'by_subject' => $this->by_subject, 'by_writer' => $this->by_writer,
        ];
    }

    /**
     * The lines that a correction in force has taken back. A correction that is itself corrected no longer speaks.
     *
     * @param  Collection<int, self>  $entries  of one learner, with their corrections
     * @return array<string, true> by id
     */
    public static function corrected(Collection $entries): array
    {
        $corrected = [];
        foreach ($entries->sortByDesc('seq') as $entry) {
            if ($entry->type === 'corrected' && ! isset($corrected[$entry->id])) {
                $corrected[Given::text($entry->details()['entry'])] = true;
            }
        }

        return $corrected;
    }

    /** @return BelongsTo<User, $this> */
    public function recorder(): BelongsTo
    {
        return $this->belongsTo(User::class, 'recorded_by');
    }

    /** @return array<string, mixed> */
    public function details(): array
    {
        /** @var array<string, mixed> */
        return json_decode($this->data, true, 64, JSON_THROW_ON_ERROR);
    }

    /**
     * As the core reads it.
     *
     * @throws \MillStep\Core\Border\InvalidInput when it is of a kind or version that is not known
     */
    public function line(): Line
    {
        return new Line($this->id, $this->happened_at, Entries::read(Fields::of([...$this->details(), 'type' => $this->type])));
    }

    /** Whether it is about the same learner and permit, of the same type and by the same person. */
    public function says(User $learner, ?Permit $permit, string $type, User $by): bool
    {
        return [$this->learner_id, $this->permit_id, $this->type, $this->recorded_by] === [$learner->id, $permit?->id, $type, $by->id];
    }

    public function expectedHash(): string
    {
        return self::hashOf($this->learner_id, $this->stored());
    }

    /**
     * A line of the first form is hashed with the words in it, a later one with the commitments to them.
     *
     * @param  Stored  $line
     */
    public static function hashOf(int $learner, array $line): string
    {
        return HashChain::next($line['previous_hash'], [
            $line['id'], (string) $learner, (string) $line['permit'], $line['type'], $line['data'], (string) $line['by'], $line['at'],
            $line['recorded_at'],
            ...$line['format'] === 1 ? [] : [(string) $line['format'], (string) $line['by_subject'], (string) $line['by_writer']],
        ]);
    }
}
