<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop;

use MillStep\Core\Exception\InvalidInput;
use MillStep\Core\Fields;
use MillStep\Core\Measure\Length;

/** What a plan has to know of a machine. */
final readonly class MachineSpec
{
    private function __construct(
        public string $name,
        public string $kind,
        public Speeds $speeds,
        public string $speedChange,
        public string $scaleUnit,
        public Length $graduation,
        public ?Length $travel,
        public ?Length $chuckMax,
        public ?Length $throughBore,
        public ?Length $dialGraduation,
        public int $dialDivisions,
        public bool $dialReadsDiameter,
        public bool $inService,
    ) {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        $optional = static fn (Fields $from, string $key): ?Length => $from->has($key) ? $from->length($key) : null;
        $scale = $fields->objectOrEmpty('depth_scale');
        $dial = $fields->objectOrEmpty('dial');
        $unit = $scale->choice('unit', ['mm', 'in'], 'mm');
        $kind = $fields->text('kind', 'drill_press');

        return new self(
            $fields->text('name', 'the machine'),
            // The shop tells a bench drill press from a floor one; the rules do not.
            str_contains($kind, 'lathe') ? 'lathe' : 'drill_press',
            Speeds::fromFields($fields),
            $fields->text('speed_change', 'stopped_and_isolated'),
            $unit,
            $scale->length('graduation_mm', $unit === 'in' ? 25.4 / 16 : 1),
            $optional($scale, 'travel_mm'),
            $optional($fields, 'chuck_max_mm'),
            $optional($fields, 'through_bore_mm'),
            $optional($dial, 'graduation_mm'),
            $dial->integer('divisions_per_turn', 1, 10_000, 100),
            $dial->flag('reads_diameter', false),
            $fields->flag('in_service', true),
        );
    }
}
