<?php

declare(strict_types=1);

namespace App\People\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class SignInRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'email', 'max:255'],
            'password' => ['required', 'string', 'max:255'],
            // A tablet that others use too: left alone, it signs out.
            'shared' => ['boolean'],
        ];
    }
}
