<?php

declare(strict_types=1);

namespace Database\Factories;

use App\People\Role;
use App\People\User;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;

/**
 * Somebody of the shop, a learner where nothing else is said; their password is `mast-and-vane`.
 *
 * @extends Factory<User>
 */
final class UserFactory extends Factory
{
    private const NAMES = ['Auberon', 'Briseis', 'Caspian', 'Dagny', 'Eluned', 'Fenwick'];

    protected $model = User::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        static $next = 0;
        $name = self::NAMES[$next++ % count(self::NAMES)].' '.Str::ucfirst(Str::lower(Str::random(6)));

        return [
            'name' => $name,
            'email' => Str::slug($name).'-'.Str::lower(Str::random(5)).'@millstep.example',
            'password' => self::hashed('mast-and-vane'),
            'role' => Role::Learner,
            'units' => 'mm',
            'active' => true,
        ];
    }

    public function role(Role $role): static
    {
        return $this->state(['role' => $role]);
    }

    /** Teaches every class, with the PIN 2468. */
    public function instructor(): static
    {
        return $this->state(['role' => Role::Instructor, 'pin_hash' => self::hashed('2468'), 'all_cohorts' => true]);
    }

    /** Made once for everybody: it is the slow part of a person. */
    private static function hashed(string $secret): string
    {
        static $made = [];

        return $made[$secret] ??= Hash::make($secret);
    }
}
