<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Stock;

use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Border\Result;

/** Blanks for a class from the bars in stock: how many of each bar it takes, and whether there are enough. */
final readonly class ClassBars extends Result
{
    /**
     * @param  list<array{length_mm: float, in_stock: int, bars: int|null, layout: list<list<float>>, waste_mm: float|null, enough: bool,
     *     fault: Message|null}>  $stock  one entry a kind of bar, the best first
     */
    private function __construct(public Length $blank, public int $learners, public array $stock)
    {
    }

    /**
     * @param  Length  $blank  of one learner: what stands out, and what the chuck grips
     * @param  list<array{length_mm: float, count: int}>  $bars
     */
    public static function of(Length $blank, int $learners, Length $kerf, array $bars): self
    {
        $stock = array_map(static function (array $bar) use ($blank, $learners, $kerf): array {
            $entry = [
                'length_mm' => $bar['length_mm'], 'in_stock' => $bar['count'], 'bars' => null, 'layout' => [],
                'waste_mm' => null, 'enough' => false, 'fault' => null,
            ];
            try {
                $plan = CutList::fromFields(
                    Fields::of([
                        'bar_length_mm' => $bar['length_mm'],
                        'kerf_mm' => $kerf->inMm(),
                        'pieces' => [['length_mm' => $blank->inMm(), 'quantity' => $learners]],
                    ]),
                )->compute();
            } catch (CoreException $fault) {
                return [...$entry, 'fault' => $fault->says];
            }

            return [
                ...$entry,
                'bars' => $plan->bars,
                'layout' => $plan->layout,
                'waste_mm' => $plan->waste->inMm(),
                'enough' => $plan->bars <= $bar['count'],
            ];
        }, $bars);
        usort(
            $stock,
            static fn (array $a, array $b): int => [! $a['enough'], $a['waste_mm'] ?? INF] <=> [! $b['enough'], $b['waste_mm'] ?? INF],
        );

        return new self($blank, $learners, $stock);
    }
}
