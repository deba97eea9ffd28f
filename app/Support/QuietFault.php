<?php

declare(strict_types=1);

namespace App\Support;

/** What the database said, without what it quoted. */
final class QuietFault extends \PDOException
{
    /** @param  array<int, mixed>|null  $errorInfo */
    public function __construct(string $message, int|string $code, ?array $errorInfo)
    {
        parent::__construct($message);
        // A SQLSTATE is no number, which the parent's constructor wants.
        $this->code = $code;
        $this->errorInfo = $errorInfo;
    }
}
