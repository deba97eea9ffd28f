<?php

declare(strict_types=1);

namespace App\Content\Files;

/** A pack that came as a file, or was made here. */
final readonly class GivenFiles implements PackFiles
{
    /** @param  array<string, string>  $files  what is in them, by path */
    public function __construct(private array $files)
    {
    }

    public function paths(): array
    {
        $paths = array_map(strval(...), array_keys($this->files));
        sort($paths);

        return $paths;
    }

    public function read(string $path): ?string
    {
        return $this->files[$path] ?? null;
    }
}
