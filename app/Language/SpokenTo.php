<?php

declare(strict_types=1);

namespace App\Language;

/** Somebody who is spoken to: in their language, and with lengths in their units. */
interface SpokenTo
{
    /** @return string one that Sentences knows */
    public function speaks(): string;

    /** @return 'mm'|'in' */
    public function measuresIn(): string;
}
