<?php

declare(strict_types=1);

namespace App\Content;

use App\Assessment\PublishSheet;
use App\Assessment\Sheet;
use App\Competency\DefinePermit;
use App\Learning\Lesson;
use App\Learning\LessonFile;
use App\Learning\PublishCheck;
use App\Learning\PublishLesson;
use App\People\User;
use App\Support\ContentFault;
use App\Support\FaultyContent;
use App\Support\Given;
use App\Support\YamlText;
use App\Workshop\Part;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Takes a pack in, and first what it is built on: all of it, or nothing and every fault. Taken in twice, it is there once. */
final class TakeIn
{
    public function __construct(
        private readonly PublishLesson $lesson,
        private readonly PublishCheck $check,
        private readonly PublishSheet $sheet,
        private readonly DefinePermit $permit,
        private readonly Packs $packs,
    ) {
    }

    /**
     * @param  list<string>  $for  packs that are being taken in, and that this one is needed for
     *
     * @throws FaultyContent with every fault, its file and line
     */
    public function __invoke(Pack $pack, ?User $by, array $for = []): void
    {
        DB::transaction(function () use ($pack, $by, $for): void {
            foreach (array_diff($pack->needs(), $for) as $needed) {
                DB::table('content_packs')->where('code', $needed)->exists()
                    || $this($this->packs->neededBy($pack, $needed), $by, [...$for, $pack->code]);
            }
            $faults = [];
            $this->parts($pack);
            $each = static function (array $files, callable $publish) use (&$faults): void {
                /** @var array{YamlText|LessonFile, array<string, YamlText|LessonFile>} $each */
                foreach ($files as $each) {
                    [$file, $translations] = $each;
                    try {
                        $publish($file, $translations);
                    } catch (FaultyContent $faulty) {
                        array_push($faults, ...$faulty->faults);
                    }
                }
            };
            // What is built on comes first.
            $own = Lesson::query()->where('own', true)->pluck('code')->all();
            $each($pack->lessons($faults), function (LessonFile $file, array $translations) use ($pack, $by, $own): void {
                /** @var array<string, LessonFile> $translations */
                // What the shop wrote itself is not taken from under it by a pack's next version.
                if ($pack->isOwn() || ! in_array($file->front['code'], $own, true)) {
                    ($this->lesson)($file, $translations, $pack->language(), $by, $pack->isOwn());
                }
            });
            $each($pack->lists('checks', $faults), ($this->check)(...));
            $ownSheets = Sheet::query()->where('own', true)->pluck('code')->all();
            $each($pack->lists('sheets', $faults), function (YamlText $file, array $translations) use ($pack, $by, $ownSheets): void {
                /** @var array<string, YamlText> $translations */
                if ($pack->isOwn() || ! in_array($file->values['code'] ?? null, $ownSheets, true)) {
                    ($this->sheet)($file, $translations, $by, $pack->isOwn());
                }
            });
            $each(self::inOrder($pack->lists('permits', $faults)), ($this->permit)->fromFile(...));
            FaultyContent::unless($faults);
            DB::table('content_packs')->upsert([
                'code' => $pack->code, 'version' => $pack->version(), 'taken_by' => $by?->id, 'taken_at' => CarbonImmutable::now(),
            ], 'code');
        });
    }

    /**
     * Permits after those of the same pack that they build on; in a circle as they come, and defining them says so.
     *
     * @param  list<array{YamlText, array<string, YamlText>}>  $permits
     * @return list<array{YamlText, array<string, YamlText>}>
     */
    private static function inOrder(array $permits): array
    {
        $below = static fn (YamlText $file): array => Given::texts(
            Given::fields($file->values['requirement'] ?? [])['prerequisites'] ?? [],
        );
        $ordered = [];
        while ($permits !== []) {
            $waiting = array_map(static fn (array $permit): string => Given::text($permit[0]->values['code'] ?? null), $permits);
            $next = array_key_first(array_filter(
                $permits,
                static fn (array $permit): bool => array_intersect($below($permit[0]), $waiting) === [],
            )) ?? array_key_first($permits);
            $ordered[] = $permits[$next];
            unset($permits[$next]);
        }

        return $ordered;
    }

    private function parts(Pack $pack): void
    {
        $file = $pack->parts();
        $said = $pack->partNames();
        foreach (Given::rows($file?->values['parts'] ?? null) as $part) {
            $slug = Given::text($part['slug'] ?? null);
            FaultyContent::unless($slug !== '' ? [] : [
                ContentFault::at('parts.yaml', 1, 'wanted_text', ['key' => 'slug']),
            ]);
            Part::query()->updateOrCreate(['slug' => $slug], [
                ...$part,
                'translations' => array_filter(
                    array_map(static fn (array $words): mixed => $words[$slug] ?? null, $said),
                    is_array(...),
                ),
            ]);
        }
    }
}
