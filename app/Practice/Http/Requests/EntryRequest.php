<?php

declare(strict_types=1);

namespace App\Practice\Http\Requests;

use App\People\User;
use App\Policy\Policy;
use App\Practice\Entry;
use App\Practice\LogPractice;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/**
 * What a learner did at a machine, as they enter it.
 *
 * @phpstan-import-type Exercise from LogPractice
 */
final class EntryRequest extends FormRequest
{
    private const DAYS_BACK = 92;

    public function authorize(): bool
    {
        $user = $this->user();

        return $user instanceof User && ($user->learns() || ($this->isMethod('PUT') && $user->teaches()));
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $today = Policy::inForce()->hours->dateAt(CarbonImmutable::now());

        return [
            'id' => ['required', 'uuid'],
            'machine' => ['required', 'string', 'exists:workshop_machines,slug'],
            'exercise' => ['required', 'string', 'min:3', 'max:120'],
            'minutes' => ['required', 'integer', 'between:5,480'],
            // Today is the shop's today.
            'done_on' => [
                'bail',
                'required',
                'string',
                'date_format:Y-m-d',
                "before_or_equal:$today",
                // Older than a term is nobody's memory of minutes.
                'after_or_equal:'.CarbonImmutable::parse($today)->subDays(self::DAYS_BACK)->format('Y-m-d'),
            ],
            'permit' => ['nullable', 'string', 'max:60'],
            'note' => ['nullable', 'string', 'max:1000'],
            'plan' => ['nullable', 'uuid', 'exists:planning_plans,id'],
            'turn' => ['nullable', 'uuid'],
            'chip' => ['nullable', Rule::in(Entry::CHIPS)],
            'readings' => ['nullable', 'string', 'max:300'],
            'mishap' => ['nullable', 'string', 'max:600'],
            // An instructor who changes what somebody else wrote says why.
            'why' => [$this->byTeacher() ? 'required' : 'nullable', 'string', 'min:3', 'max:300'],
        ];
    }

    private function byTeacher(): bool
    {
        $user = $this->user();

        return $user instanceof User && $user->teaches();
    }

    /** @return Exercise */
    public function entry(): array
    {
        /** @var Exercise */
        return $this->safe(['id', 'exercise', 'minutes', 'done_on', 'note', 'permit', 'plan', 'turn', 'chip', 'readings', 'mishap']);
    }
}
