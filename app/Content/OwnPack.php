<?php

declare(strict_types=1);

namespace App\Content;

use App\Assessment\Sheet;
use App\Assessment\Writing\SheetFile;
use App\Content\Files\GivenFiles;
use App\Learning\Lesson;
use App\Policy\Shop;
use Illuminate\Support\Collection;
use Symfony\Component\Yaml\Yaml;

/** What this shop has written itself, as a pack: to keep, to hand on, and to bring back. */
final class OwnPack
{
    public const CODE = 'own';

    /** Null where nothing was written yet. */
    public static function made(): ?Pack
    {
        /** @var Collection<string, Lesson> $lessons */
        $lessons = Lesson::query()->where('own', true)->whereNull('retired_at')->orderBy('code')->orderBy('version')->get()->keyBy('code');
        /** @var Collection<string, Sheet> $sheets */
        $sheets = Sheet::query()->with('part')->where('own', true)->orderBy('code')->orderBy('version')->get()->keyBy('code');
        if ($lessons->isEmpty() && $sheets->isEmpty()) {
            return null;
        }
        $first = $lessons->first()?->sources['language'] ?? 'en';
        $files = ['pack.yaml' => Yaml::dump([
            'title' => Shop::here()['name'],
            'about' => $lessons->toBase()->map(static fn (Lesson $lesson): string => "$lesson->code {$lesson->title}")
                ->merge($sheets->map(static fn (Sheet $sheet): string => $sheet->title))->join(', '),
            'version' => Lesson::query()->where('own', true)->count() + Sheet::query()->where('own', true)->count(),
            'language' => $first,
        ], 2)];
        foreach ($lessons as $code => $lesson) {
            foreach ($lesson->sources['texts'] ?? [] as $language => $text) {
                $folder = $language === ($lesson->sources['language'] ?? 'en') ? 'lessons' : "locales/$language/lessons";
                $files["$folder/$code.md"] = $text;
            }
        }
        foreach ($sheets as $code => $sheet) {
            $files["sheets/$code.yaml"] = SheetFile::text(SheetFile::values($sheet));
            foreach ($sheet->translations as $language => $said) {
                $files["locales/$language/sheets/$code.yaml"] = SheetFile::text($said);
            }
        }

        return Pack::of(self::CODE, new GivenFiles($files));
    }
}
