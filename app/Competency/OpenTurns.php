<?php

declare(strict_types=1);

namespace App\Competency;

/** The turns that are open at machines, as far as whoever changes a permit has to know them; the gate says so. */
interface OpenTurns
{
    /**
     * Turns that would end if the shop asked for something else.
     *
     * @param  list<int>|null  $machines  ids of the machines that take the changed permit then; as today where null
     * @return list<array{session: string, machine: string, person: string, since: string, reasons: list<string>}>
     */
    public function endingUnder(Rules $rules, Permit $changed, ?array $machines): array;
}
