<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Language\Sentences;
use App\People\FirstLead;
use App\People\GoodPassword;
use App\People\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\Rule;

/** The first lead makes an account, and is signed in. */
final class FirstLeadController
{
    public function __invoke(Request $request, FirstLead $first): JsonResponse
    {
        is_string($request->input('email')) && $request->merge(['email' => User::address($request->input('email'))]);
        /** @var array{code: string, name: string, email: string, password: string, language: string, units: string} $given */
        $given = $request->validate([
            'code' => ['required', 'string', 'max:60'],
            'name' => ['required', 'string', 'max:80'],
            'email' => ['bail', 'required', 'string', 'email', 'max:255', 'unique:people_users,email'],
            'password' => ['required', 'string', new GoodPassword($request->input('name'), $request->input('email'))],
            'language' => ['required', Rule::in(Sentences::LANGUAGES)],
            'units' => ['required', 'in:mm,in'],
        ]);
        $lead = $first->claim($given['code'], [
            'name' => $given['name'], 'email' => $given['email'], 'password' => $given['password'],
            'language' => $given['language'], 'units' => $given['units'],
        ]);
        Auth::login($lead);
        $request->session()->regenerate();

        return (new PersonResource($lead))->response()->setStatusCode(201);
    }
}
