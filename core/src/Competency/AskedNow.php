<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

/**
 * What a permit asks of one learner at an instant: what is asked later is asked of nobody before its day, is spared for a while to
 * whoever was known before, and binds everybody else at its own place.
 */
final readonly class AskedNow
{
    /**
     * @param  Requirement  $requirement  without what is not asked now
     * @param  list<Need>|null  $due  spared and still missing; null where nobody speaks of later needs
     * @param  list<Later>  $overdue  missing after their grace, prerequisites apart
     */
    private function __construct(public Requirement $requirement, public ?array $due, public array $overdue)
    {
    }

    public static function of(Standing $standing, Record $record): self
    {
        $requirement = $standing->requirement;
        if ($requirement->later === null) {
            return new self($requirement, null, []);
        }
        $checks = [...$requirement->checks, ...$requirement->earlierChecks];
        $spared = $due = $overdue = [];
        foreach ($requirement->later as $one) {
            if ($standing->now < $one->from) {
                $spared[] = $one;

                continue;
            }
            if ($standing->isMet($one->need(), $record) || ! $record->knownBefore($one->from, $checks)) {
                continue;
            }
            if ($standing->now >= $one->until) {
                $one->kind === NeedKind::Prerequisite || $overdue[] = $one;
            } elseif ($one->kind !== NeedKind::Prerequisite || ($standing->prerequisites[$one->what] ?? null)?->held !== true) {
                $spared[] = $one;
                $due[] = $one->need();
            }
        }

        return new self($requirement->without($spared), $due, $overdue);
    }
}
