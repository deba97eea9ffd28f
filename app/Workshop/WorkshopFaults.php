<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Language\Speech;
use App\Support\Given;
use Illuminate\Support\Arr;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Message;
use MillStep\Core\Policy\PolicySettings;
use MillStep\Core\Policy\ShopPolicy;
use MillStep\Core\Reference\TapType;
use MillStep\Core\Reference\ThreadTable;
use MillStep\Core\Workshop\Material;

/**
 * Everything that is wrong with a workshop file, each with its place: its shape, and what the sound parts of it say.
 *
 * @phpstan-import-type File from WorkshopFile
 */
final class WorkshopFaults
{
    /**
     * @param  array<array-key, mixed>  $file
     * @return list<array{where: string, what: string}>
     */
    public function of(array $file): array
    {
        $faults = (new SchemaFaults(public_path(WorkshopFile::SCHEMA)))->of($file);
        $sound = self::sound($file, array_column($faults, 'where'));

        return [
            ...$faults,
            ...$this->ofNames($sound, self::slugs($file)),
            ...$this->ofMachines($sound),
            ...$this->ofTools($sound),
            ...$this->ofMaterials($sound),
            ...$this->ofPolicy($sound),
        ];
    }

    /**
     * What is left to be read when everything that is misshapen is laid aside: one broken machine must not hide what is
     * wrong with a crib.
     *
     * @param  array<array-key, mixed>  $file
     * @param  list<string>  $places
     * @return File
     */
    private static function sound(array $file, array $places): array
    {
        foreach ($places as $place) {
            [$list, $item, $within, $inner] = [...array_slice(explode('/', $place), 1), null, null, null, null];
            match (true) {
                $list === null || $list === '' => $file = [],
                $list === 'policy' && $item === null => $file['policy'] = array_intersect_key(
                    (array) ($file['policy'] ?? []),
                    PolicySettings::all(),
                ),
                $item === null => $file[$list] = [],
                $within === 'tools' && $inner !== null => Arr::forget($file, "$list.$item.tools.$inner"),
                default => Arr::forget($file, "$list.$item"),
            };
        }

        /** @var File $file what is left has the published shape */
        return $file;
    }

    /**
     * @param  array<array-key, mixed>  $file
     * @return list<string>
     */
    private static function slugs(array $file): array
    {
        $cribs = is_array($file['cribs'] ?? null) ? $file['cribs'] : [];

        return array_values(
            array_filter(
                array_map(static fn (mixed $crib): mixed => is_array($crib) ? $crib['slug'] ?? null : null, $cribs),
                is_string(...),
            ),
        );
    }

    /**
     * @param  File  $file
     * @param  list<string>  $cribs  what cribs the file names, sound or not
     * @return list<array{where: string, what: string}>
     */
    private function ofNames(array $file, array $cribs): array
    {
        $faults = [];
        foreach (['machines' => 'slug', 'cribs' => 'slug', 'materials' => 'key'] as $list => $key) {
            foreach (array_count_values(array_column($file[$list] ?? [], $key)) as $name => $times) {
                if ($times > 1) {
                    $faults[] = ['where' => "/$list",
                        'what' => Speech::say('fault.file.twice', ['key' => $key, 'name' => (string) $name, 'count' => $times])];
                }
            }
        }
        $known = [...$cribs, ...Given::texts(Crib::query()->pluck('slug')->all())];
        foreach ($file['machines'] ?? [] as $index => $machine) {
            foreach (array_diff($machine['cribs'] ?? [], $known) as $crib) {
                $faults[] = [
                    'where' => "/machines/$index/cribs",
                    'what' => Speech::say('fault.file.no_crib', ['crib' => (string) $crib]),
                ];
            }
        }

        return $faults;
    }

    /**
     * @param  File  $file
     * @return list<array{where: string, what: string}>
     */
    private function ofMachines(array $file): array
    {
        $faults = [];
        foreach ($file['machines'] ?? [] as $index => $machine) {
            try {
                SaveMachine::judge($machine);
            } catch (InvalidInput $fault) {
                $faults[] = ['where' => "/machines/$index/{$fault->field}", 'what' => Speech::say($fault->says)];
            }
        }

        return $faults;
    }

    /**
     * @param  File  $file
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
                    $faults[] = ['where' => $where, 'what' => Speech::say(
                        'fault.file.tool_twice',
                        ['kind' => $tool['kind'], 'name' => $tool['designation']],
                    )];
                }
                $seen[$name] = true;
                if ($tool['kind'] === 'tap' && ! isset(TapType::all()[$tool['type'] ?? ''])) {
                    $faults[] = ['where' => "$where/type",
                        'what' => Speech::say('core.workshop.which_tap', ['known' => array_keys(TapType::all())])];
                }
                $sized = in_array($tool['kind'], ['drill', 'reamer', 'parallel', 'boring_bar', 'hole_saw'], true);
                if ($sized && ! isset($tool['diameter_mm'])) {
                    $faults[] = ['where' => $where, 'what' => Speech::say('fault.file.needs_diameter', ['kind' => $tool['kind']])];
                }
                if ($tool['kind'] === 'boring_bar' && ($tool['enters_mm'] ?? INF) <= ($tool['diameter_mm'] ?? 0)) {
                    $faults[] = [
                        'where' => "$where/enters_mm", 'what' => Speech::say('core.workshop.bar_fills_hole'),
                    ];
                }
                try {
                    isset($tool['thread']) && ThreadTable::shipped()->get($tool['thread']);
                } catch (InvalidInput $fault) {
                    $faults[] = ['where' => "$where/thread", 'what' => Speech::say($fault->says)];
                }
            }
        }

        return $faults;
    }

    /**
     * @param  File  $file
     * @return list<array{where: string, what: string}>
     */
    private function ofMaterials(array $file): array
    {
        $faults = [];
        foreach ($file['materials'] ?? [] as $index => $row) {
            try {
                Material::fromFields(Fields::of($row));
            } catch (InvalidInput $fault) {
                $faults[] = ['where' => "/materials/$index/{$fault->field}", 'what' => Speech::say($fault->says)];
            }
        }

        return $faults;
    }

    /**
     * @param  File  $file
     * @return list<array{where: string, what: string}>
     */
    private function ofPolicy(array $file): array
    {
        $faults = ShopPolicy::faults(Fields::of($file['policy'] ?? []));

        return array_map(
            static fn (string $key, Message $what): array => ['where' => "/policy/$key", 'what' => Speech::say($what)],
            array_keys($faults),
            $faults,
        );
    }
}
