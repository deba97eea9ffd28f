<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment\Measuring;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Measure\CaliperTips;

/** A bore by a plug gauge: the go end goes through, the no-go end does not enter. */
final readonly class WantedPlug implements Wanted
{
    private function __construct()
    {
    }

    public static function fromFields(Fields $fields, array $personal): static
    {
        return new self;
    }

    public function read(array $typed, string $units, Length $zeroError, ?CaliperTips $tips = null): array
    {
        return ['go' => Typed::yes($typed, 'go'), 'no_go' => Typed::yes($typed, 'no_go')];
    }

    /** Of several tries the last one stands: a bore that was warm is tried again when it has cooled. */
    public function found(array $readings, Length $uncertainty): Found
    {
        $last = $readings[count($readings) - 1];
        $side = match (true) {
            ! $last->flag('go') => Side::Under,
            $last->flag('no_go') => Side::Over,
            default => null,
        };

        return Found::byGoNoGo(self::asks(), Feature::Bore, $side, count($readings));
    }

    /** @return 'plug' */
    public static function asks(): string
    {
        return 'plug';
    }

    public function canBeToldBy(Length $uncertainty): bool
    {
        return true;
    }

    public function apart(Fields $one, Fields $other): null
    {
        return null;
    }

    public function limits(): array
    {
        return [];
    }
}
