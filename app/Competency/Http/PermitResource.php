<?php

declare(strict_types=1);

namespace App\Competency\Http;

use App\Competency\Authorisation;
use App\Competency\Permit;
use App\Support\Given;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Permit */
final class PermitResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $last = $this->statements->sortByDesc('version')->first();

        return [
            'code' => $this->code,
            // As they were written: what is changed is changed in its own words, whatever language is spoken.
            'name' => $this->getRawOriginal('name'),
            'title' => $this->name,
            'requirement' => [
                'lessons' => $this->requirement['lessons'] ?? [],
                'guided' => $this->requirement['guided'] ?? [],
                'checks' => $this->requirement['checks'] ?? [],
                'practice_count' => $this->requirement['practice_count'] ?? 0,
                'practice_minutes' => $this->requirement['practice_minutes'] ?? 0,
                'assessments' => $this->requirement['assessments'] ?? [],
                'prerequisites' => $this->requirement['prerequisites'] ?? [],
                'recency_days' => $this->requirement['recency_days'] ?? null,
                'renewal_check_days' => $this->requirement['renewal_check_days'] ?? null,
            ],
            'scope' => (object) $this->scope,
            'validity_days' => $this->validity_days,
            'further' => $this->further ?? false,
            'machine_kinds' => $this->machine_kinds ?? [],
            'machines' => $this->machines->modelKeys(),
            'signers' => $this->signers->modelKeys(),
            'authorisations' => array_values($this->authorisations->map(static fn (Authorisation $one): array => [
                'person_id' => $one->user_id,
                'from' => $one->ground === null ? null : $one->valid_from->toIso8601ZuluString(),
                'until' => $one->valid_until?->toIso8601ZuluString(),
                'machines' => $one->machines,
                'ground' => $one->ground,
                'by' => $one->giver?->name,
            ])->all()),
            'supervisors' => $this->supervisors->modelKeys(),
            'statement' => Given::text($last?->getRawOriginal('body')),
            'statement_version' => $last->version ?? 0,
            'statement_since' => $last?->in_force_from->toIso8601ZuluString(),
            'statement_grace_until' => $last?->grace_until?->toIso8601ZuluString(),
            'later' => array_map(static fn (array $later): array => array_intersect_key(
                $later,
                ['kind' => 0, 'what' => 0, 'from' => 0, 'until' => 0],
            ), Given::rows($this->requirement['later'] ?? [])),
        ];
    }
}
