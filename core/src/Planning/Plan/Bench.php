<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Plan;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Policy\ShopPolicy;
use MillStep\Core\Workshop\CribSpec;
use MillStep\Core\Workshop\MachineSpec;
use MillStep\Core\Workshop\Material;

/** What a sequence is planned with: the metal, the machine, the tools beside it, and the schools in force. */
final readonly class Bench
{
    public function __construct(public Material $material, public MachineSpec $machine, public CribSpec $crib, public ShopPolicy $policy)
    {
    }

    /**
     * `{material, machine, crib, policy?}`
     *
     * @throws InvalidInput
     */
    public static function fromFields(Fields $fields): self
    {
        return new self(
            Material::read($fields),
            MachineSpec::fromFields($fields->object('machine')),
            CribSpec::fromFields($fields->object('crib')),
            ShopPolicy::fromFields($fields->objectOrEmpty('policy')),
        );
    }

    /** Whatever state the machine is in today. */
    public function asTaught(): self
    {
        return new self($this->material, $this->machine->asTaught(), $this->crib, $this->policy);
    }
}
