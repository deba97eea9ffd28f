<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Operation;

/**
 * How far two assessors of the same work agree beyond chance: Cohen's kappa (1960); where the verdicts have an order, with linear
 * weights, so that next to each other is half a disagreement.
 */
final readonly class AssessorAgreement implements Operation
{
    /** Of the normal distribution, for an interval of 95 %. */
    private const Z = 1.959963984540054;

    /**
     * @param  int<2, max>  $categories  how many verdicts there are
     * @param  non-empty-list<array{int, int}>  $pairs  the two verdicts, by their place among the categories
     */
    private function __construct(private int $categories, private bool $ordered, private array $pairs)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        $categories = $fields->texts('categories');
        if (count($categories) < 2 || count(array_unique($categories)) !== count($categories)) {
            throw $fields->fault('categories', 'assessment.two_verdicts');
        }
        $place = array_flip($categories);
        $pairs = array_map(
            static fn (Fields $pair): array => [$place[$pair->choice('a', $categories)], $place[$pair->choice('b', $categories)]],
            $fields->objects('pairs', 1),
        );

        return new self(
            count($categories),
            $fields->choice('scale', ['nominal', 'ordered'], 'nominal') === 'ordered',
            $pairs !== [] ? $pairs : throw $fields->fault('pairs', 'input.empty'),
        );
    }

    public function compute(): AssessorsAgree
    {
        $count = count($this->pairs);
        $byA = $byB = array_fill(0, $this->categories, 0);
        $same = $observed = 0.0;
        foreach ($this->pairs as [$a, $b]) {
            $byA[$a]++;
            $byB[$b]++;
            $same += $a === $b ? 1 : 0;
            $observed += $this->weight($a, $b);
        }
        $observed /= $count;
        $expected = 0.0;
        foreach ($byA as $a => $ofA) {
            foreach ($byB as $b => $ofB) {
                $expected += $this->weight($a, $b) * $ofA * $ofB;
            }
        }
        $expected /= $count ** 2;
        $percent = 100 * $same / $count;
        if (1 - $expected < 1e-12) {
            return new AssessorsAgree($count, $percent, null, null, null, AgreementMeaning::Undetermined);
        }
        $kappa = ($observed - $expected) / (1 - $expected);
        $error = sqrt(max(0.0, $observed * (1 - $observed)) / $count) / (1 - $expected);

        return new AssessorsAgree(
            $count,
            $percent,
            $kappa,
            max(-1.0, $kappa - self::Z * $error),
            min(1.0, $kappa + self::Z * $error),
            AgreementMeaning::of($kappa),
        );
    }

    private function weight(int $a, int $b): float
    {
        return $this->ordered ? 1 - abs($a - $b) / ($this->categories - 1) : (float) ($a === $b);
    }
}
