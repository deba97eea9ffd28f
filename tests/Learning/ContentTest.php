<?php

declare(strict_types=1);

use App\Learning\Lesson;
use App\Learning\LessonHoles;

it('has lessons that say in every step what to do, and cautions where it can hurt', function (): void {
    foreach (Lesson::query()->with(['part', 'boundMachine.cribs.tools'])->get() as $lesson) {
        expect(count($lesson->steps))->toBeGreaterThan(1);
        foreach ($lesson->steps as $step) {
            expect($step['do'])->not
                ->toBe('')
                ->and(array_filter([$step['reading'], $step['choice'], $step['hold'], $step['right']]))->not
                ->toBe([]);
            preg_match_all(
                '/\{\{\s*([\w.]+)\s*\}\}/',
                implode(' ', array_filter([$step['do'], $step['why'], $step['caution'], $step['right'], $step['wrong']])),
                $bound,
            );
            $known = array_keys(app(LessonHoles::class)->for($lesson, null));
            expect(array_diff($bound[1], [...$known, 'depth.reading']))->toBe([], "{$lesson->code} {$step['key']}");
        }
        expect(array_filter(array_column($lesson->steps, 'caution')))->when(
            $lesson->place === 'drill press',
            fn ($cautions) => $cautions->not->toBe([]),
        );
    }
});
