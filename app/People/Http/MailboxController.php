<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\Letter;
use Illuminate\Http\JsonResponse;

/** The mailbox page of the demo. Outside the demo there is no such page. */
final class MailboxController
{
    public function index(): JsonResponse
    {
        abort_unless(config('millstep.demo') === true, 404);

        return new JsonResponse(Letter::query()->latest('id')->limit(50)->get()->map(static fn (Letter $letter): array => [
            'id' => $letter->id,
            'recipient' => $letter->recipient,
            'subject' => $letter->subject,
            'body' => $letter->body,
            'sent_at' => $letter->created_at->toIso8601ZuluString(),
        ]));
    }
}
