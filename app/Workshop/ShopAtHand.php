<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Policy\Policy;
use App\Support\Given;
use Illuminate\Support\Collection;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Planning\Plan\Bench;
use MillStep\Core\Policy\ShopPolicy;
use MillStep\Core\Workshop\CribSpec;
use MillStep\Core\Workshop\MachineSpec;
use MillStep\Core\Workshop\Material;

/**
 * The shop as the core plans with it. What was read once is not read again, so that a hundred plans cost the queries of
 * one; made for one request and thrown away with it.
 */
final class ShopAtHand
{
    /** @var Collection<string, Machine>|null by slug */
    private ?Collection $machines = null;

    /** @var Collection<string, Crib>|null by slug, in the order of the workshop */
    private ?Collection $cribs = null;

    /** @var array<string, Material>|null by key */
    private ?array $materials = null;

    private ?ShopPolicy $policy = null;

    /** @var array<string, MachineSpec> by slug */
    private array $machineSpecs = [];

    /** @var array<string, ToolsAtHand> by the cribs' slugs */
    private array $tools = [];

    /** @var array<string, CribSpec> by the cribs' slugs */
    private array $cribSpecs = [];

    /** @var Collection<int, Bar>|null */
    private ?Collection $bars = null;

    public function machine(string $slug): ?Machine
    {
        $this->machines ??= Machine::query()->with(['cribs', 'lastRunOut', 'lastTram'])->get()->keyBy('slug')->toBase();

        return $this->machines->get($slug);
    }

    /**
     * Those that were chosen, or those beside the machine.
     *
     * @param  list<string>  $chosen  slugs
     * @return list<string> slugs, in the order of the workshop; what is not there is left out
     */
    public function cribsFor(Machine $machine, array $chosen): array
    {
        $wanted = $chosen === [] ? Given::texts($machine->cribs->pluck('slug')->all()) : $chosen;

        return array_values($this->cribs()->keys()->intersect($wanted)->all());
    }

    /** @param  list<string>  $cribs  slugs */
    public function cribNames(array $cribs): string
    {
        return $this->cribs()->only($cribs)->pluck('name')->implode(', ');
    }

    /** @param  list<string>  $cribs  slugs */
    public function tools(array $cribs): ToolsAtHand
    {
        return $this->tools[implode(' ', $cribs)] ??= ToolsAtHand::of($this->cribs()->only($cribs));
    }

    /**
     * Null for a key that the shop does not know.
     *
     * @throws InvalidInput when a stored row is not readable
     */
    public function material(string $key): ?Material
    {
        return ($this->materials ??= MaterialRow::everything())[$key] ?? null;
    }

    /** @throws InvalidInput when what is stored is not readable */
    public function policy(): ShopPolicy
    {
        return $this->policy ??= Policy::inForce();
    }

    /**
     * @param  list<string>  $cribs  slugs; what the crib has is fit to use
     * @param  ShopPolicy|null  $policy  null for the one in force
     *
     * @throws InvalidInput when the material is not known, or something is not readable
     */
    public function bench(Machine $machine, array $cribs, string $material, ?ShopPolicy $policy = null): Bench
    {
        return new Bench(
            $this->material($material) ?? Material::read(Fields::of(['material' => $material])),
            $this->machineSpecs[$machine->slug] ??= MachineSpec::fromFields(Fields::of($machine->spec())),
            $this->cribSpecs[implode(' ', $cribs)] ??= CribSpec::fromFields(Fields::of($this->tools($cribs)->spec())),
            $policy ?? $this->policy(),
        );
    }

    /** @return list<array{length_mm: float, count: int}> bars of one material and diameter, the short ones first */
    public function bars(string $material, float $diameterMm): array
    {
        $this->bars ??= Bar::query()->orderBy('length_mm')->get()->toBase();

        return array_values(
            $this->bars->filter(static fn (Bar $bar): bool => $bar->isLike($material, $diameterMm))
                ->map(static fn (Bar $bar): array => ['length_mm' => $bar->length_mm, 'count' => $bar->count])->all(),
        );
    }

    /** @return Collection<string, Crib> */
    private function cribs(): Collection
    {
        return $this->cribs ??= Crib::query()->with('tools')->orderBy('id')->get()->keyBy('slug')->toBase();
    }
}
