<?php

declare(strict_types=1);

namespace App\Learning;

use App\Support\ContentFault;
use App\Support\FaultyContent;
use App\Support\YamlText;
use MillStep\Core\Learning\Drawing\LessonDrawings;
use MillStep\Core\Learning\LessonReading;
use MillStep\Core\Workshop\MachineSpec;

/**
 * A lesson as a file: YAML front matter, then one `## Title {#key}` section a step with labelled paragraphs
 * (Do, Why, Caution, Right, Wrong), at most one of Reading, Choice or Hold, and the name of a drawing. Labels are the same in
 * every language; what is drawn is said once, in the language that the lesson was written in.
 *
 * @phpstan-type Option array{id: string, text: string, right: bool, answer: string}
 * @phpstan-type Reading array{name: string, kind: string, ask: string}
 * @phpstan-type Step array{key: string, title: string, do: string, why: string|null, caution: string|null, right: string|null,
 *     wrong: string|null, reading: Reading|null, choice: list<Option>|null, hold: string|null, drawing?: string|null}
 */
final readonly class LessonFile
{
    private const LABELS = ['Do', 'Why', 'Caution', 'Right', 'Wrong', 'Reading', 'Choice', 'Hold', 'Drawing'];

    /**
     * @param  array<string, mixed>  $front
     * @param  list<Step>  $steps
     * @param  array<string, int>  $lines  where each step begins, by its key
     * @param  string  $text  the file, to the letter
     */
    private function __construct(
        public string $file,
        public array $front,
        public array $steps,
        private array $lines,
        public string $text,
    ) {
    }

    /** @throws FaultyContent with every fault and its line */
    public static function read(string $file, string $markdown): self
    {
        $text = str_replace("\r\n", "\n", $markdown);
        if (preg_match('/\A---\n(.*?)\n---\n(.*)\z/s', $text, $m) !== 1) {
            FaultyContent::unless([ContentFault::at($file, 1, 'no_front_matter')]);
        }
        /** @var array{string, string, string} $m */
        $front = YamlText::read($file, $m[1], 1);
        $line = substr_count($m[1], "\n") + 4;
        $faults = [...self::faultsOfFront($front), ...LessonFrame::faults($front)];
        $steps = $lines = [];
        $sections = preg_split('/^## /m', $m[2]) ?: [''];
        $line += substr_count((string) array_shift($sections), "\n");
        foreach ($sections as $section) {
            $step = self::step($file, $line, $section, $faults);
            if ($step !== null && isset($lines[$step['key']])) {
                $faults[] = ContentFault::at($file, $line, 'step_twice', ['step' => $step['key']]);
            } elseif ($step !== null) {
                $steps[] = $step;
                $lines[$step['key']] = $line;
            }
            $line += substr_count($section, "\n");
        }
        if ($sections === []) {
            $faults[] = ContentFault::at($file, $line, 'no_steps');
        }
        FaultyContent::unless([...$faults, ...self::undrawable($file, $front->values, $steps, $lines)]);

        return new self($file, $front->values, $steps, $lines, $markdown);
    }

    /**
     * Drawings that there are not, and those that are made of a hole in a lesson that is bound to none.
     *
     * @param  array<string, mixed>  $front
     * @param  list<Step>  $steps
     * @param  array<string, int>  $lines
     * @return list<ContentFault>
     */
    private static function undrawable(string $file, array $front, array $steps, array $lines): array
    {
        $faults = [];
        $plan = $front['plan'] ?? null;
        $cased = isset($front['part'], $front['machine']) && (isset($front['hole']) || is_array($plan));
        $bound = $cased && (! is_array($plan) || ($plan['kind'] ?? 'hole') === 'hole');
        foreach ($steps as $step) {
            $name = $step['drawing'] ?? null;
            if ($name !== null && ! in_array($name, LessonDrawings::names(), true)) {
                $faults[] = ContentFault::at($file, $lines[$step['key']], 'no_drawing', [
                    'step' => $step['key'], 'known' => LessonDrawings::names(),
                ]);
            } elseif ($name !== null && ((! $bound && LessonDrawings::wantsHole($name)) || (! $cased && LessonDrawings::wantsCase($name))
                || (! isset($front['part']) && LessonDrawings::wantsPart($name)))) {
                $faults[] = ContentFault::at($file, $lines[$step['key']], 'drawing_unbound', ['step' => $step['key'], 'drawing' => $name]);
            }
        }

        return $faults;
    }

    /** Whether another file is the same lesson in another language: the same steps, asking and showing the same. */
    public function assertSays(self $other): void
    {
        $faults = [];
        $theirs = array_column($other->steps, null, 'key');
        foreach ($this->steps as $step) {
            $there = $theirs[$step['key']] ?? null;
            $line = $other->lines[$step['key']] ?? 1;
            if ($there === null) {
                $faults[] = ContentFault::at($other->file, 1, 'step_untranslated', ['step' => $step['key']]);
            } elseif (self::shape($step) !== self::shape($there)) {
                $faults[] = ContentFault::at($other->file, $line, 'step_differs', ['step' => $step['key']]);
            }
        }
        if (LessonFrame::shape($this->front) !== LessonFrame::shape($other->front)) {
            $faults[] = ContentFault::at($other->file, 1, 'frame_differs');
        }
        foreach (array_diff(array_keys($theirs), array_column($this->steps, 'key')) as $key) {
            $faults[] = ContentFault::at($other->file, $other->lines[$key] ?? 1, 'step_unknown', ['step' => $key]);
        }
        FaultyContent::unless($faults);
    }

    /**
     * Figures that stand in its words and that there are not.
     *
     * @param  list<string>  $known
     * @return list<ContentFault>
     */
    public function unknownFigures(array $known): array
    {
        $faults = [];
        foreach (explode("\n", $this->text) as $number => $line) {
            preg_match_all('/\{\{\s*([\w.]+)\s*\}\}/', $line, $found);
            foreach (array_diff($found[1], $known) as $figure) {
                $faults[] = ContentFault::at($this->file, $number + 1, 'no_figure', ['figure' => $figure]);
            }
        }

        return $faults;
    }

    /**
     * What must be the same in every language: which paragraphs there are, the figures in them, the right option.
     *
     * @param  Step  $step
     * @return array<string, mixed>
     */
    private static function shape(array $step): array
    {
        $figures = static function (?string $words): ?array {
            preg_match_all('/\{\{\s*([\w.]+)\s*\}\}/', (string) $words, $found);
            sort($found[1]);

            return $words === null ? null : $found[1];
        };

        return [
            ...array_map($figures, array_intersect_key($step, array_flip(['do', 'why', 'caution', 'right', 'wrong', 'hold']))),
            'reading' => $step['reading'] === null ? null : [$step['reading']['name'], $step['reading']['kind']],
            'choice' => $step['choice'] === null ? null : array_column($step['choice'], 'right'),
        ];
    }

    /** @return list<ContentFault> */
    private static function faultsOfFront(YamlText $front): array
    {
        $faults = [];
        $values = $front->values;
        foreach (['code', 'title', 'place'] as $key) {
            if (! is_string($values[$key] ?? null) || trim($values[$key]) === '') {
                $faults[] = ContentFault::at($front->file, $front->lineOf($key), 'wanted_text', ['key' => $key]);
            }
        }
        foreach (['version', 'minutes'] as $key) {
            if (! is_int($values[$key] ?? null) || $values[$key] < 1) {
                $faults[] = ContentFault::at($front->file, $front->lineOf($key), 'wanted_number', ['key' => $key]);
            }
        }
        foreach (['tools', 'findings'] as $key) {
            $list = $values[$key] ?? [];
            if (! is_array($list) || array_filter($list, is_string(...)) !== $list) {
                $faults[] = ContentFault::at($front->file, $front->lineOf($key), 'wanted_list', ['key' => $key]);
            }
        }
        $plan = $values['plan'] ?? null;
        if ($plan !== null && (! is_array($plan) || ! in_array($plan['kind'] ?? 'hole', ['hole', 'lathe'], true)
            || ! isset($values['part'], $values['machine']))) {
            $faults[] = ContentFault::at($front->file, $front->lineOf('plan'), 'lesson_plan');
        }
        if (isset($values['machine']) && ! in_array($values['machine'], MachineSpec::KINDS, true)) {
            $faults[] = ContentFault::at($front->file, $front->lineOf('machine'), 'no_machine_kind', ['known' => MachineSpec::KINDS]);
        }

        return $faults;
    }

    /**
     * @param  list<ContentFault>  $faults  what is wrong is added to them
     * @return Step|null
     */
    private static function step(string $file, int $line, string $section, array &$faults): ?array
    {
        [$heading, $body] = explode("\n", $section, 2) + [1 => ''];
        if (preg_match('/^(.*?)\s*\{#([a-z0-9-]+)\}$/', trim($heading), $m) !== 1) {
            $faults[] = ContentFault::at($file, $line, 'step_without_key', ['heading' => mb_strimwidth(trim($heading), 0, 60, '…')]);

            return null;
        }
        [$paragraphs, $at] = self::paragraphs($body, $line + 1);
        if (! isset($paragraphs['Do'])) {
            $faults[] = ContentFault::at($file, $line, 'step_without_do', ['step' => $m[2]]);
        }
        $asking = array_intersect(['Reading', 'Choice', 'Hold'], array_keys($paragraphs));
        if (count($asking) > 1) {
            $faults[] = ContentFault::at($file, $line, 'step_asks_twice', ['step' => $m[2], 'labels' => array_values($asking)]);
        }

        return [
            'key' => $m[2],
            'title' => $m[1],
            'do' => $paragraphs['Do'] ?? '',
            'why' => $paragraphs['Why'] ?? null,
            'caution' => $paragraphs['Caution'] ?? null,
            'right' => $paragraphs['Right'] ?? null,
            'wrong' => $paragraphs['Wrong'] ?? null,
            'reading' => isset($paragraphs['Reading'])
                ? self::reading($file, $at['Reading'], $m[2], $paragraphs['Reading'], $faults)
                : null,
            'choice' => isset($paragraphs['Choice']) ? self::choice($file, $at['Choice'], $m[2], $paragraphs['Choice'], $faults) : null,
            'hold' => $paragraphs['Hold'] ?? null,
            'drawing' => $paragraphs['Drawing'] ?? null,
        ];
    }

    /** @return array{array<string, string>, array<string, int>} texts and lines by label */
    private static function paragraphs(string $body, int $line): array
    {
        $parts = preg_split('/^('.implode('|', self::LABELS).'):/m', $body, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [''];
        $paragraphs = $at = [];
        $line += substr_count($parts[0], "\n");
        for ($i = 1; $i + 1 < count($parts); $i += 2) {
            $text = trim($parts[$i + 1]);
            $paragraphs[$parts[$i]] = $parts[$i] === 'Choice' ? $text : (string) preg_replace('/\s+/', ' ', $text);
            $at[$parts[$i]] = $line;
            $line += substr_count($parts[$i + 1], "\n");
        }

        return [$paragraphs, $at];
    }

    /**
     * `Reading: touch scale_touch What does the scale show?`
     *
     * @param  list<ContentFault>  $faults
     * @return Reading
     */
    private static function reading(string $file, int $line, string $step, string $text, array &$faults): array
    {
        [$name, $kind, $ask] = explode(' ', $text, 3) + [1 => '', 2 => ''];
        if (! in_array($kind, LessonReading::KINDS, true) || $ask === '') {
            $faults[] = ContentFault::at($file, $line, 'no_reading', ['step' => $step, 'known' => LessonReading::KINDS]);
        }

        return ['name' => $name, 'kind' => $kind, 'ask' => $ask];
    }

    /**
     * Lines of `- [x] text | what to say to it`.
     *
     * @param  list<ContentFault>  $faults
     * @return list<Option>
     */
    private static function choice(string $file, int $line, string $step, string $text, array &$faults): array
    {
        preg_match_all('/^- \[([ x])\] (.+?)(?: \| (.+))?$/m', $text, $found, PREG_SET_ORDER);
        $options = [];
        foreach ($found as $index => $option) {
            $options[] = [
                'id' => chr(97 + $index),
                'text' => trim($option[2]),
                'right' => $option[1] === 'x',
                'answer' => trim($option[3] ?? ''),
            ];
        }
        if (count(array_filter(array_column($options, 'right'))) !== 1) {
            $faults[] = ContentFault::at($file, $line, 'one_right_option', ['step' => $step]);
        }

        return $options;
    }
}
