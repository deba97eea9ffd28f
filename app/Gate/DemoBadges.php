<?php

declare(strict_types=1);

namespace App\Gate;

use App\People\User;

/**
 * The codes of the demo's badges. They follow from the person's number so that they can be printed and
 * clicked; a real shop's codes come from its badges and are known here by their hash alone.
 */
final class DemoBadges
{
    public static function code(User $user): string
    {
        return sprintf('MS-%04d', 1000 + $user->id * 7);
    }

    /** @return list<array{name: string, role: string, code: string}> */
    public function all(): array
    {
        return array_values(User::query()->whereIn('id', Badge::query()->select('user_id'))->orderBy('role')->orderBy('name')->get()
            ->map(static fn (User $user): array => ['name' => $user->name, 'role' => $user->role->value, 'code' => self::code($user)])
            ->all());
    }
}
