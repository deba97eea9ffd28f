<?php

declare(strict_types=1);

namespace App\Workshop;

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
        $schema = json_decode((string) file_get_contents($this->path));
        $error = (new Validator(null, self::MOST, false))->validate(Helper::toJSON($document), $schema)->error();
        if ($error === null) {
            return [];
        }
        $faults = [];
        foreach ((new ErrorFormatter)->formatFlat($error, static fn (ValidationError $fault): ValidationError => $fault) as $fault) {
            $what = in_array($fault->keyword(), self::HOLDERS, true) ? null : self::words($fault);
            if ($what !== null) {
                $faults[] = ['where' => '/'.implode('/', $fault->data()->fullPath()), 'what' => $what];
            }
        }

        return array_values(array_unique($faults, SORT_REGULAR));
    }

    /** Null for what the validator only takes for a fault because of another one inside it. */
    private static function words(ValidationError $fault): ?string
    {
        $given = $fault->data()->value();
        $said = is_scalar($given) ? json_encode($given, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES) : 'What stands here';
        $schema = $fault->schema()->info()->data();
        $known = is_object($schema) ? array_keys(get_object_vars($schema->properties ?? (object) [])) : [];
        $args = $fault->args();

        return match ($fault->keyword()) {
            'additionalProperties' => self::unknown(array_values(array_diff($args['properties'], $known)), $known),
            'required' => sprintf('%s is missing.', implode(', ', $args['missing'])),
            'enum' => sprintf('%s is none of: %s.', $said, implode(', ', array_map(json_encode(...), $schema->enum ?? []))),
            'const' => sprintf('%s has to be %s.', $said, json_encode($args['const'])),
            'type' => sprintf('%s is %s; wanted is %s.', $said, $args['type'], implode(' or ', (array) $args['expected'])),
            'minimum' => sprintf('%s is too small; at least %s.', $said, $args['min']),
            'exclusiveMinimum' => sprintf('%s is too small; more than %s.', $said, $args['min']),
            'maximum' => sprintf('%s is too large; at most %s.', $said, $args['max']),
            'pattern' => sprintf('%s is not written as it has to be (%s).', $said, $args['pattern']),
            default => (new ErrorFormatter)->formatErrorMessage($fault).'.',
        };
    }

    /**
     * @param  list<string>  $names
     * @param  list<string>  $known
     */
    private static function unknown(array $names, array $known): ?string
    {
        $choices = count($known) <= self::FEW ? '; known are: '.implode(', ', $known) : '';

        return $names === [] ? null : sprintf('%s is not known here%s.', implode(', ', $names), $choices);
    }
}
