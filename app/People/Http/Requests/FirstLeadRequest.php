<?php

declare(strict_types=1);

namespace App\People\Http\Requests;

use App\Language\Sentences;
use App\People\GoodPassword;
use App\People\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Whoever makes the shop's first account, with the code that the start printed. */
final class FirstLeadRequest extends FormRequest
{
    protected function prepareForValidation(): void
    {
        is_string($this->input('email')) && $this->merge(['email' => User::address($this->input('email'))]);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'code' => ['required', 'string', 'max:60'],
            'name' => ['required', 'string', 'max:80'],
            'email' => ['bail', 'required', 'string', 'email', 'max:255', 'unique:people_users,email'],
            'password' => ['required', 'string', new GoodPassword($this->input('name'), $this->input('email'))],
            'language' => ['required', Rule::in(Sentences::LANGUAGES)],
            'units' => ['required', 'in:mm,in'],
        ];
    }
}
