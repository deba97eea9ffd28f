<?php

declare(strict_types=1);

namespace App\Content;

use App\Assessment\PublishSheet;
use App\Competency\DefinePermit;
use App\Learning\PublishCheck;
use App\Learning\PublishLesson;
use App\People\User;
use App\Support\ContentFault;
use App\Support\FaultyContent;
use App\Workshop\Part;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Takes a pack in: all of it, or nothing and every fault. Taken in twice, it is there once. */
final class TakeIn
{
    public function __construct(
        private readonly PublishLesson $lesson,
        private readonly PublishCheck $check,
        private readonly PublishSheet $sheet,
        private readonly DefinePermit $permit,
    ) {
    }

    /** @throws FaultyContent with every fault, its file and line */
    public function __invoke(Pack $pack, ?User $by): void
    {
        DB::transaction(function () use ($pack, $by): void {
            $faults = [];
            $this->parts($pack);
            $each = static function (array $files, callable $publish) use (&$faults): void {
                foreach ($files as [$file, $translations]) {
                    try {
                        $publish($file, $translations);
                    } catch (FaultyContent $faulty) {
                        array_push($faults, ...$faulty->faults);
                    }
                }
            };
            // What is built on comes first.
            $each($pack->lessons($faults), ($this->lesson)(...));
            $each($pack->lists('checks', $faults), ($this->check)(...));
            $each($pack->lists('sheets', $faults), ($this->sheet)(...));
            $each($pack->lists('permits', $faults), ($this->permit)->fromFile(...));
            FaultyContent::unless($faults);
            DB::table('content_packs')->upsert([
                'code' => $pack->code, 'version' => $pack->version(), 'taken_by' => $by?->id, 'taken_at' => CarbonImmutable::now(),
            ], 'code');
        });
    }

    private function parts(Pack $pack): void
    {
        $file = $pack->parts();
        $said = $pack->partNames();
        foreach ($file === null || ! is_array($file->values['parts'] ?? null) ? [] : $file->values['parts'] as $part) {
            FaultyContent::unless(is_array($part) && is_string($part['slug'] ?? null) ? [] : [
                ContentFault::at('parts.yaml', 1, 'wanted_text', ['key' => 'slug']),
            ]);
            Part::query()->updateOrCreate(['slug' => $part['slug']], [
                ...$part,
                'translations' => array_filter(
                    array_map(static fn (array $words): mixed => $words[$part['slug']] ?? null, $said),
                    is_array(...),
                ),
            ]);
        }
    }
}
