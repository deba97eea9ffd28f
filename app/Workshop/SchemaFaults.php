<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Language\Speech;
use App\Support\Given;
use MillStep\Core\Border\Message;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Helper;
use Opis\JsonSchema\Validator;

/** What a published JSON Schema finds in a document, place by place, in words that say what to write instead. */
final readonly class SchemaFaults
{
    private const MOST = 200;

    /** Names that can be read out in one sentence. */
    private const FEW = 16;

    /** A list or an object that holds faults is no fault itself. */
    private const HOLDERS = ['', 'properties', 'items', '$ref', 'allOf', 'then', 'if', 'else'];

    public function __construct(private string $path)
    {
    }

    /**
     * @param  array<array-key, mixed>  $document
     * @return list<array{where: string, what: string}>
     */
    public function of(array $document): array
    {
        $schema = json_decode((string) file_get_contents($this->path), false, 64, JSON_THROW_ON_ERROR);
        assert(is_object($schema));
        $error = (new Validator(null, self::MOST, false))->validate(Helper::toJSON($document), $schema)->error();
        if ($error === null) {
            return [];
        }
        $faults = [];
        foreach ((new ErrorFormatter)->formatFlat($error, static fn (ValidationError $fault): ValidationError => $fault) as $fault) {
            $what = in_array($fault->keyword(), self::HOLDERS, true) ? null : self::found($fault);
            if ($what !== null) {
                $faults[] = ['where' => '/'.implode('/', $fault->data()->fullPath()), 'what' => Speech::say($what)];
            }
        }

        return array_values(array_unique($faults, SORT_REGULAR));
    }

    /** Null for what the validator only takes for a fault because of another one inside it. */
    private static function found(ValidationError $fault): ?Message
    {
        $given = $fault->data()->value();
        $said = is_scalar($given)
            ? (string) json_encode($given, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)
            : Message::of('fault.file.what_stands_here');
        $schema = $fault->schema()->info()->data();
        $schema = is_object($schema) ? get_object_vars($schema) : [];
        $known = array_keys(is_object($schema['properties'] ?? null) ? get_object_vars($schema['properties']) : []);
        $args = $fault->args();
        $number = static fn (string $key): float|int => is_int($args[$key] ?? null) ? $args[$key] : Given::number($args[$key] ?? null);
        $plain = static fn (mixed $value): string => (string) json_encode($value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);

        return match ($fault->keyword()) {
            'additionalProperties' => self::unknown(array_values(array_diff(Given::texts($args['properties'] ?? null), $known)), $known),
            'required' => Message::of('fault.file.missing', ['names' => Given::texts($args['missing'] ?? null)]),
            'enum' => Message::of('fault.file.none_of',
                ['said' => $said, 'choices' => array_values(array_map($plain, is_array($schema['enum'] ?? null) ? $schema['enum'] : []))]),
            'const' => Message::of('fault.file.has_to_be', ['said' => $said, 'wanted' => $plain($args['const'])]),
            'type' => Message::of('fault.file.type', [
                'said' => $said, 'type' => Given::text($args['type'] ?? null), 'wanted' => Given::texts((array) ($args['expected'] ?? [])),
            ]),
            'minimum' => Message::of('fault.file.at_least', ['said' => $said, 'least' => $number('min')]),
            'exclusiveMinimum' => Message::of('fault.file.more_than', ['said' => $said, 'least' => $number('min')]),
            'maximum' => Message::of('fault.file.at_most', ['said' => $said, 'most' => $number('max')]),
            'pattern' => Message::of('fault.file.pattern', ['said' => $said, 'pattern' => Given::text($args['pattern'] ?? null)]),
            default => Message::of('fault.file.keyword', ['said' => $said, 'keyword' => $fault->keyword()]),
        };
    }

    /**
     * @param  list<string>  $names
     * @param  list<string>  $known
     */
    private static function unknown(array $names, array $known): ?Message
    {
        return match (true) {
            $names === [] => null,
            count($known) <= self::FEW => Message::of('fault.file.unknown_of', ['names' => $names, 'known' => $known]),
            default => Message::of('fault.file.unknown', ['names' => $names]),
        };
    }
}
