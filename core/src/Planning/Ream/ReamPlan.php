<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Ream;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\NoCandidate;
use MillStep\Core\Border\Operation;
use MillStep\Core\Policy\ReamSchool;
use MillStep\Core\Workshop\Drill;

/** Which drill goes before a reamer, by the shop's school, and what that leaves to cut. */
final readonly class ReamPlan implements Operation
{
    /**
     * @param  non-empty-list<Drill>  $drills
     * @param  list<ReamAllowance>  $table
     */
    public function __construct(
        public Length $final,
        public array $drills,
        public ReamSchool $school,
        public array $table,
        public ?Length $step = null,
    ) {
    }

    public static function fromFields(Fields $fields): static
    {
        $method = $fields->choice('method', ['hand', 'machine']);
        $school = ReamSchool::from($fields->choice('school', array_column(ReamSchool::cases(), 'value')));

        return new self(
            $fields->length('final_mm'),
            Drill::set($fields),
            $school,
            array_map(static fn (Fields $row): ReamAllowance => ReamAllowance::fromFields($row, $method), $fields->objects('table')),
            $school === ReamSchool::FixedStep ? $fields->length('step_mm') : null,
        );
    }

    /** @throws NoCandidate when the table ends before, or no drill will do */
    public function compute(): ReamPreparation
    {
        $window = $this->window();
        $below = array_values(array_filter($this->drills, fn (Drill $drill): bool => $drill->diameter->isLessThan($this->final)));
        if ($below === []) {
            throw NoCandidate::in(
                'drills',
                'planning.drills_as_large_as_reamer',
                ['reamer_mm' => $this->final->inMm()],
            );
        }
        $drill = match ($this->school) {
            ReamSchool::Table => $this->byTable($below, $window),
            ReamSchool::NextSixtyFourth => $this->nextSixtyFourth($below),
            ReamSchool::FixedStep => Drill::nearest($below, $this->final->minus($this->step ?? Length::zero())),
        };
        $drill ??= throw NoCandidate::in('drills', 'planning.no_ream_drill', [
            'least_mm' => $window->min->inMm(),
            'most_mm' => $window->max->inMm(),
            'nearest' => Drill::nearest($below, $this->final)->designation ?? '',
        ]);
        $allowance = $this->final->minus($drill->diameter);

        return new ReamPreparation($drill, $allowance, new ReamWindow($window->min, $window->max), $window->judge($allowance));
    }

    private function window(): ReamAllowance
    {
        foreach ($this->table as $row) {
            if ($row->covers($this->final)) {
                return $row;
            }
        }
        throw NoCandidate::in('table', 'planning.no_allowance_row', ['size_mm' => $this->final->inMm()]);
    }

    /** @param  non-empty-list<Drill>  $below */
    private function byTable(array $below, ReamAllowance $window): ?Drill
    {
        $inside = array_values(
            array_filter($below, fn (Drill $drill): bool => $window->judge($this->final->minus($drill->diameter)) === ReamVerdict::Good),
        );

        return Drill::nearest($inside, $this->final->minus($window->min->plus($window->max)->times(0.5)));
    }

    /** @param  non-empty-list<Drill>  $below */
    private function nextSixtyFourth(array $below): ?Drill
    {
        $under = $this->final->minus(Length::inchFraction(1, 64));
        $exact = Drill::nearest($below, $under);

        return $exact !== null && $exact->diameter->equals($under) ? $exact : Drill::nearest($below, $this->final);
    }
}
