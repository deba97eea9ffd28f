<?php

declare(strict_types=1);

use App\Learning\Lesson;
use App\Learning\LessonCases;
use MillStep\Core\Learning\Drawing\LessonDrawings;

/** What the style of the lessons asks for, held against every lesson of the shipped pack. */

/** @return iterable<array{Lesson, array<string, mixed>}> */
function steps_taught(): iterable
{
    foreach (Lesson::query()->with(['part', 'boundMachine.cribs.tools'])->get() as $lesson) {
        foreach ($lesson->steps as $step) {
            yield [$lesson, $step];
        }
    }
}

/** @return list<string> what a step says, its options among it */
function said_in(array $step): array
{
    return array_values(array_filter([
        $step['do'], $step['why'], $step['caution'], $step['right'], $step['wrong'], $step['hold'],
        ...array_column($step['choice'] ?? [], 'text'), ...array_column($step['choice'] ?? [], 'answer'),
    ]));
}

it('has six to fourteen steps in each lesson, each with how it looks when it is right, a choice, a reading or a look', function (): void {
    foreach (Lesson::query()->get() as $lesson) {
        expect(count($lesson->steps))->toBeGreaterThanOrEqual(6)->toBeLessThanOrEqual(14);
    }
    foreach (steps_taught() as [$lesson, $step]) {
        expect(array_filter([$step['reading'], $step['choice'], $step['hold'], $step['right']]))
            ->not->toBe([], "$lesson->code {$step['key']}");
    }
});

it('says one act a step, under 26 words, and what it looks like when it is wrong', function (): void {
    // Nothing can look wrong that is only looked at, or that an instructor sees.
    $without = [];
    foreach (['en', 'es'] as $language) {
        app()->setLocale($language);
        foreach (steps_taught() as [$lesson, $step]) {
            // Spanish says the same in a few words more.
            expect(count(preg_split('/\s+/', trim($step['do']))))
                ->toBeLessThan($language === 'en' ? 26 : 31, "$lesson->code {$step['key']}");
            if ($step['wrong'] === null && $step['choice'] === null && $step['hold'] === null) {
                $without[] = "$lesson->code {$step['key']}";
            }
        }
    }
    expect(array_values(array_unique($without)))->toBe(['C1 phases', 'C6 dress']);
});

it('types no figure: all are bound to the case at hand', function (): void {
    foreach (['en', 'es'] as $language) {
        app()->setLocale($language);
        foreach (steps_taught() as [$lesson, $step]) {
            foreach (said_in($step) as $words) {
                expect(preg_match('/\d/', (string) preg_replace('/\{\{.*?\}\}/', '', $words)))
                    ->toBe(0, "$lesson->code {$step['key']}: $words");
            }
        }
    }
});

it('binds only figures that there are', function (): void {
    foreach (steps_taught() as [$lesson, $step]) {
        $known = [...array_keys(app(LessonCases::class)->for($lesson, null)), 'depth.reading', 'ease.reading'];
        preg_match_all('/\{\{\s*([\w.]+)\s*\}\}/', implode(' ', [...said_in($step), ...$lesson->tools]), $bound);
        expect(array_diff($bound[1], $known))->toBe([], "$lesson->code {$step['key']}");
    }
});

it('shows a drawing at half of the steps at least, and at one of every lesson', function (): void {
    $drawn = $all = 0;
    $lessons = [];
    foreach (steps_taught() as [$lesson, $step]) {
        $all++;
        $drawn += (int) isset($step['drawing']);
        $lessons[$lesson->code] = ($lessons[$lesson->code] ?? 0) + (int) isset($step['drawing']);
    }
    expect($lessons)->each->toBeGreaterThan(0)
        ->and($drawn / $all)->toBeGreaterThanOrEqual(0.5)
        ->and(array_values(array_diff(
            LessonDrawings::names(),
            Lesson::query()->get()->flatMap->steps->pluck('drawing')->filter()->all(),
        )))->toBe([]);
});

it('says no paragraph in two lessons but a caution, whose words are the same each time', function (): void {
    $where = [];
    foreach (steps_taught() as [$lesson, $step]) {
        foreach (array_filter([$step['do'], $step['why'], $step['wrong']]) as $words) {
            $where[$words][$lesson->code] = true;
        }
    }
    expect(array_keys(array_filter($where, static fn (array $codes): bool => count($codes) > 1)))->toBe([]);
});

it('has around every lesson what one needs, what people say, its words, the card, who it changes for, and the end', function (): void {
    foreach (Lesson::query()->get() as $lesson) {
        $frame = $lesson->frame;
        expect($frame['opening'])->not->toBeNull($lesson->code)
            ->and(count($frame['misconceptions']))->toBeGreaterThan(1)
            ->and(count($frame['words']))->toBeGreaterThan(1)
            ->and(count($frame['card']))->toBeGreaterThan(2)
            ->and(array_filter($frame['adaptations']))->toHaveCount(3)
            ->and($frame['ending']['can'])->toStartWith('You can now')
            ->and($frame['ending']['not_yet'])->toStartWith('You cannot yet');
    }
});

it('cautions in every lesson at a machine', function (): void {
    foreach (Lesson::query()->whereIn('place', ['drill press', 'lathe'])->get() as $lesson) {
        // Measured with the power off: nothing but the key can hurt there, and that is said where it is used.
        expect(array_filter(array_column($lesson->steps, 'caution')))->not->toBe([], $lesson->code);
    }
});

/** @return list<string> the lesson's running text, figures taken as a short word */
function running_text(Lesson $lesson): array
{
    $words = [];
    foreach ($lesson->steps as $step) {
        $words = [...$words, ...array_filter([$step['do'], $step['why'], $step['right'], $step['wrong']])];
    }

    return array_map(static fn (string $text): string => (string) preg_replace('/\{\{.*?\}\}/', 'it', $text), $words);
}

it('is read by a fourteen-year-old: Automated Readability Index in English', function (): void {
    foreach (Lesson::query()->get() as $lesson) {
        $text = implode(' ', running_text($lesson));
        $words = preg_match_all('/[\p{L}\'’-]+/u', $text);
        $letters = preg_match_all('/\p{L}/u', $text);
        $sentences = preg_match_all('/[.!?:;](\s|$)/u', $text);
        // Grade 8 is read at thirteen to fourteen.
        expect(4.71 * $letters / $words + 0.5 * $words / $sentences - 21.43)->toBeLessThan(8.0, $lesson->code);
    }
});

it('is read by a fourteen-year-old: Fernández Huerta in Spanish', function (): void {
    app()->setLocale('es');
    foreach (Lesson::query()->get() as $lesson) {
        $text = mb_strtolower(implode(' ', running_text($lesson)));
        $words = preg_match_all('/\p{L}+/u', $text);
        // A vowel or a diphthong is a syllable; two strong vowels are two.
        $syllables = preg_match_all('/[iuü]?[aeoáéó][iuüy]?|[iuüíú]+/u', $text);
        $sentences = preg_match_all('/[.!?:;](\s|$)/u', $text);
        // 70 and over: easy, as for twelve to fourteen.
        expect(206.84 - 60 * $syllables / $words - 1.02 * $words / $sentences)->toBeGreaterThan(70.0, $lesson->code);
    }
});

it('has a look before the power of every lesson that needs it, and the caution before the look', function (): void {
    all_permits();
    $guided = App\Competency\Permit::query()->get()->flatMap(static fn ($permit): array => $permit->requirement['guided'] ?? [])->unique();
    foreach (Lesson::query()->whereIn('code', $guided)->get() as $lesson) {
        $looks = array_filter($lesson->steps, static fn (array $step): bool => $step['hold'] !== null);
        expect($looks)->not->toBe([], $lesson->code);
        // Only the centre that is set by hand, isolated, is looked at without one.
        $lesson->code === 'D4' || expect(array_filter(array_column($looks, 'caution')))->not->toBe([], $lesson->code);
    }
});

it('teaches 38 lessons, and every one in the order in which its permits ask for it', function (): void {
    expect(Lesson::query()->distinct()->count('code'))->toBe(38);
});
