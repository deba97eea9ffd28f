<?php

declare(strict_types=1);

namespace MillStep\Core\Gate;

/**
 * Who watches a supervised turn. Somebody is named: by their badge, by choice of those on the floor, or because nobody else could
 * be meant. Nobody watches themselves, nobody watches what they may not sign for, and nobody more turns than eyes can follow.
 */
final readonly class Supervision
{
    /**
     * @param  Supervisor|null  $by  who watches; null while nobody is named, or nobody can
     * @param  list<Supervisor>  $choices  who could; to be asked where nobody is named
     * @param  'supervisor_absent'|'supervisor_may_not'|'supervisor_full'|null  $refusal  why nobody does
     */
    private function __construct(public ?Supervisor $by, public array $choices, public ?string $refusal)
    {
    }

    /**
     * @param  list<Supervisor>  $onTheFloor
     * @param  int  $learner  whose turn it is
     * @param  int  $most  how many turns one person may watch at once
     * @param  int|null  $named  who was said
     */
    public static function of(array $onTheFloor, int $learner, int $most, ?int $named = null): self
    {
        $others = array_filter($onTheFloor, static fn (Supervisor $each): bool => $each->id !== $learner);
        $asked = $named === null ? $others : array_filter($others, static fn (Supervisor $each): bool => $each->id === $named);
        $may = array_filter($asked, static fn (Supervisor $each): bool => $each->may);
        $free = array_values(array_filter($may, static fn (Supervisor $each): bool => $each->watches < $most));

        return new self(count($free) === 1 ? $free[0] : null, $free, match (true) {
            $asked === [] => 'supervisor_absent',
            $may === [] => 'supervisor_may_not',
            $free === [] => 'supervisor_full',
            default => null,
        });
    }

    public function isPossible(): bool
    {
        return $this->refusal === null;
    }
}
