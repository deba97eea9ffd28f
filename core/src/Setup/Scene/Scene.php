<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Setup\Finding;
use Random\Randomizer;

/** A drawn set-up with exactly the faults that were put into it: the review finds those, and nothing else. */
final readonly class Scene
{
    /**
     * @param  class-string<SceneKind>  $kind
     * @param  array<string, list<Message>>  $wrong  reasons, by place
     */
    private function __construct(private string $kind, private SceneFacts $facts, private array $wrong)
    {
    }

    /**
     * @param  string  $kind  a name of SceneKinds
     * @param  non-empty-list<string>  $of  findings to draw from
     * @param  int  $count  how many faults, each at another place; as many as there are where that is fewer
     *
     * @throws \LogicException when the review does not find exactly what was put in: a fault of this program
     */
    public static function drawn(string $kind, array $of, int $count, Randomizer $random): self
    {
        $scene = SceneKinds::get($kind);
        $facts = $scene::sound($random);
        $possible = [];
        foreach ($scene::places() as $place) {
            foreach ($place::faults($facts) as $fault) {
                in_array($fault->code, $of, true) && $possible[$fault->code][] = [$place, $fault];
            }
        }
        $put = [];
        foreach ($random->shuffleArray(array_keys($possible)) as $code) {
            [$place, $fault] = $possible[$code][$random->getInt(0, count($possible[$code]) - 1)];
            if (count($put) < $count && ! isset($put[$place::name()])) {
                $put[$place::name()] = $fault;
                $facts = $fault->putInto($facts);
            }
        }

        return new self($scene, $facts, self::judged($facts, $put));
    }

    /**
     * @param  array<string, SceneFault>  $put  by place
     * @return array<string, list<Message>>
     *
     * @throws \LogicException
     */
    private static function judged(SceneFacts $facts, array $put): array
    {
        $findings = $facts->review()->findings;
        $codes = array_map(static fn (Finding $finding): string => $finding->code, $findings);
        foreach ($put as $fault) {
            in_array($fault->code, $codes, true) || throw new \LogicException("The review does not find $fault->code.");
        }
        $wrong = [];
        foreach ($findings as $finding) {
            $wrong[self::whose($finding->code, $put)][] = $finding->reason;
        }

        return $wrong;
    }

    /**
     * @param  array<string, SceneFault>  $put  by place
     *
     * @throws \LogicException for a finding that nobody put in
     */
    private static function whose(string $code, array $put): string
    {
        foreach ($put as $place => $fault) {
            if ($fault->explains($code)) {
                return $place;
            }
        }
        throw new \LogicException("The review finds $code, which nobody put in.");
    }

    /** @return list<string> the places where something is wrong */
    public function wrongPlaces(): array
    {
        return array_keys($this->wrong);
    }

    /** @return list<Message> what is wrong, place by place */
    public function reasons(): array
    {
        return array_merge(...array_values($this->wrong));
    }

    public function drawing(): Drawing
    {
        $pen = new Pen(6.0);
        $this->kind::backdrop($pen, $this->facts);
        foreach ($this->kind::places() as $place) {
            $place::draw($pen, $this->facts);
        }

        return $pen->drawing('scene.'.$this->kind::name());
    }

    /** @return list<array<string, mixed>> every place one can point at: its name, its box and what is seen there */
    public function places(): array
    {
        return array_map(function (string $place): array {
            [$left, $low, $right, $high] = $place::box();

            return [
                'id' => $place::name(), 'min_x' => $left, 'min_y' => $low, 'max_x' => $right, 'max_y' => $high,
                'seen' => $place::label($this->facts)->toArray(),
            ];
        }, $this->kind::places());
    }
}
