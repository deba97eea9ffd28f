<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\Events\SignedOut;
use App\People\Http\Requests\SignInRequest;
use App\People\SecondFactor;
use App\People\SignIn;
use App\People\User;
use App\Support\Given;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

final class SessionController
{
    private const ASKED = 'people.second_factor';

    /** So long the code may take, in seconds. */
    private const ASKED_S = 300;

    /** Signs in; whoever has a second factor is asked for it first, and nobody is signed in until then. */
    public function store(SignInRequest $request, SignIn $signIn): PersonResource|JsonResponse
    {
        $user = $signIn->check($request->string('email')->value(), $request->string('password')->value(), (string) $request->ip());
        if ($user->totp_confirmed_at !== null) {
            $request->session()
                ->put(
                    self::ASKED,
                    [
                        'user' => $user->id,
                        // A password that is changed meanwhile opens nothing.
                        'password' => hash('sha256', (string) $user->password),
                        'shared' => $request->boolean('shared'),
                        'until' => CarbonImmutable::now()->addSeconds(self::ASKED_S)->getTimestamp(),
                    ],
                );

            return new JsonResponse(['second_factor' => true], 202);
        }

        return self::enter($request, $user, $request->boolean('shared'));
    }

    public function secondFactor(Request $request, SecondFactor $factor): PersonResource
    {
        $request->validate(['code' => ['required', 'string', 'max:40']]);
        /** @var array{user: int, password: string, shared: bool, until: int}|null $asked */
        $asked = $request->session()->get(self::ASKED);
        $user = $asked === null || $asked['until'] < CarbonImmutable::now()->getTimestamp()
            ? null
            : User::query()->where('active', true)->find($asked['user']);
        if ($asked === null || $user === null || ! hash_equals($asked['password'], hash('sha256', (string) $user->password))) {
            throw Refusal::because('sign_in_again');
        }
        $factor->spend($user, $request->string('code')->value());

        return self::enter($request, $user, $asked['shared']);
    }

    public function destroy(Request $request, #[CurrentUser] User $user): Response
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();
        SignedOut::dispatch($user->id, $user->teaches() || $user->audits());

        return response()->noContent();
    }

    /** Where one is signed in: which browser, from where, when it was last used. */
    public function index(Request $request, #[CurrentUser] User $user): JsonResponse
    {
        $rows = DB::table('people_sessions')->where('user_id', $user->id)->orderByDesc('last_activity')->limit(50)->get();

        return new JsonResponse($rows->map(static fn (object $row): array => [
            'id' => self::name(Given::text($row->id)),
            'browser' => Given::text($row->user_agent),
            'address' => Given::text($row->ip_address),
            'last_used_at' => CarbonImmutable::createFromTimestampUTC(Given::whole($row->last_activity))->toIso8601ZuluString(),
            'this_one' => $row->id === $request->session()->getId(),
        ])->all());
    }

    /** Signs out there; `others` for everywhere but here. */
    public function end(Request $request, string $name, #[CurrentUser] User $user): Response
    {
        $mine = DB::table('people_sessions')->where('user_id', $user->id)->where('id', '!=', $request->session()->getId());
        $ids = $mine->pluck('id')->filter(static fn (mixed $id): bool => $name === 'others' || self::name(Given::text($id)) === $name);
        DB::table('people_sessions')->whereIn('id', $ids)->delete();

        return response()->noContent();
    }

    private static function enter(Request $request, User $user, bool $shared): PersonResource
    {
        Auth::login($user);
        $request->session()->forget(self::ASKED);
        $request->session()->regenerate();
        $shared ? LeftAlone::mark($request) : $request->session()->forget(LeftAlone::TOUCHED);

        return new PersonResource($user);
    }

    /** A session's own id would let whoever reads it in. */
    private static function name(string $id): string
    {
        return substr(hash('sha256', $id), 0, 32);
    }
}
