<?php

declare(strict_types=1);

namespace App\Gate;

use App\Competency\Folds;
use App\Competency\Permit;
use App\Competency\Rules;
use App\Competency\Soundness;
use App\Competency\Statement;
use App\People\User;
use App\Support\DatabaseClock;
use App\Support\Given;
use App\Support\PowerLock;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Border\Fields;
use MillStep\Core\Gate\Supervisor;
use MillStep\Core\Policy\ShopPolicy;

/**
 * Everything that a decision at one machine goes by, as it stands in one instant: read in a single query, after the
 * locks were taken, so that nothing of it is older than anything else (gate_moment, a function of the database's so
 * that it is planned once a connection and not once a read).
 *
 * @phpstan-import-type SinceFold from Folds
 * @phpstan-import-type Found from Soundness
 *
 * @phpstan-type Row array<string, mixed>
 * @phpstan-type Present array{id: int, name: string, supervises: list<int>|null, by_name: list<int>|null, watches: int}
 * @phpstan-type Elsewhere array{runs: int, beside: int}
 * @phpstan-type Facts array{
 *     now: string,
 *     clock_back: bool,
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
 *     badge_id: int|null,
 *     companion_of: int|null,
 *     supervisor_of: int|null,
 *     asked_badge: bool,
 *     badge_lost: bool,
 *     present: list<Present>|null,
 *     elsewhere: array<int, Elsewhere>|null,
 *     records: list<SinceFold>|null,
 *     soundness: Found|null,
 * }
 */
final readonly class Moment
{
    /**
     * @param  MachineSession|null  $open  the turn at this machine
     * @param  MachineSession|null  $ended  the turn before
     * @param  BadgeRead|null  $known  what was answered to this very read before
     * @param  BadgeRead|null  $last  the last read at this machine
     * @param  bool  $clockBack  something was written after now, and nobody has said yet that the clock is right
     * @param  int|null  $badgeId  the badge itself
     * @param  bool  $askedBadge  the badge that was asked a question last is still that person's
     * @param  bool  $badgeLost  a badge of somebody at this machine's open turn was reported lost since they held it to the reader
     * @param  list<Present>  $present  who teaches and is on the floor
     * @param  array<int, Elsewhere>  $elsewhere  open turns at other machines, by person: their own, and those that they stand beside
     * @param  list<SinceFold>  $records  what was kept of whoever has the machine, whoever came and who is beside them, and the lines since
     * @param  Found|null  $found  what the last walk through the ledger found
     * @param  string  $facts  all of it as the database said it
     */
    private function __construct(
        public CarbonImmutable $now,
        public bool $clockBack,
        public Machine $machine,
        public ?Device $device,
        public Rules $rules,
        public ShopPolicy $policy,
        public ?MachineSession $open,
        public ?MachineSession $ended,
        public ?BadgeRead $known,
        public ?BadgeRead $last,
        public ?User $badgeOf,
        public ?int $badgeId,
        public ?User $companionOf,
        public ?User $supervisorOf,
        public bool $askedBadge,
        public bool $badgeLost,
        private array $present,
        private array $elsewhere,
        public array $records,
        public ?array $found,
        public string $facts,
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
        ?string $supervisor = null,
        ?string $follows = null,
        ?string $read = null,
    ): self {
        PowerLock::forDecision($machineId, $badge, $companion, $follows);

        // After the wait: who left meanwhile has left.
        return self::look([$machineId, DatabaseClock::pretended(), $badge, $companion, $supervisor, $read, $device, 'f'])
            ?? throw new \LogicException('The database says nothing about this machine.');
    }

    /**
     * A machine that is off, without a lock: it waits for nobody, and rules and records are not read. For showing only, since
     * nothing may be decided by it.
     *
     * @return self|null null where a turn is open
     */
    public static function off(int $machineId): ?self
    {
        return self::look([$machineId, DatabaseClock::pretended(), null, null, null, null, null, 't']);
    }

    /** @param  list<int|string|null>  $asked */
    private static function look(array $asked): ?self
    {
        $row = DB::selectOne('SELECT gate_moment(?, ?, ?, ?, ?, ?, ?, ?) AS moment', $asked);
        $said = Given::text($row->moment ?? 'null');
        /** @var Facts|null $facts */
        $facts = json_decode($said, true, 64, JSON_THROW_ON_ERROR);
        if ($facts === null) {
            return null;
        }
        $statements = [];
        foreach (self::models(Statement::class, $facts['statements']) as $statement) {
            $statements[$statement->permit_id][] = $statement;
        }
        $byCode = $taken = [];
        foreach (self::models(Permit::class, $facts['permits']) as $permit) {
            $byCode[$permit->code] = $permit->setRelation('statements', new Collection($statements[$permit->id] ?? []));
            if (in_array($permit->id, $facts['takes'] ?? [], true)) {
                $taken[] = $permit;
            }
        }
        $permits = new Collection($byCode);
        $machine = self::model(Machine::class, $facts['machine']) ?? throw new \LogicException('The machine of this device is gone.');
        $machine->setRelation('permits', new Collection($taken));
        $people = (new Collection(self::models(User::class, $facts['people'])))->keyBy('id')->all();
        $sessions = (new Collection(self::models(MachineSession::class, $facts['sessions'])))->keyBy('id')->all();

        return new self(
            CarbonImmutable::parse($facts['now']),
            $facts['clock_back'],
            $machine,
            self::model(Device::class, $facts['device']),
            new Rules($permits, array_column($facts['accepted'] ?? [], 1, 0)),
            ShopPolicy::fromFields(Fields::of($facts['policy'] ?? [])),
            self::turn($facts['open'], $people, $machine),
            self::turn($facts['ended'], $people, $machine),
            self::answered($facts['known'], $people, $sessions),
            self::answered($facts['last'], $people, $sessions),
            $people[$facts['badge_of'] ?? 0] ?? null,
            $facts['badge_id'],
            $people[$facts['companion_of'] ?? 0] ?? null,
            $people[$facts['supervisor_of'] ?? 0] ?? null,
            $facts['asked_badge'],
            $facts['badge_lost'],
            $facts['present'] ?? [],
            $facts['elsewhere'] ?? [],
            $facts['records'] ?? [],
            $facts['soundness'],
            $said,
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
            ->setRelation('companion', $people[$session->companion_id ?? 0] ?? null)
            ->setRelation('supervisor', $people[$session->supervisor_id ?? 0] ?? null);
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
            ->setRelation('supervisor', $people[$read->supervisor_id ?? 0] ?? null)
            ->setRelation('session', $sessions[$read->session_id ?? ''] ?? null);
    }

    /**
     * The same moment, if the shop asked for something else: nothing of it is written, and nobody is locked for longer.
     *
     * @param  Permit  $changed  with those who would sign and supervise for it, where that changes
     */
    public function under(Rules $rules, Machine $machine, Permit $changed): self
    {
        $present = $this->present;
        foreach (['signers' => 'supervises', 'supervisors' => 'by_name'] as $who => $may) {
            if ($changed->relationLoaded($who)) {
                $named = ($who === 'signers' ? $changed->signers : $changed->supervisors)->modelKeys();
                $present = array_map(static fn (array $each): array => [...$each, $may => [
                    ...array_values(array_diff($each[$may] ?? [], [$changed->id])),
                    ...in_array($each['id'], $named, true) ? [$changed->id] : [],
                ]], $present);
            }
        }

        return new self($this->now, $this->clockBack, $machine, $this->device, $rules, $this->policy, $this->open, $this->ended,
            $this->known, $this->last, $this->badgeOf, $this->badgeId, $this->companionOf, $this->supervisorOf, $this->askedBadge,
            $this->badgeLost, $present, $this->elsewhere, $this->records, $this->found, $this->facts);
    }

    /** @return list<Supervisor> who teaches and is on the floor */
    public function onTheFloor(): array
    {
        $needed = Permit::neededAt($this->machine)->modelKeys();

        return array_map(static fn (array $each): Supervisor => new Supervisor(
            $each['id'],
            array_diff($needed, $each['supervises'] ?? [], $each['by_name'] ?? []) === [],
            $each['watches'],
        ), $this->present);
    }

    /**
     * @param  list<Supervisor>  $supervisors
     * @return list<array{id: int, name: string}> for the screen
     */
    public function named(array $supervisors): array
    {
        $names = array_column($this->present, 'name', 'id');

        return array_map(static fn (Supervisor $each): array => ['id' => $each->id, 'name' => $names[$each->id]], $supervisors);
    }

    /** @return Elsewhere at how many other machines this person has a turn, and stands beside one */
    public function elsewhere(User $user): array
    {
        return $this->elsewhere[$user->id] ?? ['runs' => 0, 'beside' => 0];
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
