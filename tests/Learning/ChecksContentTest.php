<?php

declare(strict_types=1);

use App\Competency\Permit;
use App\Learning\Check;
use App\Learning\Lesson;
use MillStep\Core\Learning\Check\Question\QuestionKinds;

/** What the safety checks have to be, held against every one that ships. */
beforeEach(function (): void {
    $this->checks = Check::query()->get()->sortByDesc('version')->unique('code');
});

it('has at least a hundred and forty questions, of all five kinds, a dozen of them worked out or pointed at', function (): void {
    $questions = $this->checks->flatMap(fn (Check $check) => $check->questions);
    expect($questions->count())->toBeGreaterThanOrEqual(140)
        ->and($questions->pluck('kind')->unique()->sort()->values()->all())->toEqualCanonicalizing(QuestionKinds::names())
        ->and($questions->whereIn('kind', ['worked', 'hazard'])->count())->toBeGreaterThanOrEqual(12);
});

it('asks about every lesson of its permit on every paper, and every critical question of it', function (): void {
    foreach (Permit::query()->get() as $permit) {
        $lessons = [...$permit->requirement['lessons'] ?? [], ...$permit->requirement['guided'] ?? []];
        foreach ($permit->requirement['checks'] as $code) {
            $check = $this->checks->firstWhere('code', $code);
            $critical = collect($check->questions)->where('critical', true)->pluck('id')->all();
            foreach (range(1, 25) as $seed) {
                $paper = $check->bank()->draw($seed)->questions;
                expect(array_diff($lessons, array_column($paper, 'lesson')))->toBe([], "$code $seed")
                    ->and(array_diff($critical, array_column($paper, 'id')))->toBe([], "$code $seed");
            }
        }
    }
});

it('leaves something to be drawn: a retake is not the same paper', function (): void {
    foreach ($this->checks as $check) {
        $papers = array_map(fn (int $seed): array => $check->bank()->draw($seed)->changing(), range(1, 30));
        expect(count(array_unique(array_map(function (array $ids): string {
            sort($ids);

            return implode(' ', $ids);
        }, $papers))))->toBeGreaterThan(2, $check->code);
    }
});

it('answers every wrong option, in both languages, and never in the same words as another of the question', function (): void {
    foreach (['en', 'es'] as $language) {
        app()->setLocale($language);
        foreach ($this->checks as $check) {
            foreach ($check->questions as $question) {
                $wrong = array_filter($question['options'] ?? [], fn (array $option): bool => ($option['right'] ?? false) !== true);
                $replies = array_map(fn (array $option): string => $option['reply'] ?? '', $wrong);
                expect(in_array('', $replies, true))->toBeFalse("$check->code {$question['id']}")
                    ->and(array_unique($replies))->toHaveCount(count($replies));
            }
        }
    }
});

it('says every reply in Spanish otherwise than in English', function (): void {
    foreach ($this->checks as $check) {
        $said = fn (string $language): array => (function () use ($check, $language): array {
            app()->setLocale($language);

            return array_merge(...array_map(
                fn (array $one): array => [$one['text'], $one['explanation'], ...array_column($one['options'] ?? [], 'reply'),
                    ...array_column($one['options'] ?? [], 'text'), ...array_column($one['steps'] ?? [], 'text')],
                $check->questions,
            ));
        })();
        $same = array_filter(array_intersect($said('en'), $said('es')), fn (string $text): bool => preg_match('/\pL{4}/u', $text) === 1);
        expect($same)->toBe([], $check->code);
    }
});

it('stands the right option first no more often than it must, once it is drawn', function (): void {
    $first = $asked = 0;
    foreach ($this->checks as $check) {
        foreach (range(1, 20) as $seed) {
            foreach ($check->bank()->draw($seed)->questions as $question) {
                if ($question->kind === 'one') {
                    $asked++;
                    $first += $question->forLearner()['choices'][0]['id'] === $question->rightAnswer()[0] ? 1 : 0;
                }
            }
        }
    }
    expect($first / $asked)->toBeLessThan(0.42)->toBeGreaterThan(0.24);
});

it('has only worked figures that no rounding decides', function (): void {
    foreach ($this->checks as $check) {
        foreach ($check->questions as $question) {
            if (($question['figure']['unit'] ?? null) !== 'rpm') {
                continue;
            }
            foreach ($question['figure']['draw']['diameter_mm'] as $mm) {
                $target = 1000 * $question['figure']['given']['cutting_speed_m_min'] / (M_PI * $mm);
                foreach ($question['figure']['given']['speeds_rpm'] as $rpm) {
                    expect(abs($rpm - $target) / $target)->toBeGreaterThan(0.02);
                }
            }
        }
    }
});

it('sends nobody to a lesson for a finding that no rule makes', function (): void {
    $rules = implode('', array_map('file_get_contents', glob(base_path('core/src/Setup/*Rules.php')) ?: []));
    preg_match_all("/'([a-z]+(?:_[a-z]+)+)'/", $rules, $found);
    $findings = array_unique($found[1]);
    expect(count($findings))->toBeGreaterThan(40);
    foreach (Lesson::query()->get() as $lesson) {
        expect(array_diff($lesson->findings, $findings))->toBe([], $lesson->code);
    }
});

it('names every fault that it draws by a lesson that teaches it', function (): void {
    $taught = Lesson::query()->get()->flatMap(fn (Lesson $lesson): array => $lesson->findings)->unique()->all();
    foreach ($this->checks as $check) {
        foreach ($check->questions as $question) {
            expect(array_diff($question['faults']['of'] ?? [], $taught))->toBe([], "$check->code {$question['id']}");
        }
    }
});
