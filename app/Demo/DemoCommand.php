<?php

declare(strict_types=1);

namespace App\Demo;

use App\People\User;
use Illuminate\Console\Command;

/** Loads the demo shop, tells whether there is anything yet, and says how to sign in. */
final class DemoCommand extends Command
{
    protected $signature = 'millstep:demo {--is-empty : say yes when nobody is recorded yet} {--accounts : '
        .'count the demo accounts that are active} {--sign-ins : print the demo sign-ins}';

    protected $description = 'Load the demo data into an empty database';

    public function handle(DemoShop $shop): int
    {
        if ($this->option('is-empty')) {
            $this->line(User::query()->exists() ? 'no' : 'yes');

            return self::SUCCESS;
        }
        if ($this->option('accounts')) {
            $this->line((string) User::query()->where('active', true)->where('email', 'like', '%@millstep.example')->count());

            return self::SUCCESS;
        }
        if ($this->option('sign-ins')) {
            if (config('millstep.demo') === true) {
                $this->printSignIns();
            }

            return self::SUCCESS;
        }
        if (User::query()->exists()) {
            $this->error('There are people recorded here already. bin/start --fresh clears everything and reloads the demo data.');

            return self::FAILURE;
        }
        $shop->load();

        return self::SUCCESS;
    }

    private function printSignIns(): void
    {
        $this->newLine();
        $this->line('  Demo sign-ins, all with the password  '.DemoShop::PASSWORD);
        $this->line('    shop lead    lead@millstep.example         PIN '.DemoShop::PIN);
        $this->line('    instructor   instructor@millstep.example   PIN '.DemoShop::PIN);
        $this->line('    learner      learner@millstep.example');
        $this->line('    auditor      auditor@millstep.example');
        $this->newLine();
    }
}
