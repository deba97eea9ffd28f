<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check\Question;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Setup\Scene\Scene;
use MillStep\Core\Setup\Scene\SceneKinds;
use Random\Randomizer;

/** A kind of scene, the findings that may be put into it, and how many. */
final readonly class HazardScene implements Asked
{
    /** @param  non-empty-list<string>  $of */
    private function __construct(private string $scene, private array $of, private int $least, private int $most)
    {
    }

    /**
     * `scene`, and `faults: {least, most, of: [finding…]}`.
     *
     * @throws InvalidInput when a finding cannot be put into such a scene, or there are fewer than wanted
     */
    public static function fromFields(Fields $fields): self
    {
        $scene = $fields->choice('scene', SceneKinds::names());
        $faults = $fields->object('faults');
        $of = array_values(array_unique($faults->texts('of')));
        $known = SceneKinds::codes($scene);
        foreach (array_diff($of, $known) as $code) {
            throw $faults->fault('of', 'learning.no_such_fault', ['code' => $code, 'list' => $known]);
        }
        $least = $faults->integer('least', 1, 4, 1);
        $most = $faults->integer('most', $least, 4, $least);
        $always = count(array_intersect($of, SceneKinds::always($scene)));
        if ($of === [] || $always < $most) {
            throw $faults->fault('of', 'learning.too_few_faults', ['wanted' => $most, 'found' => $always]);
        }

        return new self($scene, $of, $least, $most);
    }

    public function draw(Randomizer $random): DrawnScene
    {
        return new DrawnScene(Scene::drawn($this->scene, $this->of, $random->getInt($this->least, $this->most), $random));
    }
}
