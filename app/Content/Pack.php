<?php

declare(strict_types=1);

namespace App\Content;

use App\Content\Files\FolderFiles;
use App\Content\Files\PackFiles;
use App\Language\Sentences;
use App\Learning\LessonFile;
use App\Support\ContentFault;
use App\Support\FaultyContent;
use App\Support\Given;
use App\Support\YamlText;

/**
 * A pack of content: files, pack.yaml, parts.yaml, lessons, checks, sheets, permits, and what they are in other
 * languages under locales. See CONTRIBUTING.md for how to write one.
 */
final readonly class Pack
{
    public const FOLDER = 'content';

    private function __construct(public string $code, public PackFiles $files, public YamlText $about)
    {
    }

    /** @return list<self> all that ship with this version */
    public static function shipped(): array
    {
        return array_map(
            static fn (string $path): self => self::at($path),
            glob(base_path(self::FOLDER.'/*'), GLOB_ONLYDIR) ?: [],
        );
    }

    public static function shippedAs(string $code): ?self
    {
        return array_values(array_filter(self::shipped(), static fn (self $pack): bool => $pack->code === $code))[0] ?? null;
    }

    /** Whether both have the same files, to the byte. */
    public function saysTheSameAs(self $other): bool
    {
        $paths = $this->files->paths();

        return $paths === $other->files->paths() && array_filter(
            $paths,
            fn (string $path): bool => $this->files->read($path) !== $other->files->read($path),
        ) === [];
    }

    /** @throws FaultyContent when it has no pack.yaml, or one that says nothing */
    public static function at(string $path): self
    {
        return self::of(basename($path), new FolderFiles($path));
    }

    /** @throws FaultyContent when it has no pack.yaml, or one that says nothing */
    public static function of(string $code, PackFiles $files): self
    {
        $about = $files->read('pack.yaml');
        FaultyContent::unless($about !== null ? [] : [ContentFault::at('pack.yaml', 1, 'no_pack')]);

        return new self($code, $files, YamlText::read('pack.yaml', (string) $about));
    }

    /** Whether it is what this shop has written itself. */
    public function isOwn(): bool
    {
        return $this->code === OwnPack::CODE;
    }

    public function version(): int
    {
        return is_int($this->about->values['version'] ?? null) ? $this->about->values['version'] : 1;
    }

    /** @return list<string> the packs that this one is built on: their lessons and permits are asked for here */
    public function needs(): array
    {
        return Given::texts($this->about->values['needs'] ?? []);
    }

    /** A word about it in a language, as far as the pack has it. */
    public function said(string $key, string $language): string
    {
        $text = $this->files->read("locales/$language/pack.yaml");
        $there = $text === null ? [] : YamlText::read("locales/$language/pack.yaml", $text)->values;

        return Given::text($there[$key] ?? $this->about->values[$key] ?? $this->code);
    }

    /** Whether it is written in that language, or translated into it. */
    public function speaks(string $language): bool
    {
        return $this->language() === $language || array_filter(
            $this->files->paths(),
            static fn (string $path): bool => str_starts_with($path, "locales/$language/lessons/"),
        ) !== [];
    }

    /** The language that it was written in. */
    public function language(): string
    {
        return Given::text($this->about->values['language'] ?? 'en');
    }

    /** @return array{lessons: int, checks: int, sheets: int, permits: int} how many files of each */
    public function counts(): array
    {
        return [
            'lessons' => count($this->files('lessons', 'md')), 'checks' => count($this->files('checks', 'yaml')),
            'sheets' => count($this->files('sheets', 'yaml')), 'permits' => count($this->files('permits', 'yaml')),
        ];
    }

    /** @return list<string> names of a kind's files */
    private function files(string $folder, string $ending): array
    {
        return array_values(array_map(basename(...), array_filter(
            $this->files->paths(),
            static fn (string $path): bool => dirname($path) === $folder && str_ends_with($path, ".$ending"),
        )));
    }

    /**
     * Lessons, each with its translations by language.
     *
     * @param  list<ContentFault>  $faults  what cannot be read is added to them
     * @return list<array{LessonFile, array<string, LessonFile>}>
     */
    public function lessons(array &$faults): array
    {
        return $this->read('lessons', 'md', LessonFile::read(...), $faults);
    }

    /**
     * @param  'checks'|'sheets'|'permits'  $folder
     * @param  list<ContentFault>  $faults
     * @return list<array{YamlText, array<string, YamlText>}>
     */
    public function lists(string $folder, array &$faults): array
    {
        return $this->read($folder, 'yaml', YamlText::read(...), $faults);
    }

    public function parts(): ?YamlText
    {
        $text = $this->files->read('parts.yaml');

        return $text === null ? null : YamlText::read('parts.yaml', $text);
    }

    /** @return array<string, array<string, mixed>> what the parts are called, by language and slug */
    public function partNames(): array
    {
        $said = [];
        foreach (Sentences::LANGUAGES as $language) {
            $text = $this->files->read("locales/$language/parts.yaml");
            if ($text !== null) {
                $said[$language] = YamlText::read("locales/$language/parts.yaml", $text)->values;
            }
        }

        return $said;
    }

    /**
     * @template T
     *
     * @param  callable(string, string): T  $read
     * @param  list<ContentFault>  $faults
     * @return list<array{T, array<string, T>}>
     */
    private function read(string $folder, string $ending, callable $read, array &$faults): array
    {
        $all = [];
        foreach ($this->files($folder, $ending) as $name) {
            try {
                $translations = [];
                foreach (Sentences::LANGUAGES as $language) {
                    $there = $this->files->read("locales/$language/$folder/$name");
                    if ($there !== null) {
                        $translations[$language] = $read("locales/$language/$folder/$name", $there);
                    }
                }
                $all[] = [$read("$folder/$name", (string) $this->files->read("$folder/$name")), $translations];
            } catch (FaultyContent $faulty) {
                array_push($faults, ...$faulty->faults);
            }
        }

        return $all;
    }
}
