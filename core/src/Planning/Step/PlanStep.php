<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Border\Result;
use MillStep\Core\Planning\Cutting\Cutting;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Hole\Peck;
use MillStep\Core\Workshop\DialReading;
use MillStep\Core\Workshop\MachineSpec;

/** One operation of a plan. What an operation has not is left out of its JSON. */
final readonly class PlanStep extends Result
{
    /** How the codes of the cautions about changing the speed begin. */
    public const SETS_SPEED = 'planning.caution.set_speed_';

    /**
     * @param  list<Message>  $why  with the school or rule in force
     * @param  list<Message>  $cautions  what this step adds, before it
     * @param  list<Message>  $dangers  what can maim, before all else
     * @param  list<Standing>  $standing  what holds at every such step
     * @param  list<Message>  $needs  what it depends on, to be known before it is begun
     * @param  Message|string|null  $setting  the belt or lever position of the speed
     * @param  Length|null  $depth  at full diameter, from the surface
     * @param  Length|null  $totalDepth  to the tip
     * @param  Length|null  $reading  in whole lines of the machine's own scale, from the touch
     * @param  string|null  $scaleReading  the reading as that scale shows it
     * @param  list<Peck>  $pecks
     * @param  int|null  $dialDivisions  of one move
     * @param  Message|null  $dialReading  the move in turns and divisions
     * @param  list<Length>  $passes  diameters to turn to, one after the other
     * @param  int|null  $turns  of a tap, at most
     * @param  int|null  $repeat  how often, where more than once
     * @param  Drawing|null  $sketch  where the belt goes for a speed that is changed to, or where the holding goes
     * @param  list<Message>  $trouble  what to try, in this order, where it goes wrong
     * @param  list<Figure>  $figures  the working of each number, by the key of its field
     */
    private function __construct(
        public string $kind,
        public Message $tool,
        public array $why,
        public array $cautions = [],
        public array $dangers = [],
        public array $standing = [],
        public array $needs = [],
        public ?Length $diameter = null,
        public ?float $rpm = null,
        public Message|string|null $setting = null,
        public ?float $feedMmRev = null,
        public ?Length $depth = null,
        public ?Length $totalDepth = null,
        public ?Length $reading = null,
        public ?string $scaleReading = null,
        public array $pecks = [],
        public Message|string|null $lubricant = null,
        public ?float $timeS = null,
        public ?int $dialDivisions = null,
        public ?Message $dialReading = null,
        public array $passes = [],
        public ?int $turns = null,
        public ?int $repeat = null,
        public ?Drawing $sketch = null,
        public array $trouble = [],
        public array $figures = [],
    ) {
    }

    /** @param  string  $kind  one that Steps knows */
    public static function of(string $kind, Message $tool, Message ...$why): self
    {
        return new self($kind, $tool, array_values($why));
    }

    /** The same operation under another name. */
    public function as(string $kind): self
    {
        return $this->with(['kind' => $kind]);
    }

    public function because(Message ...$why): self
    {
        return $this->with(['why' => [...$this->why, ...array_values($why)]]);
    }

    public function beware(Message ...$cautions): self
    {
        return $this->with(['cautions' => [...$this->cautions, ...array_values($cautions)]]);
    }

    public function needing(Message ...$needs): self
    {
        return $this->with(['needs' => [...$this->needs, ...array_values($needs)]]);
    }

    /** What can maim: the strongest of what stands before it. */
    public function danger(Message ...$dangers): self
    {
        return $this->with(['dangers' => [...$this->dangers, ...array_values($dangers)]]);
    }

    public function standing(Standing ...$always): self
    {
        return $this->with(['standing' => array_values($always)]);
    }

    /** With how the speed is set first of all; what another plan said of it is put aside. */
    public function setting(?Message $speed): self
    {
        $rest = array_values(array_filter(
            $this->cautions,
            static fn (Message $caution): bool => ! str_starts_with($caution->code, self::SETS_SPEED),
        ));

        return $this->with(['cautions' => $speed === null ? $rest : [$speed, ...$rest]]);
    }

    public function troubled(Message ...$tries): self
    {
        return $this->with(['trouble' => array_values($tries)]);
    }

    public function sketched(?Drawing $sketch): self
    {
        return $this->with(['sketch' => $sketch]);
    }

    public function sized(Length $diameter, Figure ...$working): self
    {
        return $this->with(['diameter' => $diameter])->shows(...$working);
    }

    /** Under power, at the speed that was chosen for it, and why that one. */
    public function spun(Cutting $cutting, MachineSpec $machine): self
    {
        return $this->with(['rpm' => $cutting->speed->chosenRpm, 'setting' => $machine->speeds->setting($cutting->speed->chosenRpm)])
            ->because($cutting->message())->shows($cutting->speedFigure);
    }

    public function fed(Cutting $cutting): self
    {
        return $this->with(['feedMmRev' => $cutting->feedMmRev])->shows($cutting->feedFigure);
    }

    public function deep(Length $depth, Figure ...$working): self
    {
        return $this->with(['depth' => $depth])->shows(...$working);
    }

    public function toTip(Length $total, Figure ...$working): self
    {
        return $this->with(['totalDepth' => $total])->shows(...$working);
    }

    public function reads(Length $reading, string $onScale, Figure $working): self
    {
        return $this->with(['reading' => $reading, 'scaleReading' => $onScale])->shows($working);
    }

    /** @param  list<Peck>  $pecks */
    public function pecked(array $pecks): self
    {
        return $this->with(['pecks' => $pecks]);
    }

    public function wetted(Message|string $lubricant): self
    {
        return $this->with(['lubricant' => $lubricant]);
    }

    public function lasting(float $seconds, Figure ...$working): self
    {
        return $this->with(['timeS' => $seconds])->shows(...$working);
    }

    public function moved(DialReading $dial): self
    {
        return $this->with([
            'dialDivisions' => $dial->divisions,
            'dialReading' => $dial->turns === 0
                ? Message::of('planning.dial.divisions', ['count' => $dial->divisions])
                : Message::of('planning.dial.turns', ['count' => $dial->turns, 'rest' => $dial->remainderDivisions]),
        ]);
    }

    /** @param  list<Length>  $passes */
    public function turned(array $passes, Figure $working): self
    {
        return $this->with(['passes' => $passes])->shows($working);
    }

    public function turnedBy(int $turns): self
    {
        return $this->with(['turns' => $turns]);
    }

    public function times(int $repeat): self
    {
        return $this->with(['repeat' => $repeat]);
    }

    public function shows(Figure ...$figures): self
    {
        return $this->with(['figures' => [...$this->figures, ...array_values($figures)]]);
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
        foreach (['dangers', 'standing', 'needs', 'trouble', 'pecks', 'passes', 'passes_mm'] as $list) {
            if (($all[$list] ?? null) === []) {
                unset($all[$list]);
            }
        }

        return array_filter($all, static fn (mixed $value): bool => $value !== null);
    }

    /** @param  array<string, mixed>  $changes */
    private function with(array $changes): self
    {
        /** @var array{kind: string, tool: Message, why: list<Message>, cautions: list<Message>, needs: list<Message>,
         *     dangers: list<Message>, standing: list<Standing>,
         *     diameter: Length|null, rpm: float|null,
         *     setting: Message|string|null, feedMmRev: float|null, depth: Length|null, totalDepth: Length|null, reading: Length|null,
         *     scaleReading: string|null, pecks: list<Peck>, lubricant: Message|string|null, timeS: float|null, dialDivisions: int|null,
         *     dialReading: Message|null, passes: list<Length>, turns: int|null, repeat: int|null,
         *     sketch: Drawing|null, trouble: list<Message>, figures: list<Figure>} $all */
        $all = [...get_object_vars($this), ...$changes];

        return new self(...$all);
    }
}
