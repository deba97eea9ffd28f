<?php

declare(strict_types=1);

namespace MillStep\Core\Tests\Mutation;

/** Spoils one place of a source file at a time, and tells whether the worked examples notice. */
final class Mutants
{
    private const SWAPS = [
        '<' => ['<=', '>'], '>' => ['>=', '<'], '===' => ['!=='], '!==' => ['==='], '&&' => ['||'], '||' => ['&&'],
        '+' => ['-'], '-' => ['+'], '*' => ['/'], '/' => ['*'],
    ];

    private const CALLS = [
        'isLessThan' => 'isAtMost', 'isAtMost' => 'isLessThan', 'isGreaterThan' => 'isAtLeast',
        'isAtLeast' => 'isGreaterThan', 'plus' => 'minus', 'minus' => 'plus',
        'ceil' => 'floor', 'floor' => 'ceil', 'min' => 'max', 'max' => 'min', 'smallestAtLeast' => 'nearest',
        'true' => 'false', 'false' => 'true',
    ];

    /** Places where the spoilt source does the same, or differs only where no input reaches; each with its reason. */
    private const SAME = [
        'Drill' => ['nearest !== null && $nearest' => 'a set is never empty, so there is always a nearest'],
        'Size' => [
            'strlen($said) > 40' => 'a guard against absurdly long text',
            '$denominator > 64' => '65 is no power of two',
            'while ($denominator > 1' => 'two halves are one whole either way',
            "explode('.', \$number" => 'a decimal has two parts at most',
        ],
        'SpindleSpeed' => [
            '$chosen > $target' => 'a speed is never equal to a multiple of 1/π',
            '$this->capRpm < $target' => 'nor is a cap',
            '0.5 * $target' => 'nor is half of one',
        ],
        'PilotPlan' => ["'max_step_ratio', 1, 1000" => 'a limit against absurd input'],
        'TapDrill' => ['round(abs($candidate' => 'keeps rounding noise out of ties'],
        'CentreDrillChoice' => ["objects('sizes', 1)" => 'an empty list is refused a line below'],
        'TurningPasses' => ['$rough->isAtMost(Length::zero())' => 'nothing left to rough makes no roughing pass either way'],
        'CutList' => ['array_fill(0, $quantity' => 'only the values are taken'],
        'Speeds' => ['$names === []' => 'a plan names its speeds, and SequenceTest sees to it'],
        'AccessDecision' => ['$fields->integer(\'turns_elsewhere\', 0' => 'no turns is the least there can be'],
        'Standing' => ['?? -1)' => 'any number below every version'],
        'Ledger' => [
            'return false' => 'what names nothing takes nothing back either way',
            '$steps >= 0 && $line->entry' => 'a guard against corrections that name each other',
        ],
        'HoleLine' => ['$this->count ?? 1' => 'a count is always given where no pitch is'],
    ];

    /** Methods that no operation with worked examples asks: they serve plans and messages, and are tested there. */
    private const ASIDE = [
        'Speeds' => ['range', 'setting', 'isRange', 'slowest', 'key'],
        'ReamAllowance' => ['shipped'],
        'CentreDrillRange' => ['nearest', 'gap'],
        'CentreDrill' => ['of'],
        'Scope' => ['exceededBy', 'narrowedTo', 'toArray', 'within', 'lostIn', 'both', 'gone', 'tighter'],
        'ParallelStack' => ['nearest'], 'Size' => ['refusal', 'length'],
    ];

    /** @return list<string> the operations that have worked examples, and what they compute with */
    public static function files(string $core): array
    {
        $files = [
            'Planning/Thread/ThreadForm.php', 'Planning/Ream/ReamAllowance.php', 'Workshop/Speeds.php', 'Workshop/Drill.php',
            'Reference/CentreDrill.php', 'Reference/CentreDrillRange.php', 'Measure/Size.php', 'Assessment/Criterion.php',
            'Competency/Ledger/Ledger.php', 'Competency/Scope.php', 'Competency/PrerequisiteStanding.php',
        ];
        $operations = (string) file_get_contents("$core/src/Operations.php");
        // However deep the room lies; one that was not read would be one that is not spoilt.
        if (preg_match_all('/=> ([\w\\\\]+)\\\\(\w+)::class/', $operations, $found, PREG_SET_ORDER) !== substr_count($operations,
            '::class,')) {
            throw new \LogicException('An operation of Operations.php was not read.');
        }
        foreach ($found as [, $room, $class]) {
            // Plans and the review are composed of these; they have tests of their own.
            if (! in_array($class, ['HolePlan', 'LathePlan', 'LayoutPlan', 'SetupReview'], true)) {
                $files[] = strtr($room, '\\', '/')."/$class.php";
            }
        }

        return $files;
    }

    /** @return iterable<array{int, string, string}> line, what was done, the spoilt source */
    public static function of(string $path): iterable
    {
        $tokens = \PhpToken::tokenize((string) file_get_contents($path));
        $lines = file($path) ?: [];
        $aside = self::ASIDE[basename($path, '.php')] ?? [];
        $method = '';
        $thrown = 0;
        foreach ($tokens as $index => $token) {
            if ($token->text === 'function' && preg_match('/^\w/', self::neighbour($tokens, $index, 1)) === 1) {
                $method = self::neighbour($tokens, $index, 1);
            }
            // Inside a message, a limit against absurd input or a guard against rounding noise nothing is computed.
            $thrown = $token->is(T_THROW) ? $token->line : $thrown;
            $line = $lines[$token->line - 1];
            $same = array_filter(
                self::SAME[basename($path, '.php')] ?? [],
                static fn (string $part): bool => str_contains($line, $part),
                ARRAY_FILTER_USE_KEY,
            ) !== [];
            // The last argument of in_array and its like only keeps PHP from casting.
            $strict = $token->text === 'true' && preg_match('/in_array|array_keys|array_reverse/', $line) === 1;
            if ($same || $strict || $thrown === $token->line || in_array($method, $aside,
                true) || preg_match('/const (MOST|GREATEST)|NOISE/', $line) === 1) {
                continue;
            }
            foreach (self::replacements($tokens, $index) as $text) {
                $copy = $tokens;
                $copy[$index] = new \PhpToken(T_STRING, $text);
                yield [
                    $token->line,
                    "{$token->text} became $text",
                    implode('', array_map(static fn (\PhpToken $each): string => $each->text, $copy)),
                ];
            }
        }
    }

    /** Whether every worked example still comes out with this source in the place of that file. */
    public static function survives(string $core, string $path, string $source): bool
    {
        $child = pcntl_fork();
        if ($child === 0) {
            // Whatever a spoilt place does, silence and an end within seconds.
            ini_set('display_errors', '0');
            error_reporting(0);
            pcntl_alarm(10);
            ini_set('memory_limit', '256M');
            exit(Examples::allHold($core, $path, $source) ? 0 : 1);
        }
        pcntl_waitpid($child, $status);

        return pcntl_wifexited($status) && pcntl_wexitstatus($status) === 0;
    }

    /**
     * @param  list<\PhpToken>  $tokens
     * @return list<string>
     */
    private static function replacements(array $tokens, int $index): array
    {
        $token = $tokens[$index];
        $before = self::neighbour($tokens, $index, -1);
        $after = self::neighbour($tokens, $index, 1);
        if ($token->is(T_LNUMBER) || $token->is(T_DNUMBER)) {
            return self::number($token->text, $before);
        }
        if ($token->is(T_STRING) && isset(self::CALLS[$token->text]) && ($after === '(' || in_array($token->text, ['true', 'false'],
            true))) {
            return $before === 'function' ? [] : [self::CALLS[$token->text]];
        }
        $unary = in_array($token->text, ['+', '-'], true)
            && in_array($before, ['(', ',', '=', 'return', '=>', '[', '<', '>', '?', ':', '*', '/'], true);

        return $unary || $token->is(T_CONSTANT_ENCAPSED_STRING) ? [] : (self::SWAPS[$token->text] ?? []);
    }

    /** @return list<string> */
    private static function number(string $text, string $before): array
    {
        // 1e-9 and the like keep rounding noise out; moving them a little changes nothing.
        if (stripos($text, 'e') !== false || str_contains($text, '_')) {
            return [];
        }

        return str_contains($text, '.')
            ? [rtrim(sprintf('%.12F', 1.1 * (float) $text + ((float) $text === 0.0 ? 0.1 : 0)), '0')]
            : [(string) ((int) $text + 1)];
    }

    /** @param  list<\PhpToken>  $tokens */
    private static function neighbour(array $tokens, int $index, int $step): string
    {
        do {
            $index += $step;
        } while (isset($tokens[$index]) && $tokens[$index]->is([T_WHITESPACE, T_COMMENT, T_DOC_COMMENT]));

        return $tokens[$index]->text ?? '';
    }
}

/** The worked examples, run in a process of their own. */
final class Examples
{
    public static function allHold(string $core, string $path, string $source): bool
    {
        spl_autoload_register(static function (string $class) use ($core, $path, $source): void {
            $file = $core.'/src/'.str_replace(['MillStep\\Core\\', '\\'], ['', '/'], $class).'.php';
            if ($file === $path) {
                eval(substr($source, 5));
            } elseif (is_file($file)) {
                require $file;
            }
        });
        foreach ([...glob("$core/tests/vectors/*.jsonl") ?: [], ...glob("$core/tests/cases/*.jsonl") ?: []] as $file) {
            foreach (file($file) ?: [] as $line) {
                $case = json_decode($line, true);
                if (! self::same($case['expect'], self::compute($case['op'], $case['input']))) {
                    return false;
                }
            }
        }

        return true;
    }

    private static function compute(string $operation, array $input): mixed
    {
        try {
            return json_decode((string) json_encode(\MillStep\Core\Operations::compute($operation, $input)), true);
        } catch (\MillStep\Core\Border\CoreException $fault) {
            return json_decode((string) json_encode(['error' => $fault->toArray()]), true);
        } catch (\Throwable) {
            return null;
        }
    }

    private static function same(mixed $expected, mixed $found): bool
    {
        if (is_array($expected)) {
            if (! is_array($found) || (array_is_list($expected) && count($expected) !== count($found))) {
                return false;
            }
            foreach ($expected as $key => $value) {
                if (! array_key_exists($key, $found) || ! self::same($value, $found[$key])) {
                    return false;
                }
            }

            return true;
        }
        if (is_int($expected) || is_float($expected)) {
            return (is_int($found) || is_float($found))
                && (abs($expected - $found) <= 1e-6 * abs($expected) || abs($expected - $found) <= 1e-9);
        }

        return $expected === $found;
    }
}
