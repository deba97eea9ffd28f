<?php

declare(strict_types=1);

namespace App\Content;

use App\Language\Sentences;
use App\Learning\LessonFile;
use App\Support\ContentFault;
use App\Support\FaultyContent;
use App\Support\Given;
use App\Support\YamlText;

/**
 * A pack of content: a folder with pack.yaml, parts.yaml, lessons, checks, sheets, permits, and what they are in other
 * languages under locales. See CONTRIBUTING.md for how to write one.
 */
final readonly class Pack
{
    public const FOLDER = 'content';

    private function __construct(public string $code, private string $path, public YamlText $about)
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

    /** @throws FaultyContent when it has no pack.yaml, or one that says nothing */
    public static function at(string $path): self
    {
        $file = "$path/pack.yaml";
        FaultyContent::unless(is_file($file) ? [] : [ContentFault::at('pack.yaml', 1, 'no_pack')]);
        $about = YamlText::read('pack.yaml', (string) file_get_contents($file));

        return new self(basename($path), $path, $about);
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

    /**
     * One that lies beside this one.
     *
     * @throws FaultyContent when there is none
     */
    public function beside(string $code): self
    {
        $path = dirname($this->path).'/'.$code;
        FaultyContent::unless(is_dir($path) ? [] : [
            ContentFault::at('pack.yaml', $this->about->lineOf('needs'), 'no_needed_pack', ['pack' => $code]),
        ]);

        return self::at($path);
    }

    /** A word about it in a language, as far as the pack has it. */
    public function said(string $key, string $language): string
    {
        $file = "$this->path/locales/$language/pack.yaml";
        $there = is_file($file) ? YamlText::read("locales/$language/pack.yaml", (string) file_get_contents($file))->values : [];

        return Given::text($there[$key] ?? $this->about->values[$key] ?? $this->code);
    }

    /** Whether it is written in that language, or translated into it. */
    public function speaks(string $language): bool
    {
        return ($this->about->values['language'] ?? 'en') === $language || is_dir("$this->path/locales/$language/lessons");
    }

    /** @return array{lessons: int, checks: int, sheets: int, permits: int} how many files of each */
    public function counts(): array
    {
        return [
            'lessons' => count($this->files('lessons', 'md')), 'checks' => count($this->files('checks', 'yaml')),
            'sheets' => count($this->files('sheets', 'yaml')), 'permits' => count($this->files('permits', 'yaml')),
        ];
    }

    /** @return array<string, string> paths of a kind, by their names */
    private function files(string $folder, string $ending): array
    {
        $files = glob("$this->path/$folder/*.$ending") ?: [];

        return array_combine(array_map(basename(...), $files), $files);
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
        $file = "$this->path/parts.yaml";

        return is_file($file) ? YamlText::read('parts.yaml', (string) file_get_contents($file)) : null;
    }

    /** @return array<string, array<string, mixed>> what the parts are called, by language and slug */
    public function partNames(): array
    {
        $said = [];
        foreach (Sentences::LANGUAGES as $language) {
            $file = "$this->path/locales/$language/parts.yaml";
            if (is_file($file)) {
                $said[$language] = YamlText::read("locales/$language/parts.yaml", (string) file_get_contents($file))->values;
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
        foreach ($this->files($folder, $ending) as $name => $path) {
            try {
                $translations = [];
                foreach (Sentences::LANGUAGES as $language) {
                    $there = "$this->path/locales/$language/$folder/$name";
                    if (is_file($there)) {
                        $translations[$language] = $read("locales/$language/$folder/$name", (string) file_get_contents($there));
                    }
                }
                $all[] = [$read("$folder/$name", (string) file_get_contents($path)), $translations];
            } catch (FaultyContent $faulty) {
                array_push($faults, ...$faulty->faults);
            }
        }

        return $all;
    }
}
