<?php

declare(strict_types=1);

namespace App\Workshop;

use App\People\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Brings a workshop file in: what it names is added or made as it says, what it does not name stays. All or nothing;
 * with a fault in it nothing is touched, and every fault is named.
 *
 * @phpstan-import-type File from WorkshopFile
 * @phpstan-import-type FileTool from WorkshopFile
 * @phpstan-import-type FileBar from WorkshopFile
 *
 * @phpstan-type Outcome array{faults: list<array{where: string, what: string}>, added: list<string>, changed: list<string>, same: int}
 */
final class ImportWorkshop
{
    private const TOOL_DETAILS = ['type', 'thread', 'method', 'taper', 'flute_length_mm', 'point_angle_deg', 'diameters_mm', 'gauge',
        'enters_mm', 'reach_mm'];

    public function __construct(
        private readonly WorkshopFaults $faults,
        private readonly WorkshopFile $file,
        private readonly SaveMachine $saveMachine,
        private readonly ChangeService $service,
        private readonly ChangePolicy $policy,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $file
     * @param  bool  $apply  false only says what would change
     * @return Outcome
     */
    public function __invoke(array $file, bool $apply, User $by): array
    {
        $faults = $this->faults->of($file);
        if ($faults !== []) {
            return ['faults' => $faults, 'added' => [], 'changed' => [], 'same' => 0];
        }
        /** @var File $file without a fault it has the published shape */
        $outcome = $this->compare($file);
        if ($apply) {
            DB::transaction(fn () => $this->write($file, $by));
        }

        return ['faults' => [], ...$outcome];
    }

    /**
     * @param  File  $file
     * @return array{added: list<string>, changed: list<string>, same: int}
     */
    private function compare(array $file): array
    {
        $now = $this->file->export();
        $added = $changed = [];
        $same = 0;
        foreach (['machines' => 'slug', 'cribs' => 'slug', 'materials' => 'key'] as $list => $key) {
            $known = array_column($now[$list], null, $key);
            foreach (array_column($file[$list] ?? [], null, $key) as $called => $entry) {
                $name = rtrim($list, 's').': '.($entry['name'] ?? $called);
                if (! isset($known[$called])) {
                    $added[] = $name;
                } elseif (self::canonical($known[$called]) === self::canonical($entry)) {
                    $same++;
                } else {
                    $changed[] = $name;
                }
            }
        }
        foreach ($file['bars'] ?? [] as $bar) {
            $found = array_filter(
                $now['bars'],
                static fn (array $each): bool => self::canonical(
                    array_diff_key($each, ['count' => 0]),
                ) === self::canonical(array_diff_key($bar, ['count' => 0])),
            );
            $name = sprintf('bar: %s ⌀ %s, %s mm', $bar['material'], $bar['diameter_mm'], $bar['length_mm']);
            if ($found === []) {
                $added[] = $name;
            } elseif (array_values($found)[0]['count'] === $bar['count']) {
                $same++;
            } else {
                $changed[] = $name;
            }
        }
        if (isset($file['policy'])) {
            $file['policy'] === [] || self::canonical((array) $now['policy']) === self::canonical($file['policy']) ? $same++
                : $changed[] = 'policy';
        }

        return ['added' => $added, 'changed' => $changed, 'same' => $same];
    }

    /** @param  File  $file */
    private function write(array $file, User $by): void
    {
        foreach ($file['cribs'] ?? [] as $given) {
            $crib = Crib::query()->updateOrCreate(['slug' => $given['slug']], ['name' => $given['name'], 'note' => $given['note'] ?? null]);
            $crib->tools()->forceDelete();
            Tool::query()->insert(array_map(static fn (array $tool): array => [
                'crib_id' => $crib->id, 'kind' => $tool['kind'], 'designation' => $tool['designation'],
                'diameter_mm' => $tool['diameter_mm'] ?? null, 'edge' => $tool['edge'] ?? 'normal',
                'condition' => $tool['condition'] ?? 'good',
                'details' => json_encode((object) array_intersect_key($tool, array_flip(self::TOOL_DETAILS)), JSON_THROW_ON_ERROR),
            ], $given['tools']));
        }
        foreach ($file['machines'] ?? [] as $given) {
            $machine = ($this->saveMachine)(
                Machine::query()->where('slug', $given['slug'])->first(),
                $given,
                $given['cribs'] ?? [],
                $given['slug'],
            );
            $inService = $given['in_service'] ?? true;
            if ($machine->in_service !== $inService || (! $inService && $machine->service_note !== ($given['service_note'] ?? null))) {
                ($this->service)(
                    $machine,
                    $inService,
                    $given['service_note'] ?? 'Brought in with a workshop file',
                    $by,
                    (string) Str::uuid7(),
                );
            }
        }
        foreach ($file['materials'] ?? [] as $row) {
            MaterialRow::query()->updateOrCreate(['key' => $row['key']], ['row' => $row]);
        }
        foreach ($file['bars'] ?? [] as $bar) {
            Bar::query()->updateOrCreate(array_diff_key($bar, ['count' => 0]), ['count' => $bar['count']]);
        }
        if (($file['policy'] ?? []) !== []) {
            ($this->policy)($file['policy'], 'Brought in with a workshop file', $by);
        }
    }

    /** @param  array<array-key, mixed>  $entry */
    private static function canonical(array $entry): string
    {
        $sorted = static function (mixed $value) use (&$sorted): mixed {
            if (is_array($value)) {
                $value = array_map($sorted, $value);
                array_is_list($value) ? usort(
                    $value,
                    static fn (mixed $a, mixed $b): int => json_encode($a) <=> json_encode($b),
                ) : ksort($value);
            }

            return is_int($value) ? (float) $value : $value;
        };

        return json_encode($sorted($entry), JSON_THROW_ON_ERROR);
    }
}
