<?php

declare(strict_types=1);

namespace App\Gate;

use App\Competency\PermitStanding;
use MillStep\Core\Competency\Access;
use MillStep\Core\Competency\Stage;

/** The core's answer, with the standings that it was made from. */
final readonly class Decided
{
    /**
     * @param  array<string, PermitStanding>  $standings  of the permits that the machine takes, by permit
     * @param  array<string, PermitStanding>  $further  of those that widen what may be done there
     */
    public function __construct(public Access $access, public array $standings, private array $further = [])
    {
    }

    /** @return list<string> what the next stage still needs */
    public function missing(): array
    {
        return array_values(array_unique(array_merge(
            [],
            ...array_values(array_map(static fn (PermitStanding $standing): array => $standing->place->next, $this->standings)),
        )));
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
