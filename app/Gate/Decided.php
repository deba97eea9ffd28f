<?php

declare(strict_types=1);

namespace App\Gate;

use App\Competency\PermitStanding;
use MillStep\Core\Competency\Access;
use MillStep\Core\Competency\Decision;
use MillStep\Core\Competency\Need;
use MillStep\Core\Competency\Stage;
use MillStep\Core\Gate\Supervision;

/** The core's answer, with the standings that it was made from and who would be there. */
final readonly class Decided
{
    /**
     * @param  array<string, PermitStanding>  $standings  of the permits that the machine takes, by permit
     * @param  array<string, PermitStanding>  $further  of those that widen what may be done there
     * @param  Supervision|null  $supervision  who would watch; null where nothing but a refusal was asked about
     * @param  string|null  $companionRefusal  why the companion who was said does not do
     */
    public function __construct(
        public Access $access,
        public array $standings,
        private array $further = [],
        public ?Supervision $supervision = null,
        private ?string $companionRefusal = null,
    ) {
    }

    /** Nobody is named yet who watches, and several could. */
    public function asksForSupervisor(): bool
    {
        return $this->access->decision === Decision::Supervised && $this->supervision?->by === null;
    }

    public function givesPower(): bool
    {
        return $this->access->givesPower() && ! $this->asksForSupervisor();
    }

    /** @return list<string> what must be said before anybody gets power */
    public function asks(): array
    {
        return $this->asksForSupervisor() ? [...$this->access->asks, 'supervisor'] : $this->access->asks;
    }

    /** @return list<string> why the companion or the supervisor does not do, where one of them was needed */
    public function refused(): array
    {
        $reasons = $this->access->reasons;

        return array_values(array_filter([
            in_array('companion_absent', $reasons, true) ? $this->companionRefusal : null,
            // That nobody is there is a reason of its own already.
            in_array('supervisor_absent', $reasons, true) && $this->supervision?->refusal !== 'supervisor_absent'
                ? $this->supervision?->refusal : null,
        ], is_string(...)));
    }

    /** @return list<Need> what the next stage still needs, each once */
    public function missing(): array
    {
        $needs = array_merge([], ...array_values(array_map(
            static fn (PermitStanding $standing): array => $standing->place->next,
            $this->standings,
        )));

        return array_values(array_combine(array_map(strval(...), $needs), $needs));
    }

    /** @return list<array<string, mixed>> what is covered today, where there is a signature: it, within the permit */
    public function scopes(): array
    {
        return array_values(array_filter(
            array_map(static fn (PermitStanding $standing): ?array => $standing->covered()?->toArray(), $this->standings),
            is_array(...),
        ));
    }

    /** @return list<array<string, mixed>> what each further permit covers that carries now */
    public function further(): array
    {
        return array_values(array_filter(array_map(
            static fn (PermitStanding $standing): ?array => $standing->place->stage === Stage::Tapped && ! $standing->place->held
                && $standing->place->lapsed === null ? $standing->covered()?->toArray() : null,
            $this->further,
        ), is_array(...)));
    }
}
