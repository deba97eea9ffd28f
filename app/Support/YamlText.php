<?php

declare(strict_types=1);

namespace App\Support;

use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/** A YAML file of content that knows in which line a key or an entry stands. */
final readonly class YamlText
{
    /** @param  array<string, mixed>  $values */
    private function __construct(public string $file, private string $text, public array $values, private int $before)
    {
    }

    /**
     * @param  int  $before  lines of the file that stand before this text
     *
     * @throws FaultyContent when it is no YAML, or no mapping
     */
    public static function read(string $file, string $text, int $before = 0): self
    {
        try {
            $values = Yaml::parse($text);
        } catch (ParseException $fault) {
            $values = null;
            FaultyContent::unless([ContentFault::at($file, $before + max(1, $fault->getParsedLine()), 'no_yaml')]);
        }
        FaultyContent::unless(is_array($values) && ! array_is_list($values) ? [] : [ContentFault::at($file, 1, 'no_mapping')]);

        /** @var array<string, mixed> $values */
        return new self($file, $text, $values, $before);
    }

    /** The line of a key at the top, or the first one. */
    public function lineOf(string $key): int
    {
        return $this->find('/^'.preg_quote($key, '/').':/') ?? $this->before + 1;
    }

    /** The line of an entry by its id, or of the list that it should be in. */
    public function lineOfEntry(string $list, string $id): int
    {
        return $this->find('/^\s*(?:-\s*\{?\s*)?(?:id:\s*)?["\']?'.preg_quote($id, '/').'["\']?\s*[:,}]?/') ?? $this->lineOf($list);
    }

    private function find(string $pattern): ?int
    {
        foreach (explode("\n", $this->text) as $number => $line) {
            if (preg_match($pattern, $line) === 1) {
                return $this->before + $number + 1;
            }
        }

        return null;
    }
}
