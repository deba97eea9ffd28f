<?php

declare(strict_types=1);

namespace App\People;

/** Who teaches and is on the floor now; the gate knows. */
interface OnTheFloor
{
    public function has(User $user): bool;
}
