<?php

declare(strict_types=1);

namespace App\Workshop\Checks;

use App\People\User;
use App\Support\Refusal;
use App\Workshop\Machine;
use App\Workshop\Tool;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;

/** Keeps what was measured with the machine or the drill; a drill's condition follows from how it is ground. */
final class KeepCheck
{
    /**
     * @param  array<string, float|string>  $given  as the core reads it
     *
     * @throws CoreException when it contradicts itself, or is of a drill of another size
     * @throws Refusal `id_used`
     */
    public function __invoke(CheckKind $kind, Machine|Tool $of, array $given, User $by, string $key): Check
    {
        if ($of instanceof Tool && ! self::isOf($of, $given)) {
            throw InvalidInput::at('tool', 'workshop.other_drill', ['tool' => $of->designation]);
        }
        $found = $kind->compute($given)->toArray();

        return DB::transaction(function () use ($kind, $of, $given, $found, $by, $key): Check {
            $check = Check::query()->createOrFirst(['key' => $key], [
                'kind' => $kind,
                'machine_id' => $of instanceof Machine ? $of->id : null,
                'tool_id' => $of instanceof Tool ? $of->id : null,
                'given' => $given,
                'found' => $found,
                'said_by' => $by->id,
                'at' => CarbonImmutable::now(),
            ]);
            if (! $check->wasRecentlyCreated) {
                return $check->says($kind, $of, $given, $by) ? $check : throw Refusal::idUsed();
            }
            if ($of instanceof Tool) {
                $of->update(['condition' => self::condition($found['verdict'] ?? null, $of->condition)]);
            }

            return $check;
        });
    }

    /** @param  array<string, float|string>  $given */
    private static function isOf(Tool $tool, array $given): bool
    {
        return $tool->kind === 'drill'
            && Length::mm($tool->diameter() ?? 0.0)->equals(Length::mm((float) ($given['diameter_mm'] ?? 0)));
    }

    /**
     * A point that is wrong for its drill is ground anew as well. Sound lips bring back what was put aside to be ground;
     * whether a drill is sharp, worn out or lost they cannot tell: that stays as somebody said it.
     *
     * @param  'good'|'dull'|'regrind'|'worn_out'|'lost'  $now
     * @return 'good'|'dull'|'regrind'|'worn_out'|'lost'
     */
    private static function condition(mixed $verdict, string $now): string
    {
        return match (true) {
            $now === 'worn_out', $now === 'lost' => $now,
            $verdict !== 'sound' => 'regrind',
            $now === 'regrind' => 'good',
            default => $now,
        };
    }
}
