<?php

declare(strict_types=1);

namespace App\Competency\Listeners;

use App\Competency\Authorise;
use App\Competency\Permit;
use App\People\Events\RoleChanged;
use App\People\User;

/** Whoever teaches no longer signs no longer. Until this is done the role alone keeps them from it. */
final class EndAuthorisations
{
    public function __construct(private readonly Authorise $authorise)
    {
    }

    public function handle(RoleChanged $changed): void
    {
        $person = User::query()->findOrFail($changed->userId);
        if ($person->teaches()) {
            return;
        }
        $by = User::query()->findOrFail($changed->byId);
        foreach (Permit::query()->whereRelation('authorisations', 'user_id', $person->id)->get() as $permit) {
            $this->authorise->end($permit, $person, $by);
        }
    }
}
