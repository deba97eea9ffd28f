<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check;

/**
 * When a check may be tried again: after the policy's wait, and no more often in 24 hours than it allows, so that there is
 * time to look at the lessons and guessing does not help.
 */
final readonly class Retake
{
    public function __construct(private int $waitMinutes, private int $triesADay)
    {
    }

    /**
     * @param  list<\DateTimeImmutable>  $handedIn  when earlier tries were handed in, the earliest first
     * @return \DateTimeImmutable|null null where one may try now
     */
    public function waitsUntil(array $handedIn, \DateTimeImmutable $now): ?\DateTimeImmutable
    {
        $count = count($handedIn);
        if ($count === 0) {
            return null;
        }
        $again = $handedIn[$count - 1]->add(new \DateInterval("PT{$this->waitMinutes}M"));
        if ($count >= $this->triesADay) {
            $again = max($again, $handedIn[$count - $this->triesADay]->add(new \DateInterval('PT24H')));
        }

        return $again > $now ? $again : null;
    }
}
