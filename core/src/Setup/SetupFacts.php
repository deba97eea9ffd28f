<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Policy\PolicySettings;
use MillStep\Core\Workshop\Material;
use MillStep\Core\Workshop\MaterialTable;

/** What is said about a setup. A fact that was left out is asked for by name, never guessed. */
final readonly class SetupFacts
{
    public function __construct(private Fields $fields)
    {
    }

    /** @throws UnknownFact|InvalidInput */
    public function flag(string $fact): bool
    {
        return $this->known($fact)->flag($fact);
    }

    /** @throws UnknownFact|InvalidInput */
    public function text(string $fact): string
    {
        return $this->known($fact)->text($fact);
    }

    /** @throws UnknownFact|InvalidInput */
    public function length(string $fact): Length
    {
        return $this->known($fact)->lengthOrZero($fact);
    }

    /** @throws UnknownFact|InvalidInput */
    public function number(string $fact): float
    {
        return $this->known($fact)->notNegative($fact);
    }

    /** A limit or factor of the shop's policy, which has a careful value where the shop set none. */
    public function policy(string $key, ?float $careful = null): float
    {
        return $this->fields->objectOrEmpty('policy')
            ->notNegative($key, $careful ?? PolicySettings::careful($key));
    }

    public function policyText(string $key): string
    {
        return $this->fields->objectOrEmpty('policy')->text($key, PolicySettings::carefulChoice($key));
    }

    public function has(string $fact): bool
    {
        return $this->fields->has($fact);
    }

    /** @throws UnknownFact|InvalidInput */
    public function material(): Material
    {
        return $this->fields->isObject('material')
            ? Material::fromFields($this->fields->object('material'))
            : MaterialTable::shipped()->get($this->text('material'));
    }

    public function onLathe(): bool
    {
        return $this->text('machine_kind') === 'lathe';
    }

    /** A powered drill of any kind is at work, not a tap or reamer. */
    public function drills(): bool
    {
        return in_array($this->text('tool'), ['twist_drill', 'wood_bit', 'step_drill'], true);
    }

    /**
     * The row of the table of speed factors that the tool at work runs by; null for one that the table does not know.
     *
     * @throws UnknownFact|InvalidInput
     */
    public function operation(): ?string
    {
        return match ($this->text('tool')) {
            'twist_drill', 'wood_bit' => $this->opensPilot() ? 'opening_out' : 'drilling',
            'step_drill' => 'step_drill',
            'tap' => 'power_tapping',
            'reamer' => 'reaming_machine',
            'countersink' => 'countersinking',
            // Parting by hand runs at about half the speed of drilling: the planner takes the same row.
            'counterbore', 'parting_blade' => 'counterboring',
            'spotface' => 'spotfacing',
            'centre_drill' => 'centre_drilling',
            'spotting_drill' => 'spot_drilling',
            'boring_bar' => 'boring',
            'hole_saw' => 'hole_saw',
            default => null,
        };
    }

    /** @throws UnknownFact|InvalidInput */
    public function powered(): bool
    {
        return ! $this->has('powered') || $this->flag('powered');
    }

    public function opensPilot(): bool
    {
        return $this->has('pilot_mm') && $this->length('pilot_mm')->isPositive();
    }

    private function known(string $fact): Fields
    {
        return $this->fields->has($fact) ? $this->fields : throw UnknownFact::named(preg_replace('/_(mm|rpm|n)$/', '', $fact) ?? $fact);
    }
}
