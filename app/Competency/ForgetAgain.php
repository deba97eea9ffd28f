<?php

declare(strict_types=1);

namespace App\Competency;

use App\Competency\Texts\Forgotten;
use App\People\ForgetPerson;
use App\People\Role;
use App\People\User;
use Illuminate\Console\Command;

/** In a database that was put back: forgets again whoever was forgotten after it was dumped. bin/restore does it before the shop starts. */
final class ForgetAgain extends Command
{
    protected $signature = 'people:forget-again';

    protected $description = 'Forget again, in a restored database, whoever was forgotten since';

    public function handle(Forgotten $forgotten, ForgetPerson $forget): int
    {
        $said = $forgotten->said();
        $lead = User::query()->where('role', Role::Lead)->where('active', true)->orderBy('id')->first();
        $again = 0;
        foreach ($forgotten->noted() as $person) {
            if (isset($said[$person->id]) && $person->forgotten_at !== null) {
                continue;
            }
            if ($lead === null) {
                $this->error('Nobody leads this shop, so nobody can be named for it. Make a lead first.');

                return self::FAILURE;
            }
            // Who came back to life with the backup was not here any more when they were forgotten.
            $person->active && $person->update(['active' => false]);
            $forget->again($person, $lead);
            $again++;
        }
        $this->info("$again people were forgotten again.");

        return self::SUCCESS;
    }
}
