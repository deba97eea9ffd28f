<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\FirstLead;
use App\People\Http\Requests\FirstLeadRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Auth;

/** The first lead makes an account, and is signed in. */
final class FirstLeadController
{
    public function __invoke(FirstLeadRequest $request, FirstLead $first): JsonResponse
    {
        /** @var array{name: string, email: string, password: string, language: string, units: string} $given */
        $given = $request->safe(['name', 'email', 'password', 'language', 'units']);
        $lead = $first->claim($request->string('code')->value(), $given);
        Auth::login($lead);
        $request->session()->regenerate();

        return (new PersonResource($lead))->response()->setStatusCode(201);
    }
}
