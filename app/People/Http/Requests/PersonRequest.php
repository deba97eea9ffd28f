<?php

declare(strict_types=1);

namespace App\People\Http\Requests;

use App\Language\Sentences;
use App\People\Role;
use App\People\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What is known of a person. Whether one may send it, the route says. */
final class PersonRequest extends FormRequest
{
    protected function prepareForValidation(): void
    {
        $email = $this->input('email');
        is_string($email) && $this->merge(['email' => User::address($email)]);
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $person = $this->route('person');
        $taken = Rule::unique('people_users', 'email');

        return [
            'name' => ['required', 'string', 'max:80'],
            'email' => ['bail', 'required', 'string', 'email', 'max:255', $person instanceof User ? $taken->ignore($person->id) : $taken],
            'role' => ['required', Rule::enum(Role::class)],
            'language' => ['sometimes', 'required', Rule::in(Sentences::LANGUAGES)],
            'cohorts' => ['sometimes', 'array', 'max:50'],
            'cohorts.*' => ['integer', 'between:1,9007199254740991', 'exists:people_cohorts,id'],
            'all_cohorts' => ['boolean'],
            'born_on' => ['bail', 'nullable', 'string', 'date_format:Y-m-d', 'before:today', 'after:1900-01-01'],
            'guardian_acknowledged_on' => ['bail', 'nullable', 'string', 'date_format:Y-m-d', 'before_or_equal:today', 'after:1900-01-01'],
            'invite' => ['boolean'],
        ];
    }

    /**
     * @return array{name: string, email: string, role: string, cohorts?: list<int>, all_cohorts?: bool, born_on?: string|null,
     *     guardian_acknowledged_on?: string|null, language?: string}
     */
    public function person(): array
    {
        /** @var array<string, mixed> $given */
        $given = $this->validated();

        /** @var array{name: string, email: string, role: string} */
        return array_diff_key($given, ['invite' => 0]);
    }
}
