<?php

declare(strict_types=1);

namespace App\Gate;

use App\Gate\Events\BadgesGuessed;
use App\Gate\Events\BadgeWasRead;
use App\Gate\Events\ClockSetBack;
use App\Gate\Events\PresenceChanged;
use App\Gate\Events\SessionStarted;
use App\People\User;
use App\Support\PowerLock;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Competency\Decision;
use MillStep\Core\Competency\Need;
use MillStep\Core\Gate\Intent;
use MillStep\Core\Gate\Meaning;
use MillStep\Core\Gate\Tap;

/**
 * A badge at a machine's reader, with what is meant by it. `start` asks for the machine, and is never a finish;
 * `finish` ends one's own turn, and is never a start; `hand_over` ends the turn of whoever has the machine, by them or by
 * somebody who teaches. An instructor's badge says that they are on the floor.
 *
 * @phpstan-type Read array{id: string, intent: 'start'|'finish'|'hand_over', badge?: string|null, follows?: string|null,
 *     companion_badge?: string|null, supervisor?: int|null, supervisor_badge?: string|null, request?: array<string, mixed>|null}
 * @phpstan-type Answer array{event: string, session: MachineSession|null, holder: User|null, decision?: string, reasons?: list<string>,
 *     asks?: list<string>, missing?: list<array{kind: string, what?: string,
 *     count?: int, from?: string, until?: string}>, scopes?: list<array<string, mixed>>, further?: list<array<string, mixed>>,
 *     refused?: list<string>, supervisors?: list<array{id: int, name: string}>, supervisor_id?: int|null}
 */
final class ReadBadge
{
    /** So long an answer may be asked for again, in seconds. */
    private const RECENT_S = 60;

    /** So long a question of the gate may be answered, in seconds. */
    private const ASKED_S = 120;

    /** Unknown badges at one device within ten minutes, after which it is slowed. */
    private const GUESSES = 5;

    public function __construct(private readonly DecideAccess $decide, private readonly ReviewTurn $review, private readonly EndTurn $end)
    {
    }

    /**
     * @param  Read  $read
     *
     * @throws Refusal `id_used`, `read_too_old`, `ask_over`, `supervisor_full` or `slowed`
     */
    public function __invoke(Device $device, array $read): BadgeRead
    {
        try {
            return DB::transaction(fn (): BadgeRead => $this->read($device, $read));
        } catch (UniqueConstraintViolationException) {
            // The same id at two machines at once.
            throw Refusal::idUsed();
        }
    }

    /** @param  Read  $read */
    private function read(Device $device, array $read): BadgeRead
    {
        $fingerprint = self::fingerprint($device, $read);
        $badge = isset($read['badge']) ? Badge::hash($read['badge']) : null;
        $companion = ($read['companion_badge'] ?? '') === '' ? null : Badge::hash((string) $read['companion_badge']);
        $supervisor = ($read['supervisor_badge'] ?? '') === '' ? null : Badge::hash((string) $read['supervisor_badge']);
        // One badge at a time at a machine; a read that is sent again gets the answer it had.
        $look = static fn (): Moment => Moment::at(
            $device->machine_id,
            $device->id,
            $badge,
            $companion,
            $supervisor,
            $read['follows'] ?? null,
            $read['id'],
        );
        $moment = $look();
        if ($moment->device?->revoked_at !== null) {
            // Revoked while this was under way.
            throw new AuthenticationException;
        }
        $moment->clockBack && ClockSetBack::dispatch();
        // Decided anew before anything is answered, an old answer too.
        $session = $this->review->now($moment);
        if ($moment->known !== null) {
            // Its turn may have been ended by the look just taken.
            return $this->again(
                $session === null && $moment->open !== null ? $moment->known->load('session') : $moment->known,
                $fingerprint,
                $moment->now,
            );
        }
        $user = isset($read['follows']) ? $this->asked($device, $moment, $read['follows']) : $moment->badgeOf;
        // What this request knew of its device may be older than the guesses that were counted meanwhile.
        $this->checkSpeed($moment->device ?? $device, $read['intent'], $session, $user, $moment->now);
        $guess = $user === null || ($companion !== null && $moment->companionOf === null)
            || ($supervisor !== null && $moment->supervisorOf === null);
        if ($moment->supervisorOf?->teaches() === true && $this->arrives($moment, $moment->supervisorOf)) {
            $moment = $look();
        }
        $answer = $this->answer($moment, $session, $user, $read);
        $made = BadgeRead::query()->create([
            'id' => $read['id'],
            'intent' => $read['intent'],
            'fingerprint' => $fingerprint,
            'machine_id' => $device->machine_id,
            'device_id' => $device->id,
            'user_id' => $user?->id,
            'badge_id' => isset($read['follows']) ? $moment->last?->badge_id : $moment->badgeId,
            'request' => $read['request'] ?? (isset($read['follows']) ? $moment->last->request ?? [] : []),
            'guess' => $guess,
            'read_at' => $moment->now,
            'session_id' => $answer['session']?->id,
            'holder_id' => $answer['holder']?->id,
            ...array_diff_key($answer, ['session' => 0, 'holder' => 0]),
        ]);
        $made->setRelation('user', $user)->setRelation('holder', $answer['holder'])->setRelation('session', $answer['session'])
            ->setRelation('supervisor', $answer['session']?->supervisor);
        if ($guess) {
            $this->countGuess($device, $moment);
        }
        BadgeWasRead::dispatch($moment->machine->slug);

        return $made;
    }

    /** Only the very same read, from the same device, and not for long. */
    private function again(BadgeRead $known, string $fingerprint, CarbonImmutable $now): BadgeRead
    {
        if (! hash_equals($known->fingerprint, $fingerprint)) {
            throw Refusal::idUsed();
        }
        if ($now->greaterThan($known->read_at->addSeconds(self::RECENT_S))) {
            throw Refusal::because('read_too_old');
        }

        return $known;
    }

    /** @param  Read  $read */
    private static function fingerprint(Device $device, array $read): string
    {
        $request = $read['request'] ?? [];
        ksort($request);

        return hash_hmac('sha256', json_encode([
            $device->id,
            $read['intent'],
            mb_strtoupper(trim($read['badge'] ?? '')),
            $read['follows'] ?? '',
            mb_strtoupper(trim($read['companion_badge'] ?? '')),
            mb_strtoupper(trim($read['supervisor_badge'] ?? '')),
            $read['supervisor'] ?? null,
            $request,
        ], JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE), Config::string('app.key'));
    }

    /**
     * Who was asked what they want to do: the last read at this machine, and that not long ago, by a badge that is theirs now. A
     * badge that was reported lost meanwhile asks nothing any more.
     */
    private function asked(Device $device, Moment $moment, string $id): User
    {
        $last = $moment->last;
        if ($last === null || $last->id !== $id || $last->device_id !== $device->id || $last->asks === [] || $last->user === null
            || ! $moment->askedBadge || $moment->now->greaterThan($last->read_at->addSeconds(self::ASKED_S))) {
            throw Refusal::because('ask_over');
        }

        return $last->user;
    }

    /**
     * @param  Read  $read
     * @return Answer
     */
    private function answer(Moment $moment, ?MachineSession $session, ?User $user, array $read): array
    {
        $tap = new Tap(
            Intent::from($read['intent']),
            $user === null ? null : (string) $user->id,
            $user !== null && $user->teaches(),
            $session === null ? null : (string) $session->user_id,
        );

        return match ($tap->meaning()) {
            Meaning::Finish => $this->finish($moment, $session, 'finished', $user),
            Meaning::HandOver => $this->finish($moment, $session, 'handed_over', $user),
            Meaning::EndByInstructor => $this->finish($moment, $session, 'ended_by_instructor', $user),
            Meaning::Present => $this->comeToTheFloor($moment, $session, $user),
            Meaning::InUse => ['event' => 'in_use', 'session' => null, 'holder' => $session?->user],
            Meaning::NothingToFinish => ['event' => 'finished', 'session' => null, 'holder' => null],
            Meaning::Decide => $this->decide($moment, $session, $user, $read),
        };
    }

    /**
     * @param  'finished'|'handed_over'|'ended_by_instructor'  $because
     * @return Answer
     */
    private function finish(Moment $moment, ?MachineSession $session, string $because, ?User $by): array
    {
        \assert($session !== null);
        ($this->end)($session, $moment->policy, $because, $moment->now, [], $by);

        return ['event' => 'finished', 'session' => $session, 'holder' => $session->user];
    }

    /** @return Answer */
    private function comeToTheFloor(Moment $moment, ?MachineSession $session, ?User $instructor): array
    {
        \assert($instructor !== null);
        $this->onTheFloor($moment, $instructor);

        return ['event' => 'present', 'session' => null, 'holder' => $session?->user];
    }

    /** Whether somebody was not on the floor until their badge was held to this reader. */
    private function arrives(Moment $moment, User $instructor): bool
    {
        foreach ($moment->onTheFloor() as $present) {
            if ($present->id === $instructor->id) {
                return false;
            }
        }
        $this->onTheFloor($moment, $instructor);

        return true;
    }

    private function onTheFloor(Moment $moment, User $instructor): void
    {
        Presence::query()->updateOrCreate(
            ['user_id' => $instructor->id],
            ['until' => $moment->now->addMinutes($moment->policy->presenceMinutes)],
        );
        PresenceChanged::dispatch($instructor->id);
    }

    /**
     * @param  MachineSession|null  $session  this person's own open turn, or another's when nobody has the badge
     * @param  Read  $read
     * @return Answer
     */
    private function decide(Moment $moment, ?MachineSession $session, ?User $user, array $read): array
    {
        $own = $user === null ? null : $session;
        // Whoever answers a question need not say again what they said before it.
        $before = isset($read['follows']) ? $moment->last->request ?? [] : [];
        $request = $read['request'] ?? ($before === [] ? null : $before);
        $companion = $moment->companionOf;
        // A badge that is nobody's who teaches names nobody.
        $named = ($read['supervisor_badge'] ?? '') === '' ? $read['supervisor'] ?? $own?->supervisor_id : $moment->supervisorOf->id ?? 0;
        $decided = ($this->decide)($moment, $user, $request ?? $own->request ?? [], new Company(
            $companion ?? $own?->companion,
            ($read['companion_badge'] ?? '') !== '' && $companion === null,
            $named,
        ));
        $access = $decided->access;
        $asks = $decided->asks();
        $given = null;
        if ($own !== null && $own->companion_id !== null && $companion === null && $decided->givesPower()) {
            // Whoever stood beside them says anew that they still do. Until then the turn goes on as it was, and runs out as it would.
            [$given, $asks] = [$own, ['companion']];
        } elseif ($user !== null && $decided->givesPower()) {
            $given = $this->give($moment, $own, $user, $companion, $request, $decided);
        } elseif ($own !== null) {
            // They now want what they may not do alone: the turn that was given for something else is over.
            $reasons = [...$access->reasons, ...$decided->refused()];
            ($this->end)($own, $moment->policy, 'revoked', $moment->now, $reasons === [] ? ['request_unsaid'] : $reasons);
        }

        return [
            'event' => $asks === [] ? 'decision' : 'asks',
            'decision' => $asks === [] ? $access->decision->value : 'no',
            'reasons' => $access->reasons,
            'refused' => $decided->refused(),
            'asks' => $asks,
            'supervisors' => in_array('supervisor', $asks, true) ? $moment->named($decided->supervision->choices ?? []) : [],
            'missing' => array_map(static fn (Need $need): array => $need->toArray(), $decided->missing()),
            'scopes' => $decided->scopes(),
            'further' => $decided->further(),
            'session' => $given,
            'supervisor_id' => $given?->supervisor_id,
            'holder' => $own === null ? $session?->user : null,
        ];
    }

    /**
     * A turn begins, or goes on: what its holder was told now is what goes on, so that a job outside their signature runs under
     * supervision from here, and stops when the supervisor leaves.
     *
     * @param  array<string, mixed>|null  $request
     *
     * @throws Refusal `supervisor_full` where somebody else was quicker
     */
    private function give(
        Moment $moment,
        ?MachineSession $own,
        User $user,
        ?User $companion,
        ?array $request,
        Decided $decided,
    ): MachineSession {
        $supervisor = $decided->access->decision === Decision::Supervised ? $decided->supervision?->by : null;
        if ($supervisor !== null) {
            PowerLock::forSupervision();
            $watches = MachineSession::query()->whereNull('ended_at')->where('supervisor_id', $supervisor->id)
                ->where('machine_id', '<>', $moment->machine->id)->count();
            $watches < $moment->policy->supervisedAtOnce || throw Refusal::because('supervisor_full');
        }
        $turn = $own ?? new MachineSession(['machine_id' => $moment->machine->id, 'user_id' => $user->id, 'started_at' => $moment->now]);
        $turn->fill([
            'decision' => $decided->access->decision->value,
            'confirmed_at' => $moment->now,
            'request' => $request ?? $own->request ?? [],
            'companion_id' => $companion->id ?? $own?->companion_id,
            'supervisor_id' => $supervisor?->id,
        ])->save();
        if ($own === null) {
            SessionStarted::dispatch($turn->id, $moment->machine->slug, $user->id);
        }

        return $turn;
    }

    /** A slowed device waits between badges; whoever has the machine can always finish. */
    private function checkSpeed(
        Device $device,
        string $intent,
        ?MachineSession $session,
        ?User $user,
        CarbonImmutable $now,
    ): void {
        $ends = $intent !== 'start' && $session !== null && $user !== null && ($session->user_id === $user->id || $user->teaches());
        if (! $ends && $device->slowed_until?->greaterThan($now) === true) {
            throw Refusal::tooMany('slowed', [
                'seconds' => (int) ceil($now->diffInSeconds($device->slowed_until)),
            ]);
        }
    }

    private function countGuess(Device $device, Moment $moment): void
    {
        $guesses = BadgeRead::query()->where('device_id', $device->id)->where('guess', true)->where(
            'read_at',
            '>',
            $moment->now->subMinutes(10),
        )->count();
        if ($guesses < self::GUESSES) {
            return;
        }
        $device->update(['slowed_until' => $moment->now->addSeconds(min(60, 2 ** ($guesses - self::GUESSES + 2)))]);
        if ($guesses === self::GUESSES) {
            BadgesGuessed::dispatch($device->name, $moment->machine->slug, $guesses);
        }
    }
}
