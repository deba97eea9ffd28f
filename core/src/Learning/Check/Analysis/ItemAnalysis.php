<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check\Analysis;

/**
 * How each question of a check fared over all papers: who knew it, what was chosen instead, and whether those who knew it
 * were those who knew the rest. The last is the point-biserial correlation of right or wrong with the share of the paper's
 * other questions that were right; below nought the question misleads those who know most.
 */
final readonly class ItemAnalysis
{
    /** Below so many answers nothing is said of a question. */
    public const LEAST = 8;

    /** Below this correlation a question tells little. A usual rule of thumb. */
    public const TELLS_LITTLE = 0.15;

    /**
     * @param  list<array<string, ItemAnswer>>  $papers  answers by question, paper by paper
     * @return array<string, ItemFigures> by question, those that mislead first, then by success
     */
    public static function of(array $papers): array
    {
        $rows = [];
        foreach ($papers as $answers) {
            $right = count(array_filter($answers, static fn (ItemAnswer $answer): bool => $answer->right));
            foreach ($answers as $question => $answer) {
                $others = count($answers) - 1;
                $rows[$question][] = [$answer, $others === 0 ? null : ($right - ($answer->right ? 1 : 0)) / $others];
            }
        }
        $figures = array_map(self::figures(...), $rows);
        $rank = [ItemVerdict::Misleads->value => 0, ItemVerdict::TellsLittle->value => 1];
        uasort($figures, static fn (ItemFigures $one, ItemFigures $other): int => [
            $rank[$one->verdict->value] ?? 2, $one->success,
        ] <=> [$rank[$other->verdict->value] ?? 2, $other->success]);

        return $figures;
    }

    /** @param  non-empty-list<array{ItemAnswer, float|null}>  $rows  each with the share of the rest that was right */
    private static function figures(array $rows): ItemFigures
    {
        $asked = count($rows);
        $right = count(array_filter($rows, static fn (array $row): bool => $row[0]->right));
        $wrong = [];
        foreach ($rows as [$answer]) {
            foreach ($answer->right ? [] : $answer->chosen as $chosen) {
                $wrong[$chosen] = ($wrong[$chosen] ?? 0) + 1;
            }
        }
        arsort($wrong);
        $correlation = self::correlation(array_values(array_filter($rows, static fn (array $row): bool => $row[1] !== null)));

        return new ItemFigures($asked, $right, $right / $asked, $wrong, $correlation, match (true) {
            $asked < self::LEAST => ItemVerdict::TooFew,
            $right === $asked => ItemVerdict::AllRight,
            $right === 0 => ItemVerdict::NoneRight,
            $correlation === null => ItemVerdict::TellsLittle,
            $correlation < 0 => ItemVerdict::Misleads,
            $correlation < self::TELLS_LITTLE => ItemVerdict::TellsLittle,
            default => ItemVerdict::Tells,
        });
    }

    /**
     * Pearson's, of right (1) or wrong (0) with the rest; null where either never differs.
     *
     * @param  list<array{ItemAnswer, float|null}>  $rows
     */
    private static function correlation(array $rows): ?float
    {
        $count = count($rows);
        if ($count < 2) {
            return null;
        }
        $items = array_map(static fn (array $row): float => $row[0]->right ? 1.0 : 0.0, $rows);
        $rests = array_map(static fn (array $row): float => (float) $row[1], $rows);
        $meanItem = array_sum($items) / $count;
        $meanRest = array_sum($rests) / $count;
        $together = $ofItem = $ofRest = 0.0;
        foreach ($items as $at => $item) {
            $together += ($item - $meanItem) * ($rests[$at] - $meanRest);
            $ofItem += ($item - $meanItem) ** 2;
            $ofRest += ($rests[$at] - $meanRest) ** 2;
        }

        return $ofItem < 1e-12 || $ofRest < 1e-12 ? null : max(-1.0, min(1.0, $together / sqrt($ofItem * $ofRest)));
    }
}
