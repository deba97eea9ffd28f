<?php

declare(strict_types=1);

namespace App\Planning\Http;

use App\Language\Speech;
use App\People\User;
use App\Planning\Attachment;
use App\Planning\Plan;
use App\Planning\Planned;
use App\Support\Given;
use App\Workshop\ShopAtHand;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Validation\ValidationException;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Plan\PlanChanges;
use MillStep\Core\Planning\Plan\PlanResult;

/** A saved plan: as it was asked for, as it comes out now, and what differs from when it was saved. */
final class PlanResource extends JsonResource
{
    public static $wrap = null;

    public function __construct(private readonly Plan $plan, private readonly User $user)
    {
        parent::__construct($plan);
    }

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        [$now, $fault] = $this->now();

        return [
            ...self::entry($this->plan, $this->user),
            'request' => (object) $this->plan->request,
            'part_slug' => $this->plan->part?->slug,
            'lessons' => $this->codes('lesson'),
            'sheets' => $this->codes('sheet'),
            'answer' => $now?->toArray(),
            'fault' => $fault,
            'since' => $now?->result instanceof PlanResult && isset($this->plan->answer['plan'])
                ? PlanChanges::between(Given::fields($this->plan->answer['plan']), $now->compared())->toArray()
                : null,
        ];
    }

    /** @return array<string, mixed> of the list */
    public static function entry(Plan $plan, User $user): array
    {
        $heading = Given::fields($plan->answer['heading'] ?? null);

        return [
            'id' => $plan->id,
            'name' => $plan->name,
            'kind' => $plan->kind->value,
            'what' => Message::read($heading['what'] ?? ''),
            'machine' => $heading['machine'] ?? null,
            'ready' => Given::fields($plan->answer['plan'] ?? $plan->answer['layout'] ?? null)['ready'] ?? false,
            'part' => $plan->part?->name,
            'owner' => $plan->owner->name,
            'saved_at' => $plan->updated_at->toIso8601ZuluString(),
            'yours' => $user->can('update', $plan),
        ];
    }

    /** @return array{Planned|null, string|null} what it comes to today, or why it cannot be planned any more */
    private function now(): array
    {
        try {
            return [$this->plan->planNow(new ShopAtHand), null];
        } catch (CoreException $fault) {
            return [null, Speech::say($fault->says)];
        } catch (ValidationException $fault) {
            return [null, $fault->getMessage()];
        }
    }

    /** @return list<string> */
    private function codes(string $to): array
    {
        return array_values(
            $this->plan->attachments->filter(static fn (Attachment $attachment): bool => $attachment->to === $to)
                ->map(static fn (Attachment $attachment): string => $attachment->code)
                ->sort()
                ->all(),
        );
    }
}
