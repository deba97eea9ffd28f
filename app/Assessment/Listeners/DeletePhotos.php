<?php

declare(strict_types=1);

namespace App\Assessment\Listeners;

use App\Assessment\Photos\Photo;
use App\Assessment\SheetAttempt;
use App\People\Events\PersonForgotten;
use Illuminate\Support\Facades\Storage;

/** Pictures of somebody's work go with their name; the rows are gone already. */
final class DeletePhotos
{
    public function handle(PersonForgotten $forgotten): void
    {
        foreach (SheetAttempt::query()->where('learner_id', $forgotten->userId)->get(['id']) as $attempt) {
            Storage::disk(Photo::DISK)->deleteDirectory($attempt->id);
        }
    }
}
