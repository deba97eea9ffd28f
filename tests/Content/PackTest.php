<?php

declare(strict_types=1);

use App\Assessment\Sheet;
use App\Competency\Permit;
use App\Content\Pack;
use App\Content\TakeIn;
use App\Learning\Check;
use App\Learning\Lesson;
use App\Support\ContentFault;
use App\Support\FaultyContent;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;

// The pack builds on another, whose permit it asks for.
beforeEach(fn () => all_permits());

/** A copy of the shipped pack, in which files are changed as the test asks. */
function pack_with(array $changes = []): Pack
{
    $path = Storage::fake('packs')->path('drill-press');
    File::copyDirectory(base_path('content/drill-press'), $path);
    foreach ($changes as $file => $change) {
        $there = "$path/$file";
        File::ensureDirectoryExists(dirname($there));
        File::put($there, is_callable($change) ? $change(is_file($there) ? File::get($there) : '') : $change);
    }

    return Pack::at($path);
}

/** @return Closure(string): string */
function swapped(string $from, string $to): Closure
{
    return function (string $text) use ($from, $to): string {
        expect($text)->toContain($from);

        return str_replace($from, $to, $text);
    };
}

/** @return list<string> "file:line code" of each fault */
function faults(Pack $pack): array
{
    try {
        app(TakeIn::class)($pack, null);
    } catch (FaultyContent $faulty) {
        return array_map(
            fn (ContentFault $fault): string => "$fault->file:$fault->line ".str_replace('fault.content.', '', $fault->what->code),
            $faulty->faults,
        );
    }

    return [];
}

/** Where in a shipped file a text first stands. */
function line_of(string $file, string $text): int
{
    $before = explode($text, File::get(base_path("content/drill-press/$file")), 2);
    expect($before)->toHaveCount(2);

    return substr_count($before[0], "\n") + 1;
}

it('takes the shipped pack in as often as one likes, and it is there once', function (): void {
    $count = fn (): array => [
        Lesson::query()->count(), Check::query()->count(), Sheet::query()->count(), Permit::query()->count(),
        DB::table('competency_statements')->count(), DB::table('workshop_parts')->count(), DB::table('content_packs')->count(),
    ];
    app(TakeIn::class)(pack_with(), null);
    $first = $count();
    app(TakeIn::class)(pack_with(), null);
    expect($count())->toBe($first)->and($first[0])->toBe(38)->and($first[3])->toBe(12)->and($first[6])->toBe(5);
});

it('names every fault of every file with its line, and keeps nothing', function (): void {
    $before = Lesson::query()->pluck('title', 'code')->all();
    $found = faults(pack_with([
        'lessons/A2.md' => swapped('title: The drill press by name, stop before start', 'title: Something else'),
        'lessons/C6.md' => swapped('machine: bench_drill_press', 'machine: steam_hammer'),
        'lessons/Z9.md' => "---\ncode: Z9\ntitle: No steps\nplace: desk\nversion: 1\nminutes: soon\n---\n\nNothing.\n",
        'sheets/through-holes.yaml' => swapped('part: ', 'part: no-'),
    ]));
    expect($found)->toContain('lessons/C6.md:'.line_of('lessons/C6.md', 'machine:').' no_machine_kind')
        ->and($found)->toContain('lessons/Z9.md:6 wanted_number')
        ->and($found)->toContain('lessons/Z9.md:10 no_steps')
        ->and($found)->toContain('sheets/through-holes.yaml:'.line_of('sheets/through-holes.yaml', 'part:').' no_part')
        ->and(Lesson::query()->pluck('title', 'code')->all())->toBe($before);
});

it('names the step of a lesson that is at fault', function (string $body, array $faults): void {
    $front = "---\ncode: X1\nversion: 1\ntitle: A lesson\nplace: bench\nminutes: 5\n---\n\n";
    expect(faults(pack_with(['lessons/X1.md' => $front.$body])))->toBe($faults);
})->with([
    'no key' => ["## No key\nDo: it", ['lessons/X1.md:9 step_without_key']],
    'nothing to do' => ["## A {#a}\nWhy: no", ['lessons/X1.md:9 step_without_do']],
    'two steps of one key' => ["## A {#a}\nDo: it\n\n## B {#a}\nDo: that", ['lessons/X1.md:12 step_twice']],
    'nothing right' => ["## A {#a}\nDo: it\nChoice:\n- [ ] one\n- [ ] two", ['lessons/X1.md:11 one_right_option']],
    'two right' => ["## A {#a}\nDo: it\nChoice:\n- [x] one\n- [x] two", ['lessons/X1.md:11 one_right_option']],
    'a reading of nothing' => ["## A {#a}\nDo: it\nReading: x nonsense What?", ['lessons/X1.md:11 no_reading']],
    'asks twice' => [
        "## A {#a}\nDo: it\nHold: Wait.\nChoice:\n- [x] one\n- [ ] two",
        ['lessons/X1.md:9 step_asks_twice'],
    ],
    'a second fault behind the first' => [
        "## A {#a}\nWhy: no\n\n## B\nDo: it",
        ['lessons/X1.md:9 step_without_do', 'lessons/X1.md:12 step_without_key'],
    ],
]);

it('wants a lesson file to be one', function (): void {
    expect(faults(pack_with(['lessons/X1.md' => "# Just words\n"])))->toBe(['lessons/X1.md:1 no_front_matter'])
        ->and(faults(pack_with(['lessons/X1.md' => "---\ncode: [\n---\n\n## A {#a}\nDo: it\n"]))[0])
        ->toMatch('~^lessons/X1.md:\d+ no_yaml$~')
        ->and(faults(pack_with(['lessons/X1.md' => "---\n- a\n- b\n---\n\n## A {#a}\nDo: it\n"])))->toBe(['lessons/X1.md:1 no_mapping']);
});

it('does not let a check out that draws no paper, or that asks about no lesson', function (): void {
    $file = 'checks/through-holes.yaml';
    expect(faults(pack_with([$file => swapped('lesson: C1', 'lesson: C99')])))
        ->toContain($file.':'.line_of($file, 'id: held-by-hand').' no_lesson')
        ->and(faults(pack_with([$file => swapped('paper: {questions: 16,', 'paper: {questions: 3,')])))->toHaveCount(1)
        ->and(faults(pack_with([$file => swapped(
            'wait, text: "Clamp it to the table, or wait for the vice.", right: true',
            'wait, text: "Wait.", reply: "Why?"',
        )])))
        ->toHaveCount(1);
});

it('lets no words change under a number that stands', function (): void {
    expect(faults(pack_with(['lessons/A2.md' => swapped('Three times.', 'Twice.')])))->toBe(['lessons/A2.md:1 version_taken'])
        ->and(faults(pack_with(['checks/through-holes.yaml' => swapped('Hold it with pliers', 'Hold it with tongs')])))
        ->toBe(['checks/through-holes.yaml:'.line_of('checks/through-holes.yaml', 'version:').' version_taken'])
        ->and(faults(pack_with(['lessons/A2.md' => fn (string $text): string => str_replace(
            ['version: 2', 'Three times.'],
            ['version: 3', 'Twice.'],
            $text,
        )])))->toBe([])
        ->and(Lesson::query()->where('code', 'A2')->pluck('version')->sort()->values()->all())->toBe([2, 3]);
});

it('wants a translation to teach and ask the same', function (string $file, string $from, string $to, array $faults): void {
    $found = faults(pack_with([$file => swapped($from, $to)]));
    expect(array_map(fn (string $fault): string => substr($fault, strrpos($fault, ' ') + 1), $found))->toBe($faults);
})->with([
    'another option is right' => [
        'locales/es/lessons/A2.md', '- [x] ', '- [ ] ', ['one_right_option'],
    ],
    'a step is missing' => ['locales/es/lessons/A2.md', '{#stop}', '{#other}', ['step_untranslated', 'step_unknown']],
]);

it('says in which file a translation differs', function (): void {
    $spanish = File::get(base_path('content/drill-press/locales/es/lessons/A2.md'));
    expect(faults(pack_with(['locales/es/lessons/A2.md' => preg_replace('/^Caution:.*\n/m', '', $spanish)]))[0])
        ->toMatch('~^locales/es/lessons/A2.md:\d+ step_differs$~');
});

it('teaches the same steps in Spanish, with no sentence left in English', function (): void {
    foreach (Lesson::query()->get() as $lesson) {
        $english = array_column($lesson->taught(), null, 'key');
        app()->setLocale('es');
        $spanish = array_column($lesson->fresh()->steps, null, 'key');
        app()->setLocale('en');
        $around = Lesson::query()->findOrFail($lesson->id);
        app()->setLocale('es');
        $said = array_filter(Arr::flatten($around->frame), is_string(...));
        app()->setLocale('en');
        expect(array_intersect($said, Arr::flatten($around->frame)))->toBe([], $lesson->code)
            ->and(array_keys($spanish))->toBe(array_keys($english), $lesson->code);
        foreach ($english as $key => $step) {
            expect($spanish[$key]['do'])->not->toBe($step['do'], "$lesson->code $key");
            expect($spanish[$key]['title'])->not->toBe($step['title'], "$lesson->code $key");
            foreach ($step['choice'] ?? [] as $index => $option) {
                expect($spanish[$key]['choice'][$index]['text'])->not->toBe($option['text'], "$lesson->code $key")
                    ->and($spanish[$key]['choice'][$index]['answer'])->not->toBe($option['answer'], "$lesson->code $key")
                    ->and($spanish[$key]['choice'][$index]['right'])->toBe($option['right']);
            }
        }
    }
});

it('does not let a permit out that asks for what there is not', function (): void {
    $file = 'permits/drill-through-10.yaml';
    $found = faults(pack_with([$file => swapped('lessons: [A2, ', 'lessons: [A99, ')]));
    expect($found)->toBe([$file.':'.line_of($file, 'requirement:').' '.'fault.permit.lessons'])
        ->and(faults(pack_with([$file => swapped('max_diameter_mm: 10', 'max_diameter_mm: -10')])))->toHaveCount(1)
        ->and(faults(pack_with([$file => swapped('validity_days: 365', 'validity_days: never')])))
        ->toBe([$file.':'.line_of($file, 'validity_days:').' wanted_number']);
});

it('leaves a permit that is there as the shop has made it, and only adds a language', function (): void {
    $permit = Permit::query()->where('code', 'drill-through-10')->firstOrFail();
    $permit->update(['scope' => ['materials' => ['mild_steel'], 'operations' => ['drill']], 'translations' => []]);
    $permit->statements()->update(['translations' => '{}']);
    $before = [$permit->statements()->count(), $permit->requirement, $permit->scope];
    $changed = swapped('Guards stay on and shut.', 'Guards stay on.');
    expect(faults(pack_with(['permits/drill-through-10.yaml' => $changed])))->toBe([]);
    $permit->refresh();
    expect([$permit->statements()->count(), $permit->requirement, $permit->scope])->toBe($before)
        // Words in Spanish for a statement that this shop does not have are none.
        ->and(json_decode((string) $permit->statements()->first()->getRawOriginal('translations'), true))->toBe([]);
    expect(faults(pack_with()))->toBe([])
        ->and(json_decode((string) $permit->statements()->first()->getRawOriginal('translations'), true))->toHaveKey('es')
        ->and($permit->statements()->count())->toBe($before[0]);
});

it('changes no word of a statement that stands, in no language', function (): void {
    $permit = Permit::query()->where('code', 'drill-through-10')->firstOrFail();
    $stood = $permit->statements()->first()->getRawOriginal('translations');
    $words = fn (string $text): string => str_replace('statement: |', "statement: |\n  Otra frase.", $text);
    expect(faults(pack_with(['locales/es/permits/drill-through-10.yaml' => $words])))->toBe([])
        ->and($permit->statements()->count())->toBe(1)
        ->and($permit->statements()->first()->getRawOriginal('translations'))->toBe($stood);
});

it('stops at prerequisites that lead back to where one began', function (): void {
    $second = "code: second\nname: Second\nvalidity_days: 30\nrequirement: {lessons: [A2], checks: [], "
        ."practice_count: 0, practice_minutes: 0, assessments: [], prerequisites: [drill-through-10]}\n"
        ."scope: {operations: [drill], materials: [mild_steel]}\nstatement: I do as I was taught.\n";
    expect(faults(pack_with(['permits/second.yaml' => $second])))->toBe([])
        ->and(faults(pack_with([
            'permits/second.yaml' => $second,
            'permits/drill-through-10.yaml' => swapped('prerequisites: [bench-marking]', 'prerequisites: [second]'),
        ])))->toHaveCount(1);
});

it('names what stands in the place of something else', function (string $file, array $swap, string $found): void {
    expect(implode("\n", faults(pack_with([$file => swapped(...$swap)]))))->toContain($found);
})->with([
    'a list for a part' => ['sheets/through-holes.yaml', ['part: foot-plate', 'part: [foot-plate]'], 'no_part'],
    'a word for a criterion' => ['sheets/through-holes.yaml', ["criteria:\n", "criteria:\n  - eyes\n"], 'sheets/through-holes.yaml'],
    'a number for a question' => ['checks/through-holes.yaml', ["questions:\n", "questions:\n  - 7\n"], 'checks/through-holes.yaml'],
]);
