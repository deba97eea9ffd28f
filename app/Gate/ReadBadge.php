<?php

declare(strict_types=1);

namespace App\Gate;

use App\Gate\Events\BadgesGuessed;
use App\Gate\Events\BadgeWasRead;
use App\Gate\Events\PresenceChanged;
use App\Gate\Events\SessionStarted;
use App\People\User;
use App\Support\Refusal;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Gate\Intent;
use MillStep\Core\Gate\Meaning;
use MillStep\Core\Gate\Tap;

/**
 * A badge at a machine's reader, with what is meant by it. `start` asks for the machine, and is never a finish;
 * `finish` ends one's own turn, and is never a start; `hand_over` ends the turn of whoever has the machine, by them or by
 * somebody who teaches. An instructor's badge says that they are on the floor.
 *
 * @phpstan-type Read array{id: string, intent: 'start'|'finish'|'hand_over', badge?: string|null, follows?: string|null,
 *     companion_badge?: string|null, request?: array<string, mixed>|null}
 * @phpstan-type Answer array{event: string, session: MachineSession|null, holder: User|null, decision?: string, reasons?: list<string>,
 *     asks?: list<string>, missing?: list<string>, scopes?: list<array<string, mixed>>, further?: list<array<string, mixed>>}
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
     * @throws Refusal `id_used`, `read_too_old`, `ask_over` or `slowed`
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
        // One badge at a time at a machine; a read that is sent again gets the answer it had.
        $moment = Moment::at($device->machine_id, $device->id, $badge, $companion, $read['follows'] ?? null, $read['id']);
        if ($moment->device?->revoked_at !== null) {
            // Revoked while this was under way.
            throw new AuthenticationException;
        }
        // Decided anew before anything is answered, an old answer too.
        $session = $this->review->now($moment);
        if ($moment->known !== null) {
            // Its turn may have been ended by the look just taken.
            return $this->again(
                $session === null && $moment->open !== null ? $moment->known->load('session') : $moment->known,
                $fingerprint,
            );
        }
        $user = isset($read['follows']) ? $this->asked($device, $moment->last, $read['follows']) : $moment->badgeOf;
        // What this request knew of its device may be older than the guesses that were counted meanwhile.
        $this->checkSpeed($moment->device ?? $device, $read['intent'], $session, $user);
        $guess = $user === null || ($companion !== null && $moment->companionOf === null);
        $answer = $this->answer($moment, $session, $user, $read);
        $made = BadgeRead::query()->create([
            'id' => $read['id'],
            'intent' => $read['intent'],
            'fingerprint' => $fingerprint,
            'machine_id' => $device->machine_id,
            'device_id' => $device->id,
            'user_id' => $user?->id,
            'request' => $read['request'] ?? [],
            'guess' => $guess,
            'read_at' => CarbonImmutable::now(),
            'session_id' => $answer['session']?->id,
            'holder_id' => $answer['holder']?->id,
            ...array_diff_key($answer, ['session' => 0, 'holder' => 0]),
        ]);
        $made->setRelation('user', $user)->setRelation('holder', $answer['holder'])->setRelation('session', $answer['session']);
        if ($guess) {
            $this->countGuess($device, $moment->machine);
        }
        BadgeWasRead::dispatch($moment->machine->slug);

        return $made;
    }

    /** Only the very same read, from the same device, and not for long. */
    private function again(BadgeRead $known, string $fingerprint): BadgeRead
    {
        if (! hash_equals($known->fingerprint, $fingerprint)) {
            throw Refusal::idUsed();
        }
        if (CarbonImmutable::now()->greaterThan($known->read_at->addSeconds(self::RECENT_S))) {
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
            $request,
        ], JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE), Config::string('app.key'));
    }

    /** Who was asked what they want to do: the last read at this machine, and that not long ago. */
    private function asked(Device $device, ?BadgeRead $last, string $id): User
    {
        if ($last === null || $last->id !== $id || $last->device_id !== $device->id || $last->asks === [] || $last->user === null
            || CarbonImmutable::now()->greaterThan($last->read_at->addSeconds(self::ASKED_S))) {
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
            Meaning::Decide => $this->decide($moment, $session, $user, $read['request'] ?? null),
        };
    }

    /**
     * @param  'finished'|'handed_over'|'ended_by_instructor'  $because
     * @return Answer
     */
    private function finish(Moment $moment, ?MachineSession $session, string $because, ?User $by): array
    {
        \assert($session !== null);
        ($this->end)($session, $moment->policy, $because, [], $by);

        return ['event' => 'finished', 'session' => $session, 'holder' => $session->user];
    }

    /** @return Answer */
    private function comeToTheFloor(Moment $moment, ?MachineSession $session, ?User $instructor): array
    {
        \assert($instructor !== null);
        Presence::query()->updateOrCreate(
            ['user_id' => $instructor->id],
            ['until' => $moment->now->addMinutes($moment->policy->presenceMinutes)],
        );
        PresenceChanged::dispatch($instructor->id);

        return ['event' => 'present', 'session' => null, 'holder' => $session?->user];
    }

    /**
     * @param  MachineSession|null  $session  this person's own open turn, or another's when nobody has the badge
     * @param  array<string, mixed>|null  $request
     * @return Answer
     */
    private function decide(Moment $moment, ?MachineSession $session, ?User $user, ?array $request): array
    {
        $own = $user === null ? null : $session;
        $companion = $moment->companionOf;
        $decided = ($this->decide)($moment, $user, $request ?? $own->request ?? [], $companion ?? $own?->companion);
        $access = $decided->access;
        $given = null;
        if ($user !== null && $access->givesPower()) {
            $given = $own !== null
                ? $this->goOn($own, $request, $companion, $access->decision->value)
                : $this->begin($moment->machine, $user, $companion, $request ?? [], $access->decision->value);
        } elseif ($own !== null) {
            // They now want what they may not do alone: the turn that was given for something else is over.
            ($this->end)($own, $moment->policy, 'revoked', $access->reasons === [] ? ['request_unsaid'] : $access->reasons);
        }

        return [
            'event' => $access->asks === [] ? 'decision' : 'asks',
            'decision' => $access->asks === [] ? $access->decision->value : 'no',
            'reasons' => $access->reasons,
            'asks' => $access->asks,
            'missing' => $decided->missing(),
            'scopes' => $decided->scopes(),
            'further' => $decided->further(),
            'session' => $given,
            'holder' => $own === null ? $session?->user : null,
        ];
    }

    /** @param  array<string, mixed>  $request */
    private function begin(Machine $machine, User $user, ?User $companion, array $request, string $decision): MachineSession
    {
        $now = CarbonImmutable::now();
        $session = MachineSession::query()->create([
            'machine_id' => $machine->id, 'user_id' => $user->id, 'companion_id' => $companion?->id, 'decision' => $decision,
            'request' => $request, 'started_at' => $now, 'confirmed_at' => $now,
        ]);
        SessionStarted::dispatch($session->id, $machine->slug, $user->id);

        return $session;
    }

    /**
     * The badge of whoever has the machine already: they are still there. What they were told now is what goes on, so
     * that a job outside their signature runs under supervision from here, and stops when the supervisor leaves.
     *
     * @param  array<string, mixed>|null  $request
     */
    private function goOn(MachineSession $session, ?array $request, ?User $companion, string $decision): MachineSession
    {
        $session->update([
            'decision' => $decision,
            'confirmed_at' => CarbonImmutable::now(),
            'request' => $request ?? $session->request,
            'companion_id' => $companion->id ?? $session->companion_id,
        ]);

        return $session;
    }

    /** A slowed device waits between badges; whoever has the machine can always finish. */
    private function checkSpeed(Device $device, string $intent, ?MachineSession $session, ?User $user): void
    {
        $ends = $intent !== 'start' && $session !== null && $user !== null && ($session->user_id === $user->id || $user->teaches());
        if (! $ends && $device->slowed_until !== null && $device->slowed_until->isFuture()) {
            throw Refusal::tooMany('slowed', [
                'seconds' => (int) ceil(CarbonImmutable::now()->diffInSeconds($device->slowed_until)),
            ]);
        }
    }

    private function countGuess(Device $device, Machine $machine): void
    {
        $guesses = BadgeRead::query()->where('device_id', $device->id)->where('guess', true)->where(
            'read_at',
            '>',
            CarbonImmutable::now()->subMinutes(10),
        )->count();
        if ($guesses < self::GUESSES) {
            return;
        }
        $device->update(['slowed_until' => CarbonImmutable::now()->addSeconds(min(60, 2 ** ($guesses - self::GUESSES + 2)))]);
        if ($guesses === self::GUESSES) {
            BadgesGuessed::dispatch($device->name, $machine->slug, $guesses);
        }
    }
}
