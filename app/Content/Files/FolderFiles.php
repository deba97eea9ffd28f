<?php

declare(strict_types=1);

namespace App\Content\Files;

use Symfony\Component\Finder\Finder;

/** A pack that lies on the disk, as those that ship do. */
final readonly class FolderFiles implements PackFiles
{
    public function __construct(private string $folder)
    {
    }

    public function paths(): array
    {
        $paths = [];
        foreach (Finder::create()->files()->in($this->folder) as $file) {
            $paths[] = str_replace('\\', '/', $file->getRelativePathname());
        }
        sort($paths);

        return $paths;
    }

    public function read(string $path): ?string
    {
        return is_file("$this->folder/$path") ? (string) file_get_contents("$this->folder/$path") : null;
    }
}
