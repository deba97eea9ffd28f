<?php

declare(strict_types=1);

namespace App\Content\Files;

use App\Content\Pack;
use App\Support\ContentFault;
use App\Support\FaultyContent;
use ZipArchive;

/**
 * A pack as one file: a zip of its text files, in a folder of the pack's own name. The same files always make the same
 * zip, to the byte, and what is read out of one is what went in.
 */
final class PackZip
{
    private const MOST_FILES = 1_000;

    private const MOST_BYTES = 16_000_000;

    /** What a pack is made of; anything else is no part of it. */
    private const PATH = '~^(?:locales/[a-z]{2}/)?(?:pack\.yaml|parts\.yaml|lessons/[\w-]+\.md|(?:checks|sheets|permits)/[\w-]+\.yaml)$~';

    private const CODE = '/^[a-z0-9]+(?:-[a-z0-9]+)*$/';

    public static function of(Pack $pack): string
    {
        $path = self::scratch();
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE);
        foreach ($pack->files->paths() as $file) {
            $name = "$pack->code/$file";
            $zip->addFromString($name, (string) $pack->files->read($file));
            // When it was made is not part of what it is.
            $zip->setMtimeName($name, 315_532_800);
            $zip->setCompressionName($name, ZipArchive::CM_DEFLATE, 9);
        }
        $zip->close();

        return self::takenFrom($path);
    }

    /**
     * @param  string  $name  of the file that came, for its faults
     * @return array{code: string, files: array<string, string>} what is in it, by path below the pack
     *
     * @throws FaultyContent when it is no zip, too large, or holds what is no part of a pack
     */
    public static function read(string $name, string $bytes): array
    {
        $path = self::scratch();
        file_put_contents($path, $bytes);
        $zip = new ZipArchive;
        try {
            FaultyContent::unless($zip->open($path, ZipArchive::RDONLY | ZipArchive::CHECKCONS) === true ? [] : [
                ContentFault::at($name, 1, 'no_zip'),
            ]);

            return self::contents($name, $zip);
        } finally {
            unlink($path);
        }
    }

    /**
     * @return array{code: string, files: array<string, string>}
     *
     * @throws FaultyContent
     */
    private static function contents(string $name, ZipArchive $zip): array
    {
        $sizes = [];
        for ($index = 0; $index < min($zip->numFiles, self::MOST_FILES + 1); $index++) {
            $entry = $zip->statIndex($index);
            if ($entry !== false && ! str_ends_with($entry['name'], '/')) {
                $sizes[$entry['name']] = $entry['size'];
            }
        }
        // Sizes are what the zip says of itself; they are held to when it is read.
        FaultyContent::unless(count($sizes) > self::MOST_FILES || array_sum($sizes) > self::MOST_BYTES
            ? [ContentFault::at($name, 1, 'zip_too_large')] : []);
        $folders = array_values(array_unique(array_map(
            static fn (string $path): string => str_contains($path, '/') ? explode('/', $path)[0] : '',
            array_map(strval(...), array_keys($sizes)),
        )));
        $code = $folders[0] ?? '';
        FaultyContent::unless(count($folders) === 1 && preg_match(self::CODE, $code) === 1 ? [] : [
            ContentFault::at($name, 1, 'zip_one_folder'),
        ]);
        $files = $faults = [];
        foreach ($sizes as $path => $size) {
            $below = substr((string) $path, strlen($code) + 1);
            if (preg_match(self::PATH, $below) !== 1) {
                $faults[] = ContentFault::at($below, 1, 'no_part_of_pack');

                continue;
            }
            $text = $zip->getFromName((string) $path, $size + 1);
            if ($text === false || strlen($text) !== $size || ! mb_check_encoding($text, 'UTF-8') || str_contains($text, "\0")) {
                $faults[] = ContentFault::at($below, 1, 'no_text');

                continue;
            }
            $files[$below] = $text;
        }
        FaultyContent::unless($faults);

        return ['code' => $code, 'files' => $files];
    }

    private static function scratch(): string
    {
        return (string) tempnam(sys_get_temp_dir(), 'mill-step-pack');
    }

    private static function takenFrom(string $path): string
    {
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return $bytes;
    }
}
