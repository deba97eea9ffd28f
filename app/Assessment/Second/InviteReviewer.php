<?php

declare(strict_types=1);

namespace App\Assessment\Second;

use App\Assessment\SheetAttempt;
use App\Assessment\Who\WhoAssesses;
use App\People\User;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use MillStep\Core\Assessment\SecondView;

/**
 * Asks somebody from outside to look at one sheet: whoever has not assessed it, or leads the shop. The link is shown once, to whoever
 * asks; asked again, the one before ends.
 */
final class InviteReviewer
{
    private const TOKEN = 43;

    public function __construct(private readonly WhoAssesses $who)
    {
    }

    /**
     * @return string the link's own part
     *
     * @throws Refusal `not_concluded`, `cancelled`, `own_record`, `not_authorised`, `not_another`, `viewed_already`
     */
    public function __invoke(SheetAttempt $attempt, User $by, string $name): string
    {
        return DB::transaction(function () use ($attempt, $by, $name): string {
            $attempt = SheetAttempt::query()->with(['sheet', 'lines', 'learner'])->lockForUpdate()->findOrFail($attempt->id);
            $attempt->cancelled_at === null || throw Refusal::because('cancelled');
            $attempt->concluded_at !== null || throw Refusal::because('not_concluded');
            $attempt->learner->is($by) && throw Refusal::forbidden('own_record', says: 'own_assessment');
            $by->leads() || $this->who->mustBeAuthorised($by, $attempt);
            // Nobody chooses who looks at their own work; whoever leads may, where there is nobody else.
            $attempt->hadAHandIn($by) && ! $by->leads() && throw Refusal::forbidden('not_another', says: 'not_another_invites');
            $attempt->second_viewed_at === null || throw Refusal::because('viewed_already');
            $token = Str::random(self::TOKEN);
            $now = CarbonImmutable::now();
            Review::query()->where('attempt_id', $attempt->id)->whereNull('said_at')->update(['expires_at' => $now->subSecond()]);
            Review::query()->create([
                'attempt_id' => $attempt->id, 'token_hash' => Review::hash($token), 'name' => $name, 'invited_by' => $by->id,
                'invited_at' => $now, 'expires_at' => $now->addDays(SecondView::LINK_DAYS),
            ]);

            return $token;
        });
    }
}
