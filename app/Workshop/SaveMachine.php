<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Support\Given;
use App\Support\PowerLock;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Workshop\MachineSpec;
use MillStep\Core\Workshop\MachineTrait;
use MillStep\Core\Workshop\MachineTraits;

/** Writes a machine down, new or changed. The core reads it first: what it cannot plan with is refused. */
final class SaveMachine
{
    /**
     * @param  array<string, mixed>  $given  the machine's FIELDS; what is left out is none
     * @param  list<string>  $cribs  slugs of the cribs beside it
     * @param  bool  $wordingOnly  the machine is as it was, and only said better: whoever knows it still does. How its speed is changed and
     *     what its scales show are no words: those count whatever is said
     *
     * @throws InvalidInput naming the field
     */
    public function __invoke(?Machine $machine, array $given, array $cribs, ?string $slug = null, bool $wordingOnly = false): Machine
    {
        $fields = [...array_fill_keys(Machine::FIELDS, null), ...array_intersect_key($given, array_flip(Machine::FIELDS))];
        self::judge($fields);

        return DB::transaction(function () use ($machine, $fields, $given, $cribs, $slug, $wordingOnly): Machine {
            if ($machine !== null) {
                // It may end what somebody knows who is about to be given power.
                PowerLock::forRestriction();
                $machine = Machine::query()->lockForUpdate()->findOrFail($machine->id);
            }
            $before = $machine?->traits();
            $machine ??= new Machine([
                'slug' => $slug ?? UniqueSlug::of(
                    Given::text($fields['name']),
                    'machine',
                    static fn (string $key): bool => Machine::query()->where('slug', $key)->exists(),
                ),
                'in_service' => true,
            ]);
            // What its screen speaks is no fact of the machine's.
            $machine->fill([...$fields, ...array_intersect_key($given, ['language' => 0])]);
            if ($before !== null) {
                $machine->trait_changes = [...$machine->trait_changes, ...self::changed($before, $machine->traits(), $wordingOnly)];
            }
            $machine->save();
            $machine->cribs()->sync(Crib::query()->whereIn('slug', $cribs)->pluck('id'));

            return $machine->load('cribs');
        });
    }

    /** @return list<array{trait: string, from: string|null, to: string|null, at: string}> */
    private static function changed(MachineTraits $before, MachineTraits $after, bool $wordingOnly): array
    {
        $changed = array_filter(
            $after->differsFrom($before),
            static fn (MachineTrait $trait): bool => ! $wordingOnly || ! $trait->isSaidInWords(),
        );

        return array_values(array_map(static fn (MachineTrait $trait): array => [
            'trait' => $trait->value,
            'from' => $before->says($trait),
            'to' => $after->says($trait),
            'at' => CarbonImmutable::now()->toIso8601ZuluString('microsecond'),
        ], $changed));
    }

    /**
     * @param  array<string, mixed>  $fields
     *
     * @throws InvalidInput
     */
    public static function judge(array $fields): void
    {
        $given = array_filter($fields, static fn (mixed $value): bool => $value !== null);
        $turns = array_intersect_key($given, ['speeds_rpm' => 0, 'min_rpm' => 0, 'max_rpm' => 0]) !== [];
        // A marking-out table has no spindle; everything else must have speeds.
        if ($turns || ($given['kind'] ?? '') !== 'bench') {
            MachineSpec::fromFields(Fields::of($given));
        }
    }
}
