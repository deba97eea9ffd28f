<?php

declare(strict_types=1);

namespace App\Gate;

use App\Competency\Folds;
use App\Competency\Permit;
use App\Competency\Rules;
use App\Competency\Statement;
use App\People\User;
use App\Support\Given;
use App\Support\PowerLock;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Border\Fields;
use MillStep\Core\Policy\ShopPolicy;

/**
 * Everything that a decision at one machine goes by, as it stands in one instant: read in a single query, after the
 * locks were taken, so that nothing of it is older than anything else (gate_moment, a function of the database's so
 * that it is planned once a connection and not once a read).
 *
 * @phpstan-import-type SinceFold from Folds
 *
 * @phpstan-type Row array<string, mixed>
 * @phpstan-type Facts array{
 *     machine: Row|null,
 *     device: Row|null,
 *     statements: list<Row>|null,
 *     permits: list<Row>|null,
 *     takes: list<int>|null,
 *     people: list<Row>|null,
 *     sessions: list<Row>|null,
 *     open: Row|null,
 *     ended: Row|null,
 *     known: Row|null,
 *     last: Row|null,
 *     accepted: list<array{string, int}>|null,
 *     policy: array<string, mixed>|null,
 *     badge_of: int|null,
 *     companion_of: int|null,
 *     present: list<int>|null,
 *     elsewhere: array<int, int>|null,
 *     records: list<SinceFold>|null,
 * }
 */
final readonly class Moment
{
    /**
     * @param  MachineSession|null  $open  the turn at this machine
     * @param  MachineSession|null  $ended  the turn before
     * @param  BadgeRead|null  $known  what was answered to this very read before
     * @param  BadgeRead|null  $last  the last read at this machine
     * @param  list<int>  $present  who teaches and is on the floor
     * @param  array<int, int>  $elsewhere  open turns at other machines, by person
     * @param  list<SinceFold>  $records  what was kept of whoever has the machine and whoever came, and their lines after that
     */
    private function __construct(
        public CarbonImmutable $now,
        public Machine $machine,
        public ?Device $device,
        public Rules $rules,
        public ShopPolicy $policy,
        public ?MachineSession $open,
        public ?MachineSession $ended,
        public ?BadgeRead $known,
        public ?BadgeRead $last,
        public ?User $badgeOf,
        public ?User $companionOf,
        private array $present,
        private array $elsewhere,
        public array $records,
    ) {
    }

    /**
     * Takes the locks of a decision and looks then: call it in a transaction. A person is locked by the hash of their badge,
     * or by the read that asked them.
     *
     * @throws \MillStep\Core\Border\InvalidInput when a stored setting is not readable
     */
    public static function at(
        int $machineId,
        ?int $device = null,
        ?string $badge = null,
        ?string $companion = null,
        ?string $follows = null,
        ?string $read = null,
    ): self {
        PowerLock::forDecision($machineId, $badge, $follows);
        // After the wait: who left meanwhile has left.
        $now = CarbonImmutable::now();
        $row = DB::selectOne(
            'SELECT gate_moment(?, ?, ?, ?, ?, ?) AS moment',
            [$machineId, $now->format('Y-m-d H:i:s.uP'), $badge, $companion, $read, $device],
        );
        /** @var Facts $facts */
        $facts = json_decode(Given::text($row?->moment), true, 64, JSON_THROW_ON_ERROR);
        $statements = new Collection(self::models(Statement::class, $facts['statements']));
        $permits = (new Collection(self::models(Permit::class, $facts['permits'])))->each(static fn (Permit $permit) => $permit
            ->setRelation('statements', $statements->where('permit_id', $permit->id)->values()))->keyBy('code');
        $machine = self::model(Machine::class, $facts['machine']) ?? throw new \LogicException('The machine of this device is gone.');
        $machine->setRelation('permits', $permits->whereIn('id', $facts['takes'] ?? [])->values());
        $people = (new Collection(self::models(User::class, $facts['people'])))->keyBy('id')->all();
        $sessions = (new Collection(self::models(MachineSession::class, $facts['sessions'])))->keyBy('id')->all();

        return new self(
            $now,
            $machine,
            self::model(Device::class, $facts['device']),
            new Rules($permits, array_column($facts['accepted'] ?? [], 1, 0)),
            ShopPolicy::fromFields(Fields::of($facts['policy'] ?? [])),
            self::turn($facts['open'], $people, $machine),
            self::turn($facts['ended'], $people, $machine),
            self::answered($facts['known'], $people, $sessions),
            self::answered($facts['last'], $people, $sessions),
            $people[$facts['badge_of'] ?? 0] ?? null,
            $people[$facts['companion_of'] ?? 0] ?? null,
            $facts['present'] ?? [],
            $facts['elsewhere'] ?? [],
            $facts['records'] ?? [],
        );
    }

    /**
     * @param  Row|null  $row
     * @param  array<array-key, User>  $people  by id
     */
    private static function turn(?array $row, array $people, Machine $machine): ?MachineSession
    {
        $session = self::model(MachineSession::class, $row);

        return $session === null ? null : $session->setRelation('machine', $machine)->setRelation('user', $people[$session->user_id])
            ->setRelation('companion', $people[$session->companion_id ?? 0] ?? null);
    }

    /**
     * @param  Row|null  $row
     * @param  array<array-key, User>  $people  by id
     * @param  array<array-key, MachineSession>  $sessions  by id
     */
    private static function answered(?array $row, array $people, array $sessions): ?BadgeRead
    {
        $read = self::model(BadgeRead::class, $row);

        return $read?->setRelation('user', $people[$read->user_id ?? 0] ?? null)
            ->setRelation('holder', $people[$read->holder_id ?? 0] ?? null)
            ->setRelation('session', $sessions[$read->session_id ?? ''] ?? null);
    }

    /** The same moment, if the shop asked for something else: nothing of it is written, and nobody is locked for longer. */
    public function under(Rules $rules, Machine $machine): self
    {
        return new self($this->now, $machine, $this->device, $rules, $this->policy, $this->open, $this->ended, $this->known, $this->last,
            $this->badgeOf, $this->companionOf, $this->present, $this->elsewhere, $this->records);
    }

    /** Somebody who teaches, is on the floor and is not the learner. */
    public function supervises(User $learner): bool
    {
        return array_diff($this->present, [$learner->id]) !== [];
    }

    /** How many other machines this person has now. */
    public function turnsElsewhere(User $user): int
    {
        return $this->elsewhere[$user->id] ?? 0;
    }

    /**
     * @template T of Model
     *
     * @param  class-string<T>  $class
     * @param  Row|null  $row
     * @return T|null
     */
    private static function model(string $class, ?array $row): ?Model
    {
        return $row === null ? null : (new $class)->newFromBuilder(
            // As a driver gives them: what is json in the table is text here, and is read by the model's own casts.
            array_map(
                static fn (mixed $value): mixed => is_array($value) ? json_encode(
                    $value,
                    JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION,
                ) : $value,
                $row,
            ),
        );
    }

    /**
     * @template T of Model
     *
     * @param  class-string<T>  $class
     * @param  list<Row>|null  $rows
     * @return list<T>
     */
    private static function models(string $class, ?array $rows): array
    {
        return array_values(array_filter(array_map(static fn (array $row): ?Model => self::model($class, $row), $rows ?? [])));
    }
}
