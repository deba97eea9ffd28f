<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** App\People\User::address: where nobody else has it in that spelling already. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement('UPDATE people_users u SET email = lower(trim(email)) WHERE email <> lower(trim(email))
            AND NOT EXISTS (SELECT 1 FROM people_users o WHERE o.id <> u.id AND lower(trim(o.email)) = lower(trim(u.email)))');
    }
};
