<?php

declare(strict_types=1);

namespace App\Learning;

use App\People\Pin;
use App\People\User;
use App\Support\Refusal;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\RateLimiter;

/** The instructor's look, opened on the learner's own device: whoever looked says who they are by their PIN. */
final class OpenByPin
{
    /** So many wrong PINs of one learner, in so many seconds: fewer than lock an instructor's. */
    private const GUESSES = Pin::FAILURES_ALLOWED - 2;

    private const GUESSES_S = 900;

    public function __construct(private readonly Pin $pin, private readonly AnswerStep $answer)
    {
    }

    /**
     * @throws Refusal `not_yours_to_open` for somebody who does not teach this learner, `pin_not_set`, `pin_wrong`, `pin_locked`,
     *     `pin_guessed` after too many wrong ones on this learner's devices
     */
    public function __invoke(HoldPoint $hold, int $by, #[\SensitiveParameter] string $pin): HoldPoint
    {
        $instructor = User::query()->find($by);
        if ($instructor === null || ! Gate::forUser($instructor)->allows('teach-learner', $hold->progress->learner)) {
            throw Refusal::forbidden('not_yours_to_open');
        }
        // A learner who guesses is stopped before the instructor's own PIN is locked by it.
        $guesses = 'opening-here:'.$hold->progress->learner_id;
        if (RateLimiter::tooManyAttempts($guesses, self::GUESSES)) {
            throw Refusal::tooMany('pin_guessed', ['minutes' => (int) ceil(RateLimiter::availableIn($guesses) / 60)]);
        }
        try {
            // Outside of the write: a wrong one is counted, whatever comes of it.
            $this->pin->confirm($instructor, $pin);
        } catch (Refusal $refusal) {
            RateLimiter::hit($guesses, self::GUESSES_S);
            throw $refusal;
        }

        return $this->answer->open($hold, $instructor->id);
    }

    /** @return Collection<int, User> who may open it here, by name: those who teach this learner and have a PIN */
    public function openers(HoldPoint $hold): Collection
    {
        return User::query()->where('active', true)->whereNotNull('pin_hash')->orderBy('name')->get()
            ->filter(static fn (User $user): bool => Gate::forUser($user)->allows('teach-learner', $hold->progress->learner))->values();
    }
}
