<?php

declare(strict_types=1);

namespace App\Practice\Http\Requests;

use App\People\User;
use App\Policy\Policy;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;

/** What a learner did at a machine, as they enter it. */
final class EntryRequest extends FormRequest
{
    private const DAYS_BACK = 92;

    public function authorize(): bool
    {
        $user = $this->user();

        return $user instanceof User && $user->learns();
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
        ];
    }

    /** @return array{id: string, exercise: string, minutes: int, done_on: string, note?: string|null, permit?: string|null} */
    public function entry(): array
    {
        /** @var array{id: string, exercise: string, minutes: int, done_on: string, note?: string|null, permit?: string|null} */
        return $this->safe(['id', 'exercise', 'minutes', 'done_on', 'note', 'permit']);
    }
}
