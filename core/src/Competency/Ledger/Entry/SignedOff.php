<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\Entry;
use MillStep\Core\Competency\Ledger\Fold;
use MillStep\Core\Competency\Ledger\Line;
use MillStep\Core\Competency\Scope;
use MillStep\Core\Competency\Signature;

/** An instructor has signed: for which version, what it covers, until when. It ends a revocation, not a hold. */
final readonly class SignedOff implements Entry
{
    public const SIGNED = true;

    private function __construct(public int $statementVersion, public \DateTimeImmutable $validUntil, public Scope $scope)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            $fields->integer('statement_version', 0),
            $fields->instant('valid_until'),
            Scope::fromFields($fields->objectOrEmpty('scope')),
        );
    }

    public function restricts(): bool
    {
        return false;
    }

    public function foldInto(Fold $fold, Line $line): void
    {
        $fold->signedAt(new Signature($line->id, $line->at, $this->statementVersion, $this->validUntil, $this->scope));
    }
}
