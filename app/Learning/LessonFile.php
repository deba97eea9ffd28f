<?php

declare(strict_types=1);

namespace App\Learning;

use Symfony\Component\Yaml\Yaml;

/**
 * A lesson as a file: YAML front matter, then one `## Title {#key}` section a step with labelled paragraphs
 * (Do, Why, Caution, Right, Wrong) and at most one of Reading, Choice or Hold.
 *
 * @phpstan-type Option array{id: string, text: string, right: bool, answer: string}
 * @phpstan-type Reading array{name: string, kind: string, ask: string}
 * @phpstan-type Step array{key: string, title: string, do: string, why: string|null, caution: string|null, right: string|null,
 *     wrong: string|null, reading: Reading|null, choice: list<Option>|null, hold: string|null}
 */
final readonly class LessonFile
{
    private const LABELS = ['Do', 'Why', 'Caution', 'Right', 'Wrong', 'Reading', 'Choice', 'Hold'];

    private const READINGS = ['scale_touch', 'depth_reading', 'hole_diameter'];

    /**
     * @param  array<string, mixed>  $front
     * @param  list<Step>  $steps
     */
    private function __construct(public array $front, public array $steps)
    {
    }

    /** @throws \UnexpectedValueException naming the step that is at fault */
    public static function parse(string $markdown): self
    {
        if (preg_match('/\A---\n(.*?)\n---\n(.*)\z/s', str_replace("\r\n", "\n", $markdown), $m) !== 1) {
            throw new \UnexpectedValueException('A lesson file starts with front matter between two lines of ---.');
        }
        $front = Yaml::parse($m[1]);
        $steps = [];
        foreach (array_slice(preg_split('/^## /m', $m[2]) ?: [], 1) as $section) {
            $steps[] = self::step($section);
        }

        return new self(is_array($front) ? $front : [], $steps);
    }

    /** @return Step */
    private static function step(string $section): array
    {
        [$heading, $body] = explode("\n", $section, 2) + [1 => ''];
        if (preg_match('/^(.*?)\s*\{#([a-z0-9-]+)\}$/', trim($heading), $m) !== 1) {
            throw new \UnexpectedValueException("The step \"$heading\" needs a key: ## Title {#key}");
        }
        $paragraphs = self::paragraphs($body);
        $do = $paragraphs['Do'] ?? throw new \UnexpectedValueException("The step {$m[2]} does not say what to do.");

        return [
            'key' => $m[2],
            'title' => $m[1],
            'do' => $do,
            'why' => $paragraphs['Why'] ?? null,
            'caution' => $paragraphs['Caution'] ?? null,
            'right' => $paragraphs['Right'] ?? null,
            'wrong' => $paragraphs['Wrong'] ?? null,
            'reading' => isset($paragraphs['Reading']) ? self::reading($m[2], $paragraphs['Reading']) : null,
            'choice' => isset($paragraphs['Choice']) ? self::choice($m[2], $paragraphs['Choice']) : null,
            'hold' => $paragraphs['Hold'] ?? null,
        ];
    }

    /** @return array<string, string> by label */
    private static function paragraphs(string $body): array
    {
        $parts = preg_split('/^('.implode('|', self::LABELS).'):/m', $body, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [];
        $paragraphs = [];
        for ($i = 1; $i + 1 < count($parts); $i += 2) {
            $text = trim($parts[$i + 1]);
            $paragraphs[$parts[$i]] = $parts[$i] === 'Choice' ? $text : (string) preg_replace('/\s+/', ' ', $text);
        }

        return $paragraphs;
    }

    /** @return Reading `Reading: touch scale_touch What does the scale show?` */
    private static function reading(string $step, string $text): array
    {
        [$name, $kind, $ask] = explode(' ', $text, 3) + [1 => '', 2 => ''];
        if (! in_array($kind, self::READINGS, true) || $ask === '') {
            throw new \UnexpectedValueException("The reading of step $step must be: name ".implode('|', self::READINGS).' question');
        }

        return ['name' => $name, 'kind' => $kind, 'ask' => $ask];
    }

    /** @return list<Option> lines of `- [x] text | what to say to it` */
    private static function choice(string $step, string $text): array
    {
        preg_match_all('/^- \[([ x])\] (.+?)(?: \| (.+))?$/m', $text, $found, PREG_SET_ORDER);
        $options = [];
        foreach ($found as $index => $line) {
            $options[] = [
                'id' => chr(97 + $index),
                'text' => trim($line[2]),
                'right' => $line[1] === 'x',
                'answer' => trim($line[3] ?? ''),
            ];
        }
        if (count(array_filter(array_column($options, 'right'))) !== 1) {
            throw new \UnexpectedValueException("The choice of step $step must have exactly one [x].");
        }

        return $options;
    }
}
