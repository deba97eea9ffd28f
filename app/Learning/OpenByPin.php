<?php

declare(strict_types=1);

namespace App\Learning;

use App\People\OnTheFloor;
use App\People\Pin;
use App\People\User;
use App\Support\Refusal;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\RateLimiter;

/** The instructor's look, opened on the learner's own device: whoever looked says who they are by their PIN. */
final class OpenByPin
{
    /** So many wrong tries of one learner and from one device in an hour. */
    private const TRIES = 5;

    private const TRIES_S = 3_600;

    public function __construct(
        private readonly Pin $pin,
        private readonly AnswerStep $answer,
        private readonly OnTheFloor $floor,
    ) {
    }

    /**
     * @param  string  $device  what tells this device from others
     *
     * @throws Refusal `not_yours_to_open` for somebody who does not teach this learner, `not_on_the_floor`, `pin_not_set`, `pin_wrong`,
     *     `pin_guessed` after too many on this learner's devices
     */
    public function __invoke(HoldPoint $hold, int $by, #[\SensitiveParameter] string $pin, string $device): HoldPoint
    {
        $instructor = User::query()->find($by);
        if ($instructor === null || ! Gate::forUser($instructor)->allows('teach-learner', $hold->progress->learner)) {
            throw Refusal::forbidden('not_yours_to_open');
        }
        if (! $this->floor->has($instructor)) {
            throw Refusal::forbidden('not_on_the_floor', ['name' => $instructor->name]);
        }
        // Counted before it is looked at, and apart from the instructor's own count: no learner locks an instructor out of signing.
        $counts = ['opening-here:'.$hold->progress->learner_id, 'opening-here-at:'.hash('sha256', $device)];
        foreach ($counts as $tries) {
            if (RateLimiter::hit($tries, self::TRIES_S) > self::TRIES) {
                throw Refusal::tooMany('pin_guessed', ['minutes' => (int) ceil(RateLimiter::availableIn($tries) / 60)]);
            }
        }
        $this->pin->is($instructor, $pin) || throw Refusal::forbidden('pin_wrong_here');
        // The right one takes its count back: a class that shares a tablet is looked at more than five times an hour.
        foreach ($counts as $tries) {
            RateLimiter::decrement($tries, self::TRIES_S);
        }

        return $this->answer->open($hold, $instructor->id, here: true);
    }

    /** @return Collection<int, User> who may open it here, by name: those on the floor who teach this learner and have a PIN */
    public function openers(HoldPoint $hold): Collection
    {
        return User::query()->where('active', true)->whereNotNull('pin_hash')->orderBy('name')->get()
            ->filter(fn (User $user): bool => Gate::forUser($user)->allows('teach-learner', $hold->progress->learner)
                && $this->floor->has($user))->values();
    }
}
