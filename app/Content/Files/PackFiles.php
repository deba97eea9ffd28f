<?php

declare(strict_types=1);

namespace App\Content\Files;

/** The files of a pack, wherever they lie. */
interface PackFiles
{
    /** @return list<string> paths below the pack, in the order of their letters */
    public function paths(): array;

    /** @return string|null to the letter; null for a path that is not there */
    public function read(string $path): ?string;
}
