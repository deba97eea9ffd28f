<?php

declare(strict_types=1);

namespace App\Gate;

use App\Competency\Permit;
use App\Gate\Http\ReadResource;
use App\Gate\Screen\Again;
use App\Gate\Screen\KeptAnswers;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** What the machine's screen shows and the interlock does. There is one interlock: on while a turn is open, decided anew right now. */
final class GateState
{
    public function __construct(private readonly ReviewTurn $review)
    {
    }

    /**
     * @param  string  $language  that the screen asks in
     * @return array<string, mixed>
     */
    public function of(Device $device, ?string $nonce, string $language = ''): array
    {
        $token = $device->currentAccessToken();
        // Where a turn was open a moment ago it mostly still is.
        $wasOn = $token instanceof Token && (KeptAnswers::of($token->id, $language)['on'] ?? false);
        $off = $wasOn ? null : Moment::off($device->machine_id);
        [$moment, $session] = $off !== null ? [$off, null] : $this->decided($device->machine_id);
        [$machine, $read] = [$moment->machine, $moment->last];
        $ended = $session === null ? $moment->ended : null;

        $answer = [
            'nonce' => $nonce,
            'answered_at' => CarbonImmutable::now()->toIso8601ZuluString('millisecond'),
            'interlock' => $session === null ? 'off' : 'on',
            'machine' => [
                'slug' => $machine->slug,
                'name' => $machine->name,
                'in_service' => $machine->in_service,
                'service_note' => $machine->service_note,
                'language' => $machine->language,
                'permits' => Permit::neededAt($machine)->pluck('name')->all(),
            ],
            'running' => $session === null ? null : [
                'session' => $session->id,
                'person' => $session->user->name,
                'language' => $session->user->language,
                'companion' => $session->companion?->name,
                'supervisor' => $session->supervisor?->name,
                'decision' => $session->decision,
                'since' => $session->started_at->toIso8601ZuluString(),
                'request' => (object) $session->request,
                'idle_at' => $session->turn($moment->policy)->idleAt()->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z'),
            ],
            'ended' => $ended === null || $ended->ended_at === null ? null : [
                'session' => $ended->id,
                'person' => $ended->user->name,
                'because' => (string) $ended->ended_because,
                'reasons' => $ended->end_reasons,
                'at' => $ended->ended_at->toIso8601ZuluString('millisecond'),
            ],
            'last_read' => $read === null ? null : (new ReadResource($read))->resolve(),
            'device' => ['expires_at' => $device->tokenExpiresAt()?->toIso8601ZuluString()],
        ];
        if ($token instanceof Token && self::lasts($moment, $session)) {
            KeptAnswers::keep($token->id, $language, $device->machine_id, $moment->facts, $answer);
        }

        return $answer;
    }

    /** @return array{Moment, MachineSession|null} */
    private function decided(int $machine): array
    {
        return DB::transaction(/** @return array{Moment, MachineSession|null} */ function () use ($machine): array {
            $moment = Moment::at($machine);
            $session = $this->review->now($moment);

            // What was ended just now is told as it stands then.
            return [$moment->open !== null && $session === null ? Moment::at($machine) : $moment, $session];
        });
    }

    /** Whether by the clock alone nothing ends before the answer is too old to be given again. */
    private static function lasts(Moment $moment, ?MachineSession $session): bool
    {
        $then = $moment->now->addMilliseconds((int) (Again::SECONDS * 1000));

        return $session === null || ($moment->policy->hours->openAt($then) && ! $session->turn($moment->policy)->isAbandoned($then));
    }
}
