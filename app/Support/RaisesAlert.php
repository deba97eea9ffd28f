<?php

declare(strict_types=1);

namespace App\Support;

/** Something that lead and auditor must be told at once: on their screens until one of them has seen it, and by letter. */
interface RaisesAlert extends HappensAfterCommit
{
    /**
     * @return 'ledger_broken'|'ledger_doubtful'|'badges_guessed'|'clock_set_back'|'token_reused'|'look_disowned'
     *     |'sheet_put_away'|'outcome_appealed'
     */
    public function kind(): string;

    /** @return array<string, mixed> terms of its words */
    public function facts(): array;
}
