<?php

declare(strict_types=1);

namespace App\Planning\Http;

use App\Planning\PlanKind;
use App\Support\Given;
use App\Workshop\Part;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A plan with its name, what it is for, and the request that it answers. */
final class SavePlanRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'kind' => ['required', Rule::enum(PlanKind::class)],
            'request' => ['required', 'array'],
            'part' => ['nullable', 'string', 'exists:workshop_parts,slug'],
            'lessons' => ['array'],
            'lessons.*' => ['string', 'exists:learning_lessons,code'],
            'sheets' => ['array'],
            'sheets.*' => ['string', 'exists:assessment_sheets,code'],
        ];
    }

    /**
     * @return array{name: string, kind: PlanKind, request: array<string, mixed>, part_id: int|null, lessons: list<string>,
     *     sheets: list<string>}
     */
    public function given(): array
    {
        $kind = PlanKind::from($this->string('kind')->value());
        /** @var array<string, mixed> $wanted */
        $wanted = validator($this->array('request'), $kind->wanted()::rules())->validate();

        return [
            'name' => $this->string('name')->value(),
            'kind' => $kind,
            'request' => $wanted,
            'part_id' => $this->filled('part') ? Part::query()->where('slug', $this->string('part')->value())->first()?->id : null,
            'lessons' => Given::texts($this->array('lessons')),
            'sheets' => Given::texts($this->array('sheets')),
        ];
    }
}
