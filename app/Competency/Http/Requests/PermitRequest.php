<?php

declare(strict_types=1);

namespace App\Competency\Http\Requests;

use App\Competency\AskedLater;
use App\Measure\LengthInput;
use App\Policy\Policy;
use App\Support\Given;
use App\Workshop\MaterialRow;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;
use MillStep\Core\Competency\Scope;

/** What a permit asks for and covers, as the editor sends it. */
final class PermitRequest extends FormRequest
{
    protected function prepareForValidation(): void
    {
        $code = $this->route('code');
        $this->merge(['code' => is_string($code) ? $code : null]);
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $codes = ['present', 'array', 'max:200'];
        $number = ['required', 'integer'];

        return [
            'code' => ['required', 'string', 'max:60', 'regex:/^[a-z0-9]+(-[a-z0-9]+)*$/'],
            'name' => ['required', 'string', 'max:120'],
            'requirement' => ['required', 'array'],
            'requirement.lessons' => $codes, 'requirement.lessons.*' => ['string', 'max:60'],
            'requirement.guided' => $codes, 'requirement.guided.*' => ['string', 'max:60'],
            'requirement.checks' => $codes, 'requirement.checks.*' => ['string', 'max:60'],
            'requirement.assessments' => $codes, 'requirement.assessments.*' => ['string', 'max:60'],
            'requirement.prerequisites' => $codes, 'requirement.prerequisites.*' => ['string', 'max:60'],
            'requirement.practice_count' => [...$number, 'between:0,100'],
            'requirement.practice_minutes' => [...$number, 'between:0,100000'],
            'requirement.recency_days' => ['nullable', 'integer', 'between:1,3650'],
            'requirement.renewal_check_days' => ['nullable', 'integer', 'between:1,3650'],
            'scope' => ['present', 'array'],
            // What a scope does not limit it covers: so every one says what it is for.
            'scope.materials' => ['required', 'array', 'min:1', 'max:200'],
            'scope.materials.*' => ['string', 'in:'.implode(',', array_keys(MaterialRow::everything()))],
            'scope.operations' => ['required', 'array', 'min:1'],
            'scope.operations.*' => ['string', 'in:'.implode(',', Scope::OPERATIONS)],
            'scope.max_diameter' => ['nullable', 'string', 'max:20'],
            'scope.min_thickness' => ['nullable', 'string', 'max:20'],
            'scope.companion' => ['boolean'],
            'validity_days' => [...$number, 'between:1,3650'],
            'further' => ['boolean'],
            'statement' => ['required', 'string', 'min:20', 'max:10000'],
            'grace_days' => ['integer', 'between:0,365'],
            'later_days' => ['integer', 'between:0,730'],
            'machines' => ['present', 'array', 'max:200'],
            'machines.*' => ['integer', 'between:1,9007199254740991', 'exists:workshop_machines,id'],
            'signers' => ['present', 'array', 'max:200'],
            'signers.*' => ['integer', 'between:1,9007199254740991', 'exists:people_users,id'],
            'authorising.ground' => ['nullable', 'string', 'max:300'],
            'authorising.until' => ['nullable', 'date_format:Y-m-d', 'after_or_equal:today', 'before:2200-01-01'],
            'authorising.machines' => ['nullable', 'array', 'max:200'],
            'authorising.machines.*' => ['integer', 'between:1,9007199254740991', 'exists:workshop_machines,id'],
            'supervisors' => ['array', 'max:200'],
            'supervisors.*' => ['integer', 'between:1,9007199254740991', 'exists:people_users,id'],
            'preview' => ['boolean'],
        ];
    }

    /**
     * Lengths as they were typed, in whatever unit they name.
     *
     * @param  'mm'|'in'  $units  of a length that names none
     * @return array{code: string, name: string, requirement: array<string, mixed>, scope: array<string, mixed>, validity_days: int,
     *     statement: string, grace_days: int, later_days: int, further?: bool, machines: list<int>, signers: list<int>,
     *     authorising?: array{ground: string, until: CarbonImmutable|null, machines: list<int>}, supervisors?: list<int>}
     */
    public function definition(string $code, string $units): array
    {
        /** @var array<string, mixed> $given */
        $given = $this->validated();
        $said = static fn (mixed $value): bool => $value !== null;
        $typed = new LengthInput($this, $units);
        /** @var array<string, mixed> $scope */
        $scope = $given['scope'];

        /** @var array{code: string, name: string, requirement: array<string, mixed>, scope: array<string, mixed>, validity_days: int,
         *     statement: string, grace_days: int, later_days: int, further?: bool, machines: list<int>, signers: list<int>,
         *     authorising?: array{ground: string, until: CarbonImmutable|null, machines: list<int>}, supervisors?: list<int>} */
        return [
            ...array_diff_key($given, ['preview' => 0, 'authorising' => 0]),
            'code' => $code,
            'requirement' => array_filter((array) $given['requirement'], $said),
            'scope' => array_filter([
                ...array_intersect_key($scope, ['materials' => 0, 'operations' => 0]),
                'max_diameter_mm' => $typed->lengthOrNull('scope.max_diameter'),
                'min_thickness_mm' => $typed->lengthOrNull('scope.min_thickness'),
                'companion' => $this->boolean('scope.companion') ? true : null,
            ], $said),
            'statement' => trim(Str::replace("\r\n", "\n", $this->string('statement')->value())),
            'grace_days' => $this->integer('grace_days'),
            'later_days' => $this->integer('later_days', AskedLater::DAYS),
            ...$this->authorising(),
            ...($this->has('further') ? ['further' => $this->boolean('further')] : []),
        ];
    }

    /** @return array{authorising?: array{ground: string, until: CarbonImmutable|null, machines: list<int>}} for who is named anew */
    private function authorising(): array
    {
        if (! $this->filled('authorising.ground')) {
            return [];
        }
        $until = $this->string('authorising.until')->value();

        return ['authorising' => [
            'ground' => trim($this->string('authorising.ground')->value()),
            'until' => $until === '' ? null : CarbonImmutable::instance(Policy::inForce()->hours->endOfDate($until)),
            'machines' => array_map(Given::whole(...), array_values((array) $this->input('authorising.machines', []))),
        ]];
    }
}
