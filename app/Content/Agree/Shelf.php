<?php

declare(strict_types=1);

namespace App\Content\Agree;

use App\Support\Given;
use Symfony\Component\Yaml\Yaml;

/** The files of all packs under a folder, as they are written: no database is asked. */
final readonly class Shelf
{
    /**
     * @param  array<string, array<string, mixed>>  $permits  by code, each with `file`
     * @param  array<string, array<string, mixed>>  $sheets  by code, each with `file`
     * @param  array<string, string>  $materials  of parts, by their short name
     * @param  array<string, mixed>  $holes  of parts, as their drawings have them
     */
    private function __construct(public array $permits, public array $sheets, public array $materials, public array $holes)
    {
    }

    public static function at(string $folder): self
    {
        $materials = $holes = [];
        foreach (glob("$folder/*/parts.yaml") ?: [] as $file) {
            foreach (Given::rows(Given::fields(Yaml::parseFile($file))['parts'] ?? Yaml::parseFile($file)) as $part) {
                $materials[Given::text($part['slug'] ?? null)] = Given::text($part['material'] ?? null);
                $holes[Given::text($part['slug'] ?? null)] = $part['holes'] ?? [];
            }
        }

        return new self(self::each($folder, 'permits'), self::each($folder, 'sheets'), $materials, $holes);
    }

    /** @return list<string> the codes of a permit and of all that it builds on */
    public function below(string $permit): array
    {
        $found = [];
        $left = [$permit];
        while (($code = array_shift($left)) !== null) {
            if (! in_array($code, $found, true) && isset($this->permits[$code])) {
                $found[] = $code;
                array_push($left, ...Given::texts(Given::fields($this->permits[$code]['requirement'] ?? null)['prerequisites'] ?? null));
            }
        }

        return $found;
    }

    /** @return list<string> the sheets that a permit asks for */
    public function sheetsOf(string $permit): array
    {
        return Given::texts(Given::fields($this->permits[$permit]['requirement'] ?? null)['assessments'] ?? null);
    }

    /** @return array<string, array<string, mixed>> */
    private static function each(string $folder, string $kind): array
    {
        $all = [];
        foreach (glob("$folder/*/$kind/*.yaml") ?: [] as $file) {
            $values = Given::fields(Yaml::parseFile($file));
            $all[Given::text($values['code'] ?? null)] = [...$values, 'file' => substr($file, strlen(dirname($folder)) + 1)];
        }

        return $all;
    }
}
