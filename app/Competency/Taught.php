<?php

declare(strict_types=1);

namespace App\Competency;

/** What the shop teaches and asks, as far as a permit has to know it; the rooms that teach it say so. */
interface Taught
{
    /** @return array<string, int> the oldest version of each lesson that still counts, by code */
    public function acceptedVersions(): array;

    /** @return array{lessons: list<string>, checks: list<string>, assessments: list<string>} the codes that there are */
    public function codes(): array;

    /**
     * What each sheet shows in its latest version, as it is done on its first piece: for passes that do not say themselves.
     *
     * @param  list<string>  $sheets  codes
     * @return array<string, list<array<string, mixed>>> as the core's Shown reads them, by code
     */
    public function shows(array $sheets): array;

    /** @return array<'lessons'|'checks'|'assessments', list<array{code: string, title: string}>> each by its latest version */
    public function titles(): array;
}
