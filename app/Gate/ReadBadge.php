<?php

declare(strict_types=1);

namespace App\Gate;

use App\Competency\LedgerEntry;
use App\Competency\Permit;
use App\Competency\RecordEntry;
use App\Competency\Standings;
use App\People\User;
use App\Workshop\Machine;
use App\Workshop\Policy;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Competency\Access;
use MillStep\Core\Competency\AccessDecision;
use MillStep\Core\Competency\Decision;
use MillStep\Core\Fields;

/**
 * A badge at a machine's reader. Whoever has the machine ends their turn with it; an instructor says with
 * it that they are on the floor; a learner is told whether they may run, and if so gets the machine.
 */
final class ReadBadge
{
    public function __construct(private readonly Standings $standings, private readonly RecordEntry $record)
    {
    }

    /** @param  array{id: string, badge: string, companion_badge?: string|null, request?: array<string, mixed>}  $read */
    public function __invoke(Device $device, array $read): BadgeRead
    {
        return DB::transaction(function () use ($device, $read): BadgeRead {
            // One badge at a time at a machine; a read that is sent again gets the answer it had.
            $machine = Machine::query()->with('permits.statements')->lockForUpdate()->findOrFail($device->machine_id);
            $known = BadgeRead::query()->with('user')->where('device_id', $device->id)->find($read['id']);
            if ($known instanceof BadgeRead) {
                return $known;
            }
            $user = Badge::read($read['badge'])?->user;
            $session = MachineSession::openAt($machine);
            $answer = match (true) {
                $user !== null && $session?->user_id === $user->id => $this->finish($session, $user),
                $user !== null && $user->teaches() => $this->comeToTheFloor($user),
                default => $this->decide($machine, $user, $session, $read),
            };

            return BadgeRead::query()->create([
                'id' => $read['id'],
                'machine_id' => $machine->id,
                'device_id' => $device->id,
                'user_id' => $user?->id,
                'request' => $read['request'] ?? [],
                'read_at' => CarbonImmutable::now(),
                'reasons' => [],
                'missing' => [],
                ...$answer,
            ])->setRelation('user', $user);
        });
    }

    /** @return array<string, mixed> */
    private function finish(MachineSession $session, User $user): array
    {
        $now = CarbonImmutable::now();
        $session->update(['ended_at' => $now]);
        $minutes = (int) floor($session->started_at->diffInMinutes($now));
        foreach ($session->machine->permits as $permit) {
            ($this->record)($user, $permit, 'machine_time', ['minutes' => $minutes, 'machine' => $session->machine->slug, 'session' => $session->id], $user);
        }

        return ['event' => 'finished'];
    }

    /** @return array<string, mixed> */
    private function comeToTheFloor(User $instructor): array
    {
        Presence::query()->updateOrCreate(['user_id' => $instructor->id], ['until' => CarbonImmutable::now()->addMinutes(Policy::inForce()->presenceMinutes)]);

        return ['event' => 'present'];
    }

    /**
     * @param  array{companion_badge?: string|null, request?: array<string, mixed>}  $read
     * @return array<string, mixed>
     */
    private function decide(Machine $machine, ?User $user, ?MachineSession $session, array $read): array
    {
        $places = $user === null ? [] : $this->standings->of(new Collection([$user]), $machine->permits)[$user->id];
        $access = $this->access($machine, $user, $places, $read);
        if ($access->decision !== Decision::No && $user !== null) {
            // Somebody else's turn ends where this one's begins.
            if ($session !== null) {
                $this->finish($session, $session->user);
            }
            MachineSession::query()->create([
                'machine_id' => $machine->id, 'user_id' => $user->id, 'decision' => $access->decision->value, 'started_at' => CarbonImmutable::now(),
            ]);
        }

        return [
            'event' => 'decision',
            'decision' => $access->decision->value,
            'reasons' => $access->reasons,
            'missing' => array_values(array_unique(array_merge([], ...array_map(static fn ($place): array => $place->next, array_values($places))))),
        ];
    }

    /**
     * @param  array<string, \MillStep\Core\Competency\LadderPlace>  $places
     * @param  array{companion_badge?: string|null, request?: array<string, mixed>}  $read
     */
    private function access(Machine $machine, ?User $user, array $places, array $read): Access
    {
        if ($user !== null && $places === []) {
            // Nobody has said what this machine takes; the gate does not guess.
            return new Access(Decision::No, ['no_permit_defined']);
        }
        $policy = Policy::inForce();
        $now = CarbonImmutable::now();

        return AccessDecision::fromFields(Fields::of([
            'now' => $now->toIso8601ZuluString(),
            'badge_known' => $user !== null,
            'person_active' => $user !== null && $user->active,
            'machine' => ['in_service' => $machine->in_service],
            'hours_open' => $policy->hours->openAt($now),
            'permits' => array_map(fn (Permit $permit): array => [
                ...$places[$permit->code]->toArray(),
                'scope' => $this->signedScope($permit, $user),
            ], $user === null ? [] : $machine->permits->all()),
            'request' => $read['request'] ?? [],
            'presence' => [
                'supervisor' => $user !== null && Presence::supervises($user),
                'companion' => $user !== null && $this->companion($user, $read['companion_badge'] ?? null),
            ],
            'policy' => ['supervised_from_stage' => $policy->supervisedFrom->value, 'companion_required' => $policy->companionRequired],
        ]))->compute();
    }

    /** @return array<string, mixed> what the latest sign-off covers */
    private function signedScope(Permit $permit, ?User $user): array
    {
        $signOff = $user === null ? null : LedgerEntry::query()->where('learner_id', $user->id)->where('permit_id', $permit->id)
            ->where('type', 'signed_off')->latest('seq')->first();
        $scope = $signOff?->details()['scope'] ?? [];

        return is_array($scope) ? $scope : [];
    }

    private function companion(User $user, #[\SensitiveParameter] ?string $badge): bool
    {
        $companion = $badge === null || $badge === '' ? null : Badge::read($badge)?->user;

        return $companion !== null && $companion->active && $companion->isNot($user);
    }
}
