<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\GoodPassword;
use App\People\OwnPassword;
use App\People\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

final class PasswordController
{
    /** The owner changes it, and says the old one; whoever knew that is out everywhere but here. */
    public function update(Request $request, OwnPassword $own, #[CurrentUser] User $user): Response
    {
        /** @var array{password: string, new_password: string} $given */
        $given = $request->validate([
            'password' => ['required', 'string', 'max:255'],
            'new_password' => ['required', 'string', new GoodPassword($user->name, $user->email)],
        ]);
        $own->check($user, $given['password']);
        DB::transaction(static function () use ($user, $given, $request): void {
            $user->forceFill(['password' => $given['new_password'], 'remember_token' => Str::random(60)])->save();
            DB::table('people_sessions')->where('user_id', $user->id)->where('id', '!=', $request->session()->getId())->delete();
        });

        return response()->noContent();
    }
}
