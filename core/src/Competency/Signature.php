<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

/** A sign-off as it stands in the ledger: which line it is, what it covers and until when it carries. */
final readonly class Signature
{
    public function __construct(
        public string $id,
        public \DateTimeImmutable $at,
        public int $statementVersion,
        public \DateTimeImmutable $validUntil,
        public Scope $scope,
    ) {
    }
}
