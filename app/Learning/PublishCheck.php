<?php

declare(strict_types=1);

namespace App\Learning;

use App\Support\ContentFault;
use App\Support\FaultyContent;
use App\Support\Given;
use App\Support\SameContent;
use App\Support\YamlText;
use MillStep\Core\Border\CoreException;

/** A version of a safety check's question bank, out of its file and what it is in other languages. */
final class PublishCheck
{
    /** How many papers are drawn to see that the bank gives them. */
    private const DRAWN = 20;

    /**
     * @param  array<string, YamlText>  $translations  by language
     *
     * @throws FaultyContent with every fault, its file and line
     */
    public function __invoke(YamlText $file, array $translations = []): Check
    {
        $values = $file->values;
        $faults = [];
        foreach (['code', 'title'] as $key) {
            if (! is_string($values[$key] ?? null)) {
                $faults[] = ContentFault::at($file->file, $file->lineOf($key), 'wanted_text', ['key' => $key]);
            }
        }
        if (! is_int($values['version'] ?? null)) {
            $faults[] = ContentFault::at($file->file, $file->lineOf('version'), 'wanted_number', ['key' => 'version']);
        }
        $minutes = $values['minutes'] ?? 1;
        if (! is_int($minutes) || $minutes < 1) {
            $faults[] = ContentFault::at($file->file, $file->lineOf('minutes'), 'wanted_number', ['key' => 'minutes']);
        }
        $questions = Given::rows($values['questions'] ?? null);
        $lessons = Lesson::query()->pluck('code')->flip();
        foreach ($questions as $question) {
            if (! isset($lessons[Given::text($question['lesson'] ?? null)])) {
                $faults[] = ContentFault::at(
                    $file->file,
                    $file->lineOfEntry('questions', Given::text($question['id'] ?? null)),
                    'no_lesson',
                    ['lesson' => Given::text($question['lesson'] ?? null)],
                );
            }
        }
        $check = new Check([
            'code' => $values['code'] ?? '', 'version' => $values['version'] ?? 0, 'title' => $values['title'] ?? '',
            'pass_mark_percent' => $values['pass_mark_percent'] ?? 0, 'draw' => $values['draw'] ?? [], 'questions' => $questions,
            'paper' => is_array($values['paper'] ?? null) ? $values['paper'] : null, 'minutes' => $values['minutes'] ?? null,
            'translations' => array_map(static fn (YamlText $said): array => array_intersect_key(
                $said->values,
                ['title' => 0, 'questions' => 0],
            ), $translations),
        ]);
        try {
            foreach (range(1, self::DRAWN) as $seed) {
                $check->bank()->draw($seed);
            }
        } catch (CoreException $fault) {
            $named = preg_match('/questions\[(\d+)\]/', Given::text($fault->says->terms['key'] ?? null), $found) === 1
                ? Given::text($questions[(int) $found[1]]['id'] ?? null) : '';
            $faults[] = ContentFault::saying($file->file, $file->lineOfEntry('questions', $named), $fault->says);
        }
        foreach ($translations as $said) {
            $theirs = is_array($said->values['questions'] ?? null) ? $said->values['questions'] : [];
            foreach (array_diff(Given::texts(array_column($questions, 'id')), array_keys($theirs)) as $id) {
                $faults[] = ContentFault::at($said->file, $said->lineOf('questions'), 'untranslated', ['id' => $id]);
            }
            foreach (array_diff(array_keys($theirs), Given::texts(array_column($questions, 'id'))) as $id) {
                $faults[] = ContentFault::at(
                    $said->file,
                    $said->lineOfEntry('questions', (string) $id),
                    'translates_nothing',
                    ['id' => $id],
                );
            }
        }
        FaultyContent::unless($faults);
        $known = Check::query()->where('code', $check->code)->where('version', $check->version)->first();
        if ($known === null) {
            $check->save();

            return $check;
        }
        FaultyContent::unless(SameContent::is($known->asked(), $check->asked()) ? [] : [
            ContentFault::at($file->file, $file->lineOf('version'), 'version_taken',
                ['code' => $check->code, 'version' => $check->version]),
        ]);
        $known->update(['translations' => $check->translations]);

        return $known;
    }
}
