<?php

declare(strict_types=1);

namespace App\Gate;

use App\Competency\Permit;
use App\Competency\Rules;
use App\Competency\Statement;
use App\People\User;
use App\Workshop\Machine;
use App\Workshop\Policy;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Fields;
use MillStep\Core\Workshop\ShopPolicy;

/**
 * Everything that a decision at one machine goes by, as it stands in one instant: read in a single query, after the
 * locks were taken, so that nothing of it is older than anything else.
 *
 * @phpstan-type Row array<string, mixed>
 */
final readonly class Moment
{
    private const QUERY = <<<'SQL'
        WITH asked AS (SELECT ?::bigint AS machine, ?::timestamptz AS now, ?::text AS badge, ?::text AS companion, ?::uuid AS read, ?::bigint AS device),
            open AS (SELECT s.* FROM gate_sessions s, asked WHERE s.machine_id = asked.machine AND s.ended_at IS NULL),
            ended AS (SELECT s.* FROM gate_sessions s, asked WHERE s.machine_id = asked.machine AND s.ended_at IS NOT NULL ORDER BY s.ended_at DESC LIMIT 1),
            known AS (SELECT r.* FROM gate_reads r, asked WHERE r.id = asked.read),
            last AS (SELECT r.* FROM gate_reads r, asked WHERE r.machine_id = asked.machine ORDER BY r.read_at DESC LIMIT 1),
            badges AS (SELECT b.user_id, b.code_hash FROM gate_badges b, asked WHERE b.active AND b.code_hash IN (asked.badge, asked.companion)),
            people AS (SELECT user_id AS id FROM open UNION SELECT companion_id FROM open UNION SELECT user_id FROM ended UNION SELECT user_id FROM known
                UNION SELECT holder_id FROM known UNION SELECT user_id FROM last UNION SELECT holder_id FROM last UNION SELECT user_id FROM badges)
        SELECT json_build_object(
            'machine', (SELECT to_json(m) FROM workshop_machines m WHERE m.id = asked.machine),
            'device', (SELECT to_json(d) FROM gate_devices d WHERE d.id = asked.device),
            'takes', (SELECT json_agg(permit_id) FROM competency_machine_permit WHERE machine_id = asked.machine),
            'permits', (SELECT json_agg(p ORDER BY p.id) FROM competency_permits p),
            'statements', (SELECT json_agg(s) FROM (SELECT id, permit_id, version, in_force_from, grace_until FROM competency_statements) s),
            'accepted', (SELECT json_agg(json_build_array(code, accepted_from) ORDER BY version) FROM learning_lessons),
            'policy', (SELECT p.settings FROM workshop_policies p WHERE p.in_force_from <= asked.now ORDER BY p.in_force_from DESC, p.id DESC LIMIT 1),
            'open', (SELECT to_json(open) FROM open), 'ended', (SELECT to_json(ended) FROM ended),
            'known', (SELECT to_json(known) FROM known), 'last', (SELECT to_json(last) FROM last),
            'sessions', (SELECT json_agg(s) FROM gate_sessions s WHERE s.id IN (SELECT session_id FROM known UNION SELECT session_id FROM last)),
            'badges', (SELECT json_object_agg(code_hash, user_id) FROM badges),
            'people', (SELECT json_agg(u) FROM (SELECT id, name, role, active FROM people_users WHERE id IN (SELECT id FROM people)) u),
            'present', (SELECT json_agg(p.user_id) FROM gate_presences p JOIN people_users u ON u.id = p.user_id
                WHERE p.until > asked.now AND u.active AND u.role IN ('lead', 'instructor')),
            'elsewhere', (SELECT json_object_agg(user_id, turns) FROM (SELECT user_id, count(*) AS turns FROM gate_sessions
                WHERE ended_at IS NULL AND machine_id <> asked.machine GROUP BY user_id) e)
        ) AS moment FROM asked
        SQL;

    /**
     * @param  MachineSession|null  $open  the turn at this machine
     * @param  MachineSession|null  $ended  the turn before
     * @param  BadgeRead|null  $known  what was answered to this very read before
     * @param  BadgeRead|null  $last  the last read at this machine
     * @param  list<int>  $present  who teaches and is on the floor
     * @param  array<int, int>  $elsewhere  open turns at other machines, by person
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
    ) {
    }

    /**
     * Called with the machine's lock held where anything is to be decided.
     *
     * @throws \MillStep\Core\Exception\InvalidInput when a stored setting is not readable
     */
    public static function at(int $machineId, ?int $device = null, ?string $badge = null, ?string $companion = null, ?string $read = null): self
    {
        $now = CarbonImmutable::now();
        $row = DB::selectOne(self::QUERY, [$machineId, $now->format('Y-m-d H:i:s.uP'), $badge, $companion, $read, $device]);
        /** @var array<string, mixed> $facts */
        $facts = json_decode($row->moment, true, 64, JSON_THROW_ON_ERROR);
        $statements = new Collection(self::models(Statement::class, $facts['statements']));
        $permits = (new Collection(self::models(Permit::class, $facts['permits'])))->each(static fn (Permit $permit) => $permit
            ->setRelation('statements', $statements->where('permit_id', $permit->id)->values()))->keyBy('code');
        $machine = self::model(Machine::class, $facts['machine']) ?? throw new \LogicException('The machine of this device is gone.');
        $machine->setRelation('permits', $permits->whereIn('id', $facts['takes'] ?? [])->values());
        $people = (new Collection(self::models(User::class, $facts['people'])))->keyBy('id')->all();
        $sessions = (new Collection(self::models(MachineSession::class, $facts['sessions'])))->keyBy('id')->all();
        $turn = static function (?array $row) use ($people, $machine): ?MachineSession {
            $session = self::model(MachineSession::class, $row);

            return $session === null ? null : $session->setRelation('machine', $machine)->setRelation('user', $people[$session->user_id])
                ->setRelation('companion', $people[$session->companion_id ?? 0] ?? null);
        };
        $answered = static function (?array $row) use ($people, $sessions): ?BadgeRead {
            $read = self::model(BadgeRead::class, $row);
            $read?->setRelation('user', $people[$read->user_id ?? 0] ?? null)->setRelation('holder', $people[$read->holder_id ?? 0] ?? null)
                ->setRelation('session', $sessions[$read->session_id ?? ''] ?? null);

            return $read;
        };

        return new self(
            $now,
            $machine,
            self::model(Device::class, $facts['device']),
            new Rules($permits, array_column($facts['accepted'] ?? [], 1, 0)),
            ShopPolicy::fromFields(Fields::of($facts['policy'] ?? [])),
            $turn($facts['open']),
            $turn($facts['ended']),
            $answered($facts['known']),
            $answered($facts['last']),
            $people[$facts['badges'][$badge ?? ''] ?? 0] ?? null,
            $people[$facts['badges'][$companion ?? ''] ?? 0] ?? null,
            $facts['present'] ?? [],
            $facts['elsewhere'] ?? [],
        );
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
            array_map(static fn (mixed $value): mixed => is_array($value) ? json_encode($value, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION) : $value, $row),
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
