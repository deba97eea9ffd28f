<?php

declare(strict_types=1);

namespace App\Content;

use App\Competency\Permit;
use App\Gate\Badge;
use App\Gate\Device;
use App\Learning\Lesson;
use App\People\Role;
use App\People\User;
use App\Policy\Policy;
use App\Policy\Shop;
use App\Workshop\Crib;
use App\Workshop\Machine;

/** The way of a new shop from nothing to its first learner at a machine: what is done of it, in the order that helps. */
final class SetUp
{
    /** @return array<string, bool> */
    public static function steps(): array
    {
        return [
            'shop' => Shop::query()->exists(),
            'policy' => Policy::current() !== null,
            'cribs' => Crib::query()->exists(),
            'machines' => Machine::query()->exists(),
            'content' => Lesson::query()->exists(),
            'people' => User::query()->where('role', Role::Learner)->where('active', true)->exists()
                && User::query()->whereIn('role', [Role::Lead, Role::Instructor])->where('active', true)->whereNotNull('pin_hash')
                    ->exists(),
            'permits' => Permit::query()->whereHas('machines')->whereHas('signers')->exists(),
            'badges' => Badge::query()->where('active', true)->whereRelation('user', 'role', Role::Learner)->exists(),
            'screens' => Device::query()->whereNull('revoked_at')->exists(),
        ];
    }
}
