<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

use MillStep\Core\Border\Result;

final readonly class Review extends Result
{
    /** @param  list<Finding>  $findings stops first */
    public function __construct(public array $findings)
    {
    }

    public function mayStart(): bool
    {
        foreach ($this->findings as $finding) {
            if ($finding->severity === Severity::Stop) {
                return false;
            }
        }

        return true;
    }

    public function toArray(): array
    {
        return [
            'findings' => array_map(static fn (Finding $finding): array => $finding->toArray(), $this->findings),
            'may_start' => $this->mayStart(),
        ];
    }
}
