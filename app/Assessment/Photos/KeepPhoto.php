<?php

declare(strict_types=1);

namespace App\Assessment\Photos;

use App\Assessment\Events\CriterionMarked;
use App\Assessment\SheetAttempt;
use App\People\User;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Keeps a photograph with a sheet, made small. Sent again it is the same one. */
final class KeepPhoto
{
    private const MOST = 40;

    /**
     * @param  string  $bytes  of the file
     *
     * @throws Refusal `cancelled`, `no_criterion`, `id_used`, `enough_pictures`, `picture_not_kept` or a picture's
     */
    public function __invoke(
        SheetAttempt $attempt,
        User $by,
        string $id,
        ?string $criterion,
        string $bytes,
        CarbonImmutable $at,
    ): Photo {
        $sum = hash('sha256', $bytes);
        $known = Photo::query()->find($id);
        if ($known !== null) {
            return [$known->attempt_id, $known->sha256] === [$attempt->id, $sum] ? $known : throw Refusal::idUsed();
        }
        if ($criterion !== null && $attempt->criterion($criterion) === null) {
            throw Refusal::because('no_criterion', ['criterion' => $criterion]);
        }
        $small = SmallPicture::of($bytes);

        return DB::transaction(static function () use ($attempt, $by, $id, $criterion, $sum, $small, $at): Photo {
            $attempt = SheetAttempt::query()->lockForUpdate()->findOrFail($attempt->id);
            $attempt->cancelled_at === null || $attempt->mustBeOpen();
            if (Photo::query()->where('attempt_id', $attempt->id)->count() >= self::MOST) {
                throw Refusal::because('enough_pictures', ['count' => self::MOST]);
            }
            $path = "{$attempt->id}/$id.jpg";
            Storage::disk(Photo::DISK)->put($path, $small->jpeg) || throw Refusal::because('picture_not_kept');
            $photo = Photo::query()->createOrFirst(['id' => $id], [
                'attempt_id' => $attempt->id, 'criterion' => $criterion, 'path' => $path, 'width' => $small->width,
                'height' => $small->height, 'bytes' => strlen($small->jpeg), 'sha256' => $sum, 'by_id' => $by->id,
                'made_at' => $at->min(CarbonImmutable::now()), 'recorded_at' => CarbonImmutable::now(),
            ]);
            CriterionMarked::dispatch($attempt->id, $attempt->learner_id);

            return $photo;
        });
    }
}
