<?php

declare(strict_types=1);

namespace App\People\ClassList;

use MillStep\Core\Border\Message;

/** What a list says of one person, as far as it says it. */
final readonly class Row
{
    /**
     * @param  int  $line  of the file, from 1
     * @param  list<string>  $cohorts  names
     * @param  string|null  $born  as 2009-05-31
     * @param  string|null  $guardian  the day a guardian acknowledged, as above
     * @param  list<Message>  $faults
     */
    public function __construct(
        public int $line,
        public string $name,
        public string $email,
        public array $cohorts = [],
        public ?string $born = null,
        public ?string $guardian = null,
        #[\SensitiveParameter] public ?string $badge = null,
        public ?string $sisId = null,
        public array $faults = [],
    ) {
    }
}
