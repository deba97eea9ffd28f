<?php

declare(strict_types=1);

namespace App\Competency;

use Illuminate\Support\Collection;
use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Requirement;

/** What the shop asks for as it stands: every permit with its statements, and which lesson versions still count. */
final class Rules
{
    /** @var \WeakMap<Permit, Requirement> what was worked out already, of this very permit and not of one that is called so too */
    private \WeakMap $requirements;

    /**
     * @param  Collection<string, Permit>  $permits  by code, with their statements
     * @param  array<string, int>  $accepted  the oldest version of each lesson that still counts, by code
     */
    public function __construct(public readonly Collection $permits, private readonly array $accepted)
    {
        $this->requirements = new \WeakMap;
    }

    public static function inForce(): self
    {
        return new self(
            Permit::query()->with('statements')->orderBy('id')->get()->keyBy('code'),
            app(Taught::class)->acceptedVersions(),
        );
    }

    /** As they would be with one permit defined otherwise. */
    public function with(Permit $changed): self
    {
        return new self($this->permits->replace([$changed->code => $changed]), $this->accepted);
    }

    /** @throws \LogicException when the permit has no statement yet */
    public function requirement(Permit $permit): Requirement
    {
        if (isset($this->requirements[$permit])) {
            return $this->requirements[$permit];
        }
        $statement = $permit->statementInForce();
        $asked = $permit->requirement;

        return $this->requirements[$permit] = Requirement::fromFields(Fields::of([
            ...$asked,
            'statement_version' => $statement->version,
            'statement_grace_until' => $statement->grace_until?->toIso8601ZuluString(),
            'accepted_versions' => array_intersect_key($this->accepted, array_flip([...$asked['lessons'], ...$asked['guided'] ?? []])),
        ]));
    }
}
