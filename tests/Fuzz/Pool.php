<?php

declare(strict_types=1);

namespace Tests\Fuzz;

use Random\Randomizer;

/** What answers and requests have named so far, so that ids are met again: in the same place, in another, used before. */
final class Pool
{
    private const KEPT = 120;

    /** @var array<string, list<scalar>> by the key that they stood under */
    private array $known = ['id' => ['00000000-0000-7000-8000-000000000000', 1]];

    /** @var array<string, list<array<string, mixed>>> whole bodies by what they are of */
    private array $bodies = [];

    public function learn(mixed $answer): void
    {
        if (! is_array($answer)) {
            return;
        }
        foreach ($answer as $key => $value) {
            if (is_scalar($value) && (! is_string($value) || strlen($value) < 80)) {
                $this->keep((string) $key, $value);
            }
            if ($key === 'request' && is_array($value) && $value !== []) {
                $this->keepBody('plan', $value);
            }
            if ($key === 'settings' && is_array($value) && $value !== []) {
                $this->keepBody('settings', $value);
            }
            $this->learn($value);
        }
    }

    /** What the answers of a path name, by the parameter that takes it. */
    private const NAMES = [
        '#^/api/workshop/machines$#' => ['machine' => 'slug'],
        '#^/api/workshop/cribs$#' => ['crib' => 'slug', 'tool' => 'id'],
        '#^/api/workshop/bars$#' => ['bar' => 'id'],
        '#^/api/workshop/materials$#' => ['material' => 'key', 'key' => 'key'],
        '#^/api/people/everybody$#' => ['person' => 'id', 'learner' => 'id'],
        '#^/api/planning/plans$#' => ['plan' => 'id', 'first' => 'id', 'second' => 'id'],
        '#^/api/gate/devices$#' => ['device' => 'id'],
        '#^/api/records/alerts$#' => ['alert' => 'id'],
        '#^/api/practice/#' => ['entry' => 'id'],
        '#^/api/competency/learners/\d+$#' => ['entry' => 'id', 'attempt' => 'last_attempt', 'permit' => 'code', 'code' => 'code'],
        '#^/api/records/today$#' => ['session' => 'session', 'hold' => 'id', 'learner' => 'learner'],
        '#^/api/learning/lessons/#' => ['progress' => 'progress', 'step' => 'key', 'code' => 'code'],
        '#/attempts#' => ['attempt' => 'id', 'criterion' => 'id'],
    ];

    /** Keeps what an answer names for the parameters that take it. */
    public function learnFrom(string $path, mixed $answer): void
    {
        $this->learn($answer);
        foreach (self::NAMES as $pattern => $names) {
            if (preg_match($pattern, (string) strtok($path, '?')) === 1) {
                foreach ($names as $parameter => $key) {
                    $this->keepUnder('{'.$parameter.'}', $key, $answer);
                }
            }
        }
    }

    /** A value for a path's parameter: one that it takes, or any that stood under that name. */
    public function parameter(string $name, Randomizer $random): mixed
    {
        $values = $this->known['{'.$name.'}'] ?? [];

        return $values === [] ? $this->under($name, $random) : $values[$random->getInt(0, count($values) - 1)];
    }

    public function under(string $key, Randomizer $random): mixed
    {
        $values = $this->known['{'.$key.'}'] ?? $this->known[$key] ?? $this->known['id'];

        return $values[$random->getInt(0, count($values) - 1)];
    }

    private function keepUnder(string $as, string $key, mixed $answer): void
    {
        if (! is_array($answer)) {
            return;
        }
        if (isset($answer[$key]) && is_scalar($answer[$key])) {
            $this->keep($as, $answer[$key]);
        }
        foreach ($answer as $each) {
            $this->keepUnder($as, $key, $each);
        }
    }

    /** @return array<string, mixed> */
    public function body(string $of, Randomizer $random): array
    {
        $bodies = $this->bodies[$of] ?? [[]];

        return $bodies[$random->getInt(0, count($bodies) - 1)];
    }

    public function any(Randomizer $random): mixed
    {
        return $this->under((string) array_keys($this->known)[$random->getInt(0, count($this->known) - 1)], $random);
    }

    private function keep(string $key, bool|int|float|string $value): void
    {
        $values = $this->known[$key] ?? [];
        if (! in_array($value, $values, true)) {
            $this->known[$key] = array_slice([...$values, $value], -self::KEPT);
        }
    }

    /** @param  array<string, mixed>  $body */
    private function keepBody(string $of, array $body): void
    {
        if (count($this->bodies[$of] ?? []) < self::KEPT) {
            $this->bodies[$of][] = $body;
        }
    }
}
