<?php

declare(strict_types=1);

namespace App\Http;

use Symfony\Component\Yaml\Yaml;

/**
 * The API's description, put together from each room's api.yaml. There a path lists, per method, `body` and
 * `returns` by schema name, `query` by type; `guest` and `device` say who may call it without a person's session.
 *
 * @phpstan-type Call array{summary: string, guest?: bool, device?: bool, body?: string, query?: array<string, string>,
 *     returns: array<int, string|null>}
 */
final class ApiDescription
{
    public const FILE = 'docs/openapi.json';

    /** @return array<string, mixed> OpenAPI 3.1 */
    public function document(): array
    {
        $paths = $schemas = [];
        foreach (glob(app_path('*/api.yaml')) ?: [] as $file) {
            /** @var array{paths: array<string, array<string, Call>>, schemas: array<string, mixed>} $room */
            $room = Yaml::parseFile($file);
            foreach ($room['paths'] as $path => $calls) {
                foreach ($calls as $method => $call) {
                    $paths['/api'.$path][$method] = $this->operation($path, $call);
                }
            }
            $schemas += $room['schemas'];
        }
        ksort($paths);
        ksort($schemas);

        return [
            'openapi' => '3.1.0',
            'info' => ['title' => 'Mill Step', 'version' => '1'],
            'paths' => $paths,
            'components' => [
                'schemas' => self::qualify($schemas),
                'securitySchemes' => [
                    'session' => ['type' => 'apiKey', 'in' => 'cookie', 'name' => 'millstep_session'],
                    'device' => ['type' => 'http', 'scheme' => 'bearer'],
                ],
            ],
        ];
    }

    /** As the file holds it. */
    public function json(): string
    {
        return json_encode(
            $this->document(),
            JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
        )."\n";
    }

    /**
     * @param  Call  $call
     * @return array<string, mixed>
     */
    private function operation(string $path, array $call): array
    {
        preg_match_all('/\{(\w+)\}/', $path, $parameters);
        $operation = [
            'summary' => $call['summary'],
            'parameters' => array_map(
                static fn (string $name): array => ['name' => $name, 'in' => 'path', 'required' => true, 'schema' => ['type' => 'string']],
                $parameters[1],
            ),
            'security' => match (true) {
                $call['guest'] ?? false => [],
                $call['device'] ?? false => [['device' => []]],
                default => [['session' => []]],
            },
            'responses' => [],
        ];
        foreach ($call['query'] ?? [] as $name => $type) {
            $operation['parameters'][] = ['name' => $name, 'in' => 'query', 'required' => false, 'schema' => ['type' => $type]];
        }
        if (isset($call['body'])) {
            $operation['requestBody'] = ['required' => true, 'content' => self::content($call['body'])];
        }
        foreach ($call['returns'] as $status => $schema) {
            $operation['responses'][(string) $status] = ['description' => $schema ?? 'Done']
                + ($schema === null ? [] : ['content' => self::content($schema)]);
        }
        $operation['responses']['default'] = ['description' => 'Refused', 'content' => self::content('Problem')];

        return $operation;
    }

    /** @return array<string, mixed> */
    private static function content(string $schema): array
    {
        return ['application/json' => ['schema' => ['$ref' => "#/components/schemas/$schema"]]];
    }

    /**
     * Rooms name each other's schemas by their bare name.
     *
     * @param  array<array-key, mixed>  $node
     * @return array<array-key, mixed>
     */
    private static function qualify(array $node): array
    {
        foreach ($node as $key => $value) {
            if ($key === '$ref' && is_string($value)) {
                $node[$key] = "#/components/schemas/$value";
            } elseif ($key === 'enum' && is_string($value)) {
                $node[$key] = CoreLists::of($value);
            } elseif (is_array($value)) {
                // An empty mapping must stay one in JSON.
                $node[$key] = $value === [] && $key === 'properties' ? new \stdClass : self::qualify($value);
            }
        }

        return $node;
    }
}
