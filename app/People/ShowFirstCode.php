<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\Config;

/** What bin/start prints while nobody leads the shop: where its first lead makes an account, and the code for it. */
final class ShowFirstCode extends Command
{
    protected $signature = 'people:first-code';

    protected $description = 'Print a new one-time code with which the first shop lead makes an account';

    public function handle(FirstLead $first): int
    {
        $code = $first->code();
        if ($code !== null) {
            $this->line('  Nobody leads this shop yet. Its first lead makes an account at');
            $this->line('    '.rtrim(Config::string('app.url'), '/')."/first#code=$code");
            $this->line("  The code works once, and only until the next one is printed: $code");
        }

        return self::SUCCESS;
    }
}
