<?php

declare(strict_types=1);

namespace App\Content\Writing;

use App\Learning\Lesson;
use App\Learning\LessonCases;
use App\Learning\LessonFile;
use App\Learning\PublishLesson;
use App\Support\FaultyContent;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Length;
use MillStep\Core\Learning\LessonFigures;

/** A lesson as it is written, in one language or more, before it is published: read whole, with every fault of every text. */
final class LessonTexts
{
    private const SOME_READING_MM = 10;

    public function __construct(private readonly PublishLesson $publish, private readonly LessonCases $cases)
    {
    }

    /**
     * @param  array<string, string>  $texts  by language; the first is the original
     * @return array{language: string, file: LessonFile, translations: array<string, LessonFile>, lesson: Lesson}
     *
     * @throws FaultyContent with every fault, its file and line
     */
    public function read(string $code, array $texts): array
    {
        $files = $faults = [];
        foreach ($texts as $language => $text) {
            try {
                $files[$language] = LessonFile::read(self::fileOf($code, $language), $text);
            } catch (FaultyContent $faulty) {
                array_push($faults, ...$faulty->faults);
            }
        }
        FaultyContent::unless($faults);
        $language = (string) array_key_first($files);
        $file = $files[$language];
        $translations = array_diff_key($files, [$language => 0]);
        $lesson = $this->publish->drafted($file, $translations, $language);
        $known = $this->figures($lesson);
        FaultyContent::unless($known === null ? [] : array_merge(...array_values(array_map(
            static fn (LessonFile $each): array => $each->unknownFigures($known),
            $files,
        ))));

        return ['language' => $language, 'file' => $file, 'translations' => $translations, 'lesson' => $lesson];
    }

    /** How its file is called where its faults are said. */
    public static function fileOf(string $code, string $language): string
    {
        return "$code.$language.md";
    }

    /** @return list<string>|null the names of its figures; null where this shop cannot compute them */
    private function figures(Lesson $lesson): ?array
    {
        try {
            $case = $this->cases->case($lesson, null);
            $figures = $this->cases->figures($lesson, $case, null);
            // Some are there once the learner has read the scale.
            $read = $case?->hole === null ? [] : LessonFigures::of($case->hole, Length::mm(self::SOME_READING_MM));

            return array_map(strval(...), array_keys([...$figures, ...$read]));
        } catch (CoreException) {
            return null;
        }
    }
}
