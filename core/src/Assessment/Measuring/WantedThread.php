<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment\Measuring;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Measure\CaliperTips;

/**
 * A thread by its plug gauge, after ISO 1502: the go end is screwed through by hand, the no-go end enters by two turns at most.
 */
final readonly class WantedThread implements Wanted
{
    public const NO_GO_TURNS = 2.0;

    private function __construct()
    {
    }

    public static function fromFields(Fields $fields, array $personal): static
    {
        return new self;
    }

    public function read(array $typed, string $units, Length $zeroError, ?CaliperTips $tips = null): array
    {
        return ['go' => Typed::yes($typed, 'go'), 'turns' => Typed::turns($typed, 'turns')];
    }

    public function found(array $readings, Length $uncertainty): Found
    {
        $last = $readings[count($readings) - 1];
        $turns = $last->notNegative('turns');
        $side = match (true) {
            ! $last->flag('go') => Side::Under,
            $turns > self::NO_GO_TURNS => Side::Over,
            default => null,
        };

        return Found::byGoNoGo(self::asks(), Feature::Thread, $side, count($readings), [
            'turns' => $turns, 'most' => self::NO_GO_TURNS,
        ]);
    }

    /** @return 'thread' */
    public static function asks(): string
    {
        return 'thread';
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
