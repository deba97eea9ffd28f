<?php

declare(strict_types=1);

namespace App\Assessment\Writing;

use App\Assessment\Sheet;
use App\Support\Given;
use Symfony\Component\Yaml\Yaml;

/** A sheet as a file of a pack has it: each criterion, dimension and task on a line of its own. */
final class SheetFile
{
    /** How deep a file is laid out; what lies deeper stands on its line. */
    private const DEPTH = 2;

    /** @param  array<string, mixed>  $values */
    public static function text(array $values): string
    {
        return Yaml::dump($values, self::DEPTH, 2);
    }

    /** @return array<string, mixed> what a sheet says in the language in which it was written */
    public static function values(Sheet $sheet): array
    {
        return [
            'code' => $sheet->code, 'version' => $sheet->version, 'title' => $sheet->getRawOriginal('title'),
            'part' => $sheet->part->slug, 'machine' => (string) $sheet->machine_kind, 'pass_mark_percent' => $sheet->pass_mark_percent,
            'criteria' => self::list($sheet, 'criteria'),
            ...array_filter([
                'dimensions' => self::list($sheet, 'dimensions'), 'tasks' => self::list($sheet, 'tasks'),
                'variants' => self::list($sheet, 'variants'), 'gates' => $sheet->gates ?? [],
            ], static fn (array $part): bool => $part !== []),
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function list(Sheet $sheet, string $column): array
    {
        return Given::rows(json_decode(Given::text($sheet->getRawOriginal($column)), true));
    }

    /**
     * The entry of the criteria that a line of such a file is about; null for what is about none.
     *
     * @param  array<string, mixed>  $values
     */
    public static function criterionAt(array $values, int $line): ?string
    {
        $before = substr_count(self::text(array_slice($values, 0, (int) array_search('criteria', array_keys($values), true))), "\n") + 1;
        $criteria = Given::rows($values['criteria'] ?? null);

        return Given::text($criteria[$line - $before - 1]['id'] ?? null) ?: null;
    }
}
