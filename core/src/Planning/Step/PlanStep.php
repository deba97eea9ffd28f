<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Hole\Peck;

/** One operation of a plan. What an operation has not is left out of its JSON. */
final readonly class PlanStep extends Result
{
    /**
     * @param  string  $why  with the school or rule in force
     * @param  list<string>  $cautions  that stand before it
     * @param  string|null  $setting  the belt or lever position of the speed
     * @param  Length|null  $depth  at full diameter, from the surface
     * @param  Length|null  $totalDepth  to the tip
     * @param  Length|null  $reading  in whole lines of the machine's own scale, from the touch
     * @param  string|null  $scale  the reading as that scale shows it
     * @param  list<Peck>  $pecks
     * @param  int|null  $dialDivisions  of one move
     * @param  string|null  $dial  the move in turns and divisions
     * @param  list<Length>  $passes  diameters to turn to, one after the other
     * @param  int|null  $repeat  how often, where more than once
     * @param  list<Figure>  $figures  the working of each number, by the key of its field
     */
    public function __construct(
        public string $kind,
        public string $tool,
        public string $why,
        public array $cautions = [],
        public ?Length $diameter = null,
        public ?float $rpm = null,
        public ?string $setting = null,
        public ?float $feedMmRev = null,
        public ?Length $depth = null,
        public ?Length $totalDepth = null,
        public ?Length $reading = null,
        public ?string $scale = null,
        public array $pecks = [],
        public ?string $lubricant = null,
        public ?float $timeS = null,
        public ?int $dialDivisions = null,
        public ?string $dial = null,
        public array $passes = [],
        public ?int $repeat = null,
        public array $figures = [],
    ) {
    }

    /** The same operation under another name. */
    public function as(string $kind): self
    {
        return new self(...[...get_object_vars($this), 'kind' => $kind]);
    }

    /** The same operation for one piece of a batch after the other, and why. */
    public function forEach(int $pieces, string $because): self
    {
        return new self(...[...get_object_vars($this), 'repeat' => $pieces, 'why' => $this->why.' '.$because]);
    }

    public function figure(string $key): ?Figure
    {
        foreach ($this->figures as $figure) {
            if ($figure->key === $key) {
                return $figure;
            }
        }

        return null;
    }

    public function toArray(): array
    {
        $all = parent::toArray();
        foreach (['pecks', 'passes', 'passes_mm'] as $list) {
            if (($all[$list] ?? null) === []) {
                unset($all[$list]);
            }
        }

        return array_filter($all, static fn (mixed $value): bool => $value !== null);
    }
}
