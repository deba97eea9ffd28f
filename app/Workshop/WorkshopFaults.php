<?php

declare(strict_types=1);

namespace App\Workshop;

use MillStep\Core\Exception\InvalidInput;
use MillStep\Core\Fields;
use MillStep\Core\Planning\TapType;
use MillStep\Core\Planning\ThreadTable;
use MillStep\Core\Workshop\Material;
use MillStep\Core\Workshop\ShopPolicy;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Helper;
use Opis\JsonSchema\Validator;

/** Everything that is wrong with a workshop file, each with its place: first its shape, then what it says. */
final class WorkshopFaults
{
    private const MOST = 200;

    /**
     * @param  array<array-key, mixed>  $file
     * @return list<array{where: string, what: string}>
     */
    public function of(array $file): array
    {
        $faults = $this->ofShape($file);

        return $faults !== [] ? $faults : [...$this->ofNames($file), ...$this->ofMachines($file), ...$this->ofTools($file), ...$this->ofMaterials($file), ...$this->ofPolicy($file)];
    }

    /**
     * @param  array<array-key, mixed>  $file
     * @return list<array{where: string, what: string}>
     */
    private function ofShape(array $file): array
    {
        $validator = new Validator(null, self::MOST, false);
        $schema = json_decode((string) file_get_contents(public_path(WorkshopFile::SCHEMA)));
        $result = $validator->validate(Helper::toJSON($file), $schema);
        $error = $result->error();
        if ($error === null) {
            return [];
        }
        $faults = [];
        $formatter = new ErrorFormatter;
        foreach ($formatter->formatFlat($error, static fn (ValidationError $fault): array => [
            'where' => '/'.implode('/', $fault->data()->fullPath()), 'what' => $formatter->formatErrorMessage($fault), 'keyword' => $fault->keyword(),
        ]) as $fault) {
            // What holds others is named by them.
            if (! in_array($fault['keyword'], ['properties', 'items', '$ref', 'allOf', 'then', 'if', 'else'], true)) {
                $faults[] = ['where' => $fault['where'], 'what' => $fault['what'].'.'];
            }
        }

        return array_values(array_unique($faults, SORT_REGULAR));
    }

    /**
     * @param  array<array-key, mixed>  $file
     * @return list<array{where: string, what: string}>
     */
    private function ofNames(array $file): array
    {
        $faults = [];
        foreach (['machines' => 'slug', 'cribs' => 'slug', 'materials' => 'key'] as $list => $key) {
            foreach (array_count_values(array_column($file[$list] ?? [], $key)) as $name => $times) {
                if ($times > 1) {
                    $faults[] = ['where' => "/$list", 'what' => "The $key \"$name\" stands here $times times; each needs one of its own."];
                }
            }
        }
        $known = [...array_column($file['cribs'] ?? [], 'slug'), ...Crib::query()->pluck('slug')->all()];
        foreach ($file['machines'] ?? [] as $index => $machine) {
            foreach (array_diff($machine['cribs'] ?? [], $known) as $crib) {
                $faults[] = ['where' => "/machines/$index/cribs", 'what' => "No crib is called \"$crib\", neither in this file nor in the shop."];
            }
        }

        return $faults;
    }

    /**
     * @param  array<array-key, mixed>  $file
     * @return list<array{where: string, what: string}>
     */
    private function ofMachines(array $file): array
    {
        $faults = [];
        foreach ($file['machines'] ?? [] as $index => $machine) {
            try {
                SaveMachine::judge($machine);
            } catch (InvalidInput $fault) {
                $faults[] = ['where' => "/machines/$index/{$fault->field}", 'what' => $fault->getMessage()];
            }
        }

        return $faults;
    }

    /**
     * @param  array<array-key, mixed>  $file
     * @return list<array{where: string, what: string}>
     */
    private function ofTools(array $file): array
    {
        $faults = [];
        foreach ($file['cribs'] ?? [] as $i => $crib) {
            $seen = [];
            foreach ($crib['tools'] as $j => $tool) {
                $where = "/cribs/$i/tools/$j";
                $name = $tool['kind'].' '.$tool['designation'].' '.($tool['edge'] ?? 'normal');
                if (isset($seen[$name])) {
                    $faults[] = ['where' => $where, 'what' => "The crib has {$tool['kind']} \"{$tool['designation']}\" twice."];
                }
                $seen[$name] = true;
                if ($tool['kind'] === 'tap' && ! isset(TapType::all()[$tool['type'] ?? ''])) {
                    $faults[] = ['where' => "$where/type", 'what' => 'A tap is one of '.implode(', ', array_keys(TapType::all())).'.'];
                }
                if (in_array($tool['kind'], ['drill', 'reamer', 'parallel'], true) && ! isset($tool['diameter_mm'])) {
                    $faults[] = ['where' => $where, 'what' => "A {$tool['kind']} needs its diameter_mm."];
                }
                try {
                    isset($tool['thread']) && ThreadTable::shipped()->get($tool['thread']);
                } catch (InvalidInput $fault) {
                    $faults[] = ['where' => "$where/thread", 'what' => $fault->getMessage()];
                }
            }
        }

        return $faults;
    }

    /**
     * @param  array<array-key, mixed>  $file
     * @return list<array{where: string, what: string}>
     */
    private function ofMaterials(array $file): array
    {
        $faults = [];
        foreach ($file['materials'] ?? [] as $index => $row) {
            try {
                Material::fromFields(Fields::of($row));
            } catch (InvalidInput $fault) {
                $faults[] = ['where' => "/materials/$index/{$fault->field}", 'what' => $fault->getMessage()];
            }
        }

        return $faults;
    }

    /**
     * @param  array<array-key, mixed>  $file
     * @return list<array{where: string, what: string}>
     */
    private function ofPolicy(array $file): array
    {
        $faults = ShopPolicy::faults(Fields::of($file['policy'] ?? []));

        return array_map(static fn (string $key, string $what): array => ['where' => "/policy/$key", 'what' => $what], array_keys($faults), $faults);
    }
}
