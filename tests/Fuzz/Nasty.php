<?php

declare(strict_types=1);

namespace Tests\Fuzz;

use Random\Randomizer;

/** Values that nobody means to send, and requests spoilt with them. */
final class Nasty
{
    public function __construct(private readonly Randomizer $random, private readonly Pool $pool)
    {
    }

    public function value(): mixed
    {
        return $this->one([
            str_repeat('9', 40),
            (float) str_repeat('9', 40),
            1e308,
            -1e308,
            '1e308',
            9_223_372_036_854_775_807,
            '9223372036854775808',
            2_147_483_648,
            -1,
            0,
            '0',
            0.1,
            '1/0',
            '',
            ' ',
            "\0",
            "half\0way",
            str_repeat('ä', 5000),
            str_repeat('a', 70_000),
            [],
            [[]],
            new \stdClass,
            ['a' => ['b' => ['c' => [1, [2, [3]]]]]],
            null,
            true,
            false,
            "' OR 1=1 --",
            '../../../../etc/passwd',
            '%00',
            "\u{202e}\u{1F529}",
            '2026-02-30',
            '9999-12-31T23:59:59Z',
            '-4713-01-01',
            'M99999999999999999x1',
            '{{ 7*7 }}',
            $this->pool->any($this->random),
        ]);
    }

    /**
     * A body with one or a few leaves spoilt, a key taken away or one added.
     *
     * @param  array<array-key, mixed>  $body
     * @return array<array-key, mixed>
     */
    public function spoil(array $body): array
    {
        for ($times = $this->random->getInt(1, 2); $times > 0; $times--) {
            $body = $this->spoilOnce($body);
        }

        return $body;
    }

    /** Not even a body. */
    public function raw(): string
    {
        return (string) $this->one(['[[]]', '[]', '"text"', '{', '', 'null', '1e400', '{"a":1e999}', "\xff\xfe", '{"a":"\ud800"}',
            str_repeat('[', 600).str_repeat(']', 600), '{"":""}', '{"__proto__":{}}', '{"id":{"id":{"id":1}}}', ]);
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $of
     * @return T
     */
    public function one(array $of): mixed
    {
        return $of[$this->random->getInt(0, count($of) - 1)];
    }

    /**
     * @param  array<array-key, mixed>  $body
     * @return array<array-key, mixed>
     */
    private function spoilOnce(array $body): array
    {
        if ($body === []) {
            return [$this->one(['id', 'units', 'settings', '0', 'x.y']) => $this->value()];
        }
        $key = array_keys($body)[$this->random->getInt(0, count($body) - 1)];
        if (is_array($body[$key]) && $body[$key] !== [] && $this->random->getInt(0, 3) > 0) {
            $body[$key] = $this->spoilOnce($body[$key]);
        } elseif ($this->random->getInt(0, 7) === 0) {
            unset($body[$key]);
        } else {
            $body[$key] = $this->value();
        }

        return $body;
    }
}
