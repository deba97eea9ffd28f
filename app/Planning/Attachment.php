<?php

declare(strict_types=1);

namespace App\Planning;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A plan that belongs to a lesson or a practical sheet.
 *
 * @property string $plan_id
 * @property 'lesson'|'sheet' $to
 * @property string $code
 * @property Plan|null $plan
 */
final class Attachment extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $table = 'planning_attachments';

    protected $guarded = [];

    /** @return BelongsTo<Plan, $this> */
    public function plan(): BelongsTo
    {
        return $this->belongsTo(Plan::class);
    }

    /**
     * The plans of one lesson or sheet, by name.
     *
     * @param  'lesson'|'sheet'  $to
     * @return list<array{id: string, name: string, kind: string}>
     */
    public static function plansOf(string $to, string $code): array
    {
        return array_values(Plan::query()->whereHas('attachments', static fn ($attachment) => $attachment->where('to', $to)->where('code',
            $code))->orderBy('name')->get()
            ->map(static fn (Plan $plan): array => ['id' => $plan->id, 'name' => $plan->name, 'kind' => $plan->kind->value])->all());
    }
}
