<?php

declare(strict_types=1);

namespace Tests\Fuzz;

use Random\Randomizer;

/** What answers and requests have named so far, so that ids are met again: in the same place, in another, used before. */
final class Pool
{
    private const KEPT = 60;

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

    public function under(string $key, Randomizer $random): mixed
    {
        $values = $this->known[$key] ?? $this->known[match ($key) {
            'machine', 'crib', 'lesson', 'part' => 'slug',
            'code', 'permit', 'check', 'sheet' => 'code',
            'key', 'material' => 'key',
            default => 'id',
        }] ?? $this->known['id'];

        return $values[$random->getInt(0, count($values) - 1)];
    }

    /** @return array<string, mixed> */
    public function body(string $of, Randomizer $random): array
    {
        $bodies = $this->bodies[$of] ?? [[]];

        return $bodies[$random->getInt(0, count($bodies) - 1)];
    }

    public function any(Randomizer $random): mixed
    {
        return $this->under(array_keys($this->known)[$random->getInt(0, count($this->known) - 1)], $random);
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
