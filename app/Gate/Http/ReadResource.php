<?php

declare(strict_types=1);

namespace App\Gate\Http;

use App\Gate\BadgeRead;
use App\Language\Sentences;
use App\Language\Speech;
use App\Workshop\MaterialRow;
use Carbon\CarbonImmutable;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use MillStep\Core\Competency\Scope;
use MillStep\Core\Workshop\Material;

/** @mixin BadgeRead */
final class ReadResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        // Whoever holds the badge chooses, in their language.
        $says = $this->user === null ? Speech::of($request) : Sentences::in($this->user->language);

        return [
            'id' => $this->id,
            'event' => $this->event,
            'person' => $this->user?->name,
            'language' => $this->user?->language,
            'holder' => $this->holder?->name,
            'decision' => $this->decision,
            'reasons' => $this->reasons,
            // Reads from before needs had parts say nothing here.
            'missing' => array_values(array_filter($this->missing, is_array(...))),
            'refused' => $this->refused,
            'supervisor' => $this->supervisor?->name,
            'asks' => $this->asks,
            'choices' => $this->asks === [] ? null : [
                'materials' => array_values(array_map(
                    static fn (Material $material): array => ['key' => $material->key, 'name' => MaterialRow::called($material, $says)],
                    MaterialRow::everything(),
                )),
                'operations' => Scope::OPERATIONS,
                'supervisors' => $this->supervisors,
            ],
            'scopes' => array_map(static fn (array $scope): object => (object) $scope, $this->scopes),
            'further' => array_map(static fn (array $scope): object => (object) $scope, $this->further),
            'interlock' => $this->allows() ? 'on' : 'off',
            'read_at' => $this->read_at->toIso8601ZuluString('millisecond'),
            'answered_at' => CarbonImmutable::now()->toIso8601ZuluString('millisecond'),
        ];
    }
}
