<?php

declare(strict_types=1);

namespace Tests\Fuzz;

use Random\Randomizer;

/**
 * Requests by the API's description, most of them spoilt in some place: a value that is none, an id of something
 * else or used before, a body that is no body, an address that names nothing. The same seed makes the same choices.
 *
 * @phpstan-type Made array{method: string, path: string, body: string|null, device: bool}
 */
final class Requests
{
    private const KINDS = ['hole', 'layout', 'lathe'];

    private readonly Nasty $nasty;

    /**
     * @param  array{paths: array<string, array<string, array<string, mixed>>>, components: array{schemas: array<string,
     *     mixed>}}  $description
     */
    public function __construct(private readonly array $description, private readonly Randomizer $random, private readonly Pool $pool)
    {
        $this->nasty = new Nasty($random, $pool);
    }

    /** @return Made */
    public function make(): array
    {
        $path = $this->nasty->one(array_keys($this->description['paths']));
        $calls = $this->description['paths'][$path];
        $method = $this->nasty->one(array_keys($calls));
        $call = $calls[$method];

        return [
            'method' => strtoupper($method),
            'path' => $this->path($path).$this->query($call['parameters'] ?? []),
            'body' => $this->body($path, $call),
            'device' => isset($call['security'][0]['device']),
        ];
    }

    private function path(string $path): string
    {
        return (string) preg_replace_callback('/\{(\w+)\}/', function (array $named): string {
            $value = match (true) {
                $this->chance(6) => $this->nasty->value(),
                $named[1] === 'kind' => $this->nasty->one(self::KINDS),
                $named[1] === 'format' => $this->nasty->one(['csv', 'json', 'svg', 'dxf', 'txt', 'x']),
                $named[1] === 'channel' => $this->nasty->one(['shop', 'person-1', 'machine-bench-drill', 'x']),
                default => $this->pool->parameter($named[1], $this->random),
            };

            return is_scalar($value) ? rawurlencode(mb_strimwidth((string) $value, 0, 300)) : 'x';
        }, $path);
    }

    /** @param  list<array{name: string, in: string}>  $parameters */
    private function query(array $parameters): string
    {
        $query = [];
        foreach ($parameters as $parameter) {
            if ($parameter['in'] === 'query' && $this->chance(60)) {
                $value = $this->chance(50) ? $this->nasty->value() : $this->pool->under($parameter['name'], $this->random);
                $query[$parameter['name']] = is_string($value) ? mb_strimwidth($value, 0, 300) : $value;
            }
        }

        return $query === [] ? '' : '?'.http_build_query($query);
    }

    /** @param  array<string, mixed>  $call */
    private function body(string $path, array $call): ?string
    {
        $schema = $call['requestBody']['content']['application/json']['schema'] ?? null;
        if ($schema === null) {
            return $this->chance(5) ? $this->nasty->raw() : null;
        }
        if ($this->chance(4)) {
            return $this->nasty->raw();
        }
        $body = (array) $this->value($schema, '', 0);
        if (str_contains($path, '{kind}')) {
            $body = [...$this->pool->body('plan', $this->random), ...$body];
        } elseif (isset($body['request']) && str_starts_with($path, '/api/planning/plans')) {
            $body['request'] = $this->pool->body('plan', $this->random);
        } elseif (isset($body['settings'])) {
            $body['settings'] = $this->pool->body('settings', $this->random);
        }
        if ($this->chance(65)) {
            $body = $this->nasty->spoil($body);
        }
        $this->pool->learn($body);

        return json_encode($body === [] ? new \stdClass : $body, JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR) ?: '{}';
    }

    /** A value of that schema, as far as the schema says. */
    private function value(array $schema, string $key, int $depth): mixed
    {
        if (isset($schema['$ref'])) {
            $named = basename($schema['$ref']);

            return $depth > 6 ? null : $this->value($this->description['components']['schemas'][$named], $key, $depth + 1);
        }
        if (isset($schema['enum'])) {
            return $this->nasty->one($schema['enum']);
        }
        foreach (['oneOf', 'anyOf'] as $choice) {
            if (isset($schema[$choice])) {
                return $this->value($this->nasty->one($schema[$choice]), $key, $depth + 1);
            }
        }
        $type = $schema['type'] ?? 'object';

        return match (is_array($type) ? $this->nasty->one($type) : $type) {
            'object' => $this->object($schema, $depth),
            'array' => array_map(
                fn (): mixed => $this->value($schema['items'] ?? ['type' => 'string'], $key, $depth + 1),
                array_fill(0, $this->random->getInt(0, 3), 0),
            ),
            'integer' => $this->random->getInt(0, 200),
            'number' => $this->random->getInt(-10, 4000) / 10,
            'boolean' => $this->chance(50),
            'null' => null,
            default => $this->text($key),
        };
    }

    /** @return array<string, mixed> */
    private function object(array $schema, int $depth): array
    {
        $made = [];
        foreach ($schema['properties'] ?? [] as $name => $property) {
            if (in_array($name, $schema['required'] ?? [], true) || $this->chance(60)) {
                $made[$name] = $this->value($property, $name, $depth + 1);
            }
        }

        return $made;
    }

    private function text(string $key): string
    {
        if ($key === 'id' && $this->chance(60)) {
            $hex = bin2hex($this->random->getBytes(16));

            return sprintf(
                '%s-%s-7%s-8%s-%s',
                substr($hex, 0, 8),
                substr($hex, 8, 4),
                substr($hex, 13, 3),
                substr($hex, 17, 3),
                substr($hex, 20),
            );
        }
        if ($key === 'pin' && $this->chance(50)) {
            return '2468';
        }

        return match ($this->random->getInt(0, 3)) {
            0 => $this->nasty->one(['12', '8.5', '5/16', 'M8', '0.25', '3 mm', '1 1/2 in']),
            1 => (string) $this->pool->under($key === '' ? 'id' : $key, $this->random),
            2 => $this->nasty->one(['Vane bracket', 'scribed', 'Wren', '2026-11-25', '2027-11-25T12:00:00Z']),
            default => (string) $this->pool->under('id', $this->random),
        };
    }

    private function chance(int $percent): bool
    {
        return $this->random->getInt(1, 100) <= $percent;
    }
}
