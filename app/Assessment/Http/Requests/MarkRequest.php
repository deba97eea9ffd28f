<?php

declare(strict_types=1);

namespace App\Assessment\Http\Requests;

use App\Assessment\MarkCriterion;
use App\Assessment\Seat;
use App\Assessment\SheetAttempt;
use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/**
 * One mark, of whoever assesses, of the learner who measures, or of whoever watches.
 *
 * @phpstan-import-type Given from MarkCriterion
 */
final class MarkRequest extends FormRequest
{
    /** A learner measures on their own sheet, and nothing else; whoever teaches marks those of the learners whom they reach. */
    public function authorize(): bool
    {
        $attempt = $this->route('attempt');
        $user = $this->user();
        if (! $attempt instanceof SheetAttempt || ! $user instanceof User) {
            return false;
        }

        return $this->seat() === Seat::Learner && $attempt->learner->is($user) || Gate::allows('teach-learner', $attempt->learner);
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'uuid'],
            'criterion' => ['required', 'string', 'max:80'],
            'seat' => ['required', Rule::enum(Seat::class)],
            'made_at' => ['required', 'date', 'after:2000-01-01', 'before:2100-01-01'],
            'result' => ['nullable'],
            'reading' => ['nullable', 'array:value,dx,dy,x,y,pin,go,no_go,turns'],
            'reading.*' => ['nullable', 'string', 'max:20'],
            'units' => ['nullable', 'in:mm,in'],
            'gauge' => ['nullable', 'string', 'max:80'],
            'declined' => ['nullable', 'boolean'],
            'why' => ['nullable', 'string', 'min:3', 'max:300'],
        ];
    }

    public function seat(): Seat
    {
        $said = $this->input('seat');

        return Seat::tryFrom(is_string($said) ? $said : '') ?? Seat::Assessor;
    }

    /** @return Given */
    public function mark(User $by): array
    {
        $result = $this->input('result');
        /** @var array<string, string|null> $reading */
        $reading = $this->array('reading');

        return [
            'id' => $this->string('id')->value(),
            'criterion' => $this->string('criterion')->value(),
            'made_at' => CarbonImmutable::parse($this->string('made_at')->value()),
            'result' => is_string($result) || is_int($result) ? $result : null,
            'reading' => array_map(static fn (?string $typed): string => $typed ?? '', $reading),
            'units' => $this->input('units') === 'in' ? 'in' : ($this->input('units') === 'mm' ? 'mm' : $by->units),
            'gauge' => $this->filled('gauge') ? $this->string('gauge')->value() : null,
            'declined' => $this->boolean('declined'),
            'why' => $this->filled('why') ? $this->string('why')->value() : null,
        ];
    }
}
