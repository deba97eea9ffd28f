<?php

declare(strict_types=1);

use App\Competency\Standings;
use App\Learning\Lesson;
use App\Learning\Progress;
use Illuminate\Support\Facades\DB;

/** A lesson's text as one writes it. */
function lesson_text(array $front = [], string $body = "## Look\u{a0}first {#look}\nDo: Look at it.\nWhy: It tells.\n"): string
{
    $front = [...['code' => 'X1', 'version' => 1, 'title' => 'A lesson of ours', 'place' => 'bench', 'minutes' => 5], ...$front];
    $lines = array_map(static fn (string $key, mixed $value): string => "$key: $value", array_keys($front), $front);

    return "---\n".implode("\n", $lines)."\n---\n\n$body";
}

/**
 * @param  array<string, string>  $texts  by language
 * @return list<array{language: string, text: string}>
 */
function as_texts(array $texts): array
{
    return array_map(
        static fn (string $language, string $text): array => ['language' => $language, 'text' => $text],
        array_keys($texts),
        array_values($texts),
    );
}

beforeEach(function (): void {
    all_permits();
    $this->lead = $this->person(App\People\Role::Lead);
    $this->write = fn (string $code, string|array $texts, int $based = 0) => $this->actingAs($this->lead)
        ->putJson("/api/content/lessons/$code", ['texts' => as_texts(is_array($texts) ? $texts : ['en' => $texts]), 'based_on' => $based]);
    $this->zip = fn (string $code): string => $this->actingAs($this->lead)->get("/api/content/packs/$code/file")->assertOk()->getContent();
    $this->bring = fn (string $bytes) => $this->actingAs($this->lead)->postJson('/api/content/packs', [
        'name' => 'brought.zip', 'zip' => base64_encode($bytes),
    ]);
});

/** @param  array<string, string>  $files */
function zip_of(array $files): string
{
    $path = (string) tempnam(sys_get_temp_dir(), 'zip');
    $zip = new ZipArchive;
    $zip->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE);
    foreach ($files as $name => $text) {
        $zip->addFromString($name, $text);
    }
    $zip->close();
    $bytes = (string) file_get_contents($path);
    unlink($path);

    return $bytes;
}

/** @return array<string, string> */
function files_of(string $zip): array
{
    $path = (string) tempnam(sys_get_temp_dir(), 'zip');
    file_put_contents($path, $zip);
    $read = new ZipArchive;
    $read->open($path);
    $files = [];
    for ($index = 0; $index < $read->numFiles; $index++) {
        $files[(string) $read->getNameIndex($index)] = (string) $read->getFromIndex($index);
    }
    unlink($path);

    return $files;
}

it('publishes a new lesson to the letter, and once however often it is sent', function (): void {
    $text = lesson_text();
    ($this->write)('X1', $text)->assertOk()->assertJsonPath('lesson.version', 1)->assertJsonPath('lesson.texts.0.text', $text);
    ($this->write)('X1', $text)->assertOk();
    expect(Lesson::query()->where('code', 'X1')->count())->toBe(1);
    $rows = $this->actingAs($this->instructor())->getJson('/api/content/lessons')->assertOk()->json('lessons');
    expect(collect($rows)->firstWhere('code', 'X1'))->toMatchArray([
        'title' => 'A lesson of ours', 'own' => true, 'retired' => false, 'permits' => [],
    ]);
});

it('says everything that is wrong, with file and line, and publishes nothing', function (string $text, array $faults): void {
    $answer = ($this->write)('X1', $text)->assertOk()->assertJsonPath('lesson', null);
    $found = array_map(
        static fn (array $fault): string => "{$fault['file']}:{$fault['line']} ".str_replace('fault.content.', '', $fault['what']['code']),
        $answer->json('faults'),
    );
    expect($found)->toBe($faults)->and(Lesson::query()->where('code', 'X1')->exists())->toBeFalse();
    $this->postJson('/api/content/lessons/preview', ['code' => 'X1', 'texts' => [['language' => 'en', 'text' => $text]]])->assertOk();
})->with([
    'no front matter' => ['Just words.', ['X1.en.md:1 no_front_matter']],
    'another code' => [lesson_text(['code' => 'X2']), ['X1.en.md:2 code_differs']],
    'not the next version' => [lesson_text(['version' => 3]), ['X1.en.md:2 version_next']],
    'a version that is not there yet still counts' => [lesson_text(['accepted_from' => 2]), ['X1.en.md:2 accepted_from']],
    'no steps' => [lesson_text(body: 'Nothing.'), ['X1.en.md:9 no_steps']],
    'a figure that there is not' => [
        lesson_text(body: "## A {#a}\nDo: Set {{no.figure}}.\n"),
        ['X1.en.md:10 no_figure'],
    ],
]);

it('does not overwrite what somebody else published meanwhile', function (): void {
    ($this->write)('X1', lesson_text())->assertOk();
    ($this->write)('X1', lesson_text(['version' => 2, 'title' => 'Mine']), 1)->assertOk();
    ($this->write)('X1', lesson_text(['version' => 2, 'title' => 'Theirs']), 1)->assertConflict()
        ->assertJsonPath('code', 'lesson_moved_on');
    expect(Lesson::current('X1')->title)->toBe('Mine');
});

it('shows a lesson as a learner would see it, in either language, and keeps nothing', function (): void {
    $texts = $this->actingAs($this->instructor())->getJson('/api/content/lessons/C6')->assertOk()->json('texts');
    $shown = fn (string $language) => $this->postJson('/api/content/lessons/preview', [
        'code' => 'C6', 'texts' => $texts, 'language' => $language,
    ])->assertOk()->assertJsonPath('faults', [])->json('lesson');
    $count = Lesson::query()->count();
    $english = $shown('en');
    $taught = $this->getJson('/api/learning/lessons/C6')->json();
    expect($english['steps'])->toEqual($taught['steps'])->and($english['figures'])->toEqual($taught['figures'])
        ->and(array_filter(array_column($english['steps'], 'drawing')))->not->toBeEmpty()
        ->and($shown('es')['title'])->not->toBe($english['title'])
        ->and(Lesson::query()->count())->toBe($count);
});

it('leaves whoever is half way in the old version there while it counts, and begins anew where it does not', function (): void {
    $steps = "## One {#one}\nDo: First.\n\n## Two {#two}\nDo: Second.\n";
    ($this->write)('X1', lesson_text(body: $steps))->assertOk();
    $learner = $this->person();
    $open = fn () => $this->actingAs($learner)->getJson('/api/learning/lessons/X1')->assertOk();
    $begun = $open()->json('progress.id');
    $this->putJson("/api/learning/progress/$begun/steps/one", ['value' => null])->assertOk();
    ($this->write)('X1', lesson_text(['version' => 2, 'accepted_from' => 1], $steps), 1)->assertOk()
        ->assertJsonPath('lesson.versions.1.under_way', [$learner->name])->assertJsonPath('lesson.versions.1.counts', true);
    $open()->assertJsonPath('version', 1)->assertJsonPath('progress.id', $begun)->assertJsonPath('progress.next', 'two');
    ($this->write)('X1', lesson_text(['version' => 3], $steps), 2)->assertOk()->assertJsonPath('lesson.versions.2.counts', false);
    $open()->assertJsonPath('version', 3)->assertJsonPath('progress.next', 'one');
    // What was being done when it was published is still taken.
    $this->putJson("/api/learning/progress/$begun/steps/two", ['value' => null])->assertOk();
    expect(Progress::query()->findOrFail($begun)->completed_at)->not->toBeNull();
});

it('counts the steps of the version that a learner is in', function (): void {
    $learner = $this->person();
    $progress = $this->actingAs($learner)->getJson('/api/learning/lessons/C5')->json('progress');
    $this->putJson("/api/learning/progress/{$progress['id']}/steps/{$progress['next']}", ['value' => null])->assertOk();
    $there = $this->actingAs($this->lead)->getJson('/api/content/lessons/C5')->json();
    $next = lesson_text(['code' => 'C5', 'version' => $there['version'] + 1, 'accepted_from' => $there['version']]);
    ($this->write)('C5', $next, $there['version'])->assertOk();
    $record = $this->getJson("/api/records/learners/$learner->id")->assertOk()->json('permits');
    $lesson = collect(collect($record)->firstWhere('code', 'drill-through-10')['lessons'])->firstWhere('code', 'C5');
    expect($lesson)->toMatchArray(['title' => 'A lesson of ours', 'steps_done' => 1, 'completed' => false])
        ->and($lesson['steps'])->toBeGreaterThan(1);
});

it('takes the stage away where the version before no longer counts', function (): void {
    $by = $this->instructor();
    bring($learner = $this->person(), 4, $by);
    $stage = fn (): int => app(Standings::class)->one($learner, $this->permit())->place->stage->value;
    expect($stage())->toBe(4);
    $texts = $this->actingAs($this->lead)->getJson('/api/content/lessons/C5')->json();
    $next = array_map(static fn (array $text): array => [
        'language' => $text['language'],
        'text' => (string) preg_replace(
            ['/^version: \d+/m', '/^accepted_from: \d+\n/m'],
            ['version: '.($texts['version'] + 1), ''],
            $text['text'],
        ),
    ], $texts['texts']);
    $this->putJson('/api/content/lessons/C5', ['texts' => $next, 'based_on' => $texts['version']])->assertOk();
    expect($stage())->toBe(0);
});

it('is retired only where no permit asks for it, is begun by nobody then, and comes back', function (): void {
    ($this->write)('X1', lesson_text())->assertOk();
    $this->postJson('/api/content/lessons/C5/retirement')->assertConflict()->assertJsonPath('code', 'lesson_asked_for');
    $this->postJson('/api/content/lessons/X1/retirement')->assertNoContent();
    $this->postJson('/api/content/lessons/X1/retirement')->assertNoContent();
    $choices = collect($this->getJson('/api/competency/permits-choices')->json('lessons'))->pluck('code');
    expect($choices)->not->toContain('X1');
    $this->actingAs($this->person())->getJson('/api/learning/lessons/X1')->assertConflict()->assertJsonPath('code', 'lesson_retired');
    $this->actingAs($this->lead)->deleteJson('/api/content/lessons/X1/retirement')->assertNoContent();
    $this->actingAs($this->person())->getJson('/api/learning/lessons/X1')->assertOk();
    $this->actingAs($this->lead)->postJson('/api/content/lessons/NONE/retirement')->assertNotFound();
});

it('gives a pack away as a zip, and what comes back is the same, to the byte', function (string $code): void {
    $zip = ($this->zip)($code);
    $count = Lesson::query()->count();
    foreach (files_of($zip) as $path => $text) {
        expect($text)->toBe(file_get_contents(base_path("content/$path")));
    }
    ($this->bring)($zip)->assertOk()->assertJsonPath('pack.code', $code);
    ($this->bring)($zip)->assertOk();
    expect(($this->zip)($code))->toBe($zip)->and(Lesson::query()->count())->toBe($count);
})->with(['drill-press', 'lathe', 'marking-out']);

it('asks first about a pack that is called like one that ships and says something else', function (): void {
    $files = files_of(($this->zip)('marking-out'));
    $yaml = 'marking-out/pack.yaml';
    $other = zip_of([...$files, $yaml => str_replace('version: ', 'version: 9', $files[$yaml])]);
    ($this->bring)($other)->assertConflict()->assertJson(['code' => 'pack_ships']);
    expect(DB::table('content_files')->where('pack', 'marking-out')->exists())->toBeFalse();
    $this->postJson('/api/content/packs', ['name' => 'brought.zip', 'zip' => base64_encode($other), 'instead' => true])->assertOk()
        ->assertJsonPath('pack.code', 'marking-out');
    expect(DB::table('content_files')->where('pack', 'marking-out')->exists())->toBeTrue();
});

it('gives away what the shop has written itself, and brings it back to another shop', function (): void {
    $spanish = lesson_text(['title' => 'Una lección'], "## Mirar {#look}\nDo: Mírelo.\nWhy: Lo dice.\n\n");
    $texts = ['en' => lesson_text(), 'es' => $spanish];
    ($this->write)('X1', $texts)->assertOk();
    $zip = ($this->zip)('own');
    expect(files_of($zip))->toMatchArray(['own/lessons/X1.md' => $texts['en'], 'own/locales/es/lessons/X1.md' => $texts['es']]);
    Lesson::query()->where('code', 'X1')->delete();
    ($this->bring)($zip)->assertOk();
    expect(Lesson::current('X1'))->own->toBeTrue()->and(($this->zip)('own'))->toBe($zip);
});

it('refuses a pack that is faulty, with every fault, and changes nothing', function (Closure $bytes, array $faults): void {
    $before = [Lesson::query()->count(), DB::table('content_files')->count(), DB::table('content_packs')->get()->toJson()];
    $found = array_map(
        static fn (array $fault): string => "{$fault['file']}:{$fault['line']} ".str_replace('fault.content.', '', $fault['what']['code']),
        ($this->bring)($bytes())->assertOk()->assertJsonPath('pack', null)->json('faults'),
    );
    expect($found)->toBe($faults)
        ->and([Lesson::query()->count(), DB::table('content_files')->count(), DB::table('content_packs')->get()->toJson()])->toBe($before);
})->with([
    'no zip' => [fn (): string => 'not a zip at all', ['brought.zip:1 no_zip']],
    'cut off' => [fn (): string => substr(zip_of(['ours/pack.yaml' => "title: Ours\n"]), 0, 60), ['brought.zip:1 no_zip']],
    'two folders' => [
        fn (): string => zip_of(['a/pack.yaml' => 'title: a', 'b/pack.yaml' => 'title: b']),
        ['brought.zip:1 zip_one_folder'],
    ],
    'a way out' => [
        fn (): string => zip_of(['ours/pack.yaml' => "title: Ours\n", 'ours/../../etc/x.md' => 'no']),
        ['../../etc/x.md:1 no_part_of_pack'],
    ],
    'no pack.yaml' => [fn (): string => zip_of(['ours/lessons/X1.md' => lesson_text()]), ['pack.yaml:1 no_pack']],
    'no text' => [fn (): string => zip_of(['ours/pack.yaml' => "title: \xff\xfe\n"]), ['pack.yaml:1 no_text']],
    'two faulty lessons' => [
        fn (): string => zip_of([
            'ours/pack.yaml' => "title: Ours\nversion: 1\n",
            'ours/lessons/X1.md' => lesson_text(body: "## A {#a}\nWhy: no\n"), 'ours/lessons/X2.md' => lesson_text(['code' => 'X2']),
            'ours/lessons/X3.md' => lesson_text(['code' => 'X3', 'minutes' => 'soon']),
        ]),
        ['lessons/X1.md:9 step_without_do', 'lessons/X3.md:6 wanted_number'],
    ],
    'what was taught under a number already' => [
        fn (): string => zip_of(['ours/pack.yaml' => "title: Ours\n", 'ours/lessons/C5.md' => lesson_text([
            'code' => 'C5', 'version' => Lesson::current('C5')->version,
        ])]),
        ['lessons/C5.md:1 version_taken'],
    ],
]);

it('does not take from under the shop what it has written itself', function (): void {
    $there = $this->actingAs($this->lead)->getJson('/api/content/lessons/C5')->json();
    $version = $there['version'] + 1;
    ($this->write)('C5', lesson_text(['code' => 'C5', 'version' => $version, 'title' => 'Ours']), $there['version'])->assertOk();
    $theirs = zip_of(['theirs/pack.yaml' => "title: Theirs\nversion: 9\n", 'theirs/lessons/C5.md' => lesson_text([
        'code' => 'C5', 'version' => $version, 'title' => 'Theirs',
    ], "## Other {#other}\nDo: Other.\n")]);
    ($this->bring)($theirs)->assertOk();
    expect(Lesson::current('C5')->title)->toBe('Ours');
});

it('answers whatever is written with a lesson or with faults', function (): void {
    $random = new Random\Randomizer(new Random\Engine\Mt19937(12));
    $there = $this->actingAs($this->lead)->getJson('/api/content/lessons/C6')->json('texts.0.text');
    $odd = [
        '5', '-1', '1e99', '[]', '{}', '[1, [2]]', '{a: {b: c}}', '~', 'true', '"', '2026-01-01', '{kind: lathe}',
        '{kind: hole, hole: 7}', '{kind: hole, hole: {purpose: tapped}}', '[{said: 1}]', '{left_handed: [1]}', 'foot-plate',
        'bench_drill_press', '*x', '&x [*x]', '!!php x',
    ];
    for ($n = 0; $n < 120; $n++) {
        $lines = explode("\n", $there);
        foreach (range(0, $random->getInt(0, 3)) as $_) {
            $at = $random->getInt(0, count($lines) - 1);
            $key = preg_match('/^(\w+):/', $lines[$at], $found) === 1 ? $found[1] : 'plan';
            $lines[$at] = match ($random->getInt(0, 4)) {
                0 => '',
                1 => $lines[$random->getInt(0, count($lines) - 1)],
                2 => "$key: ".$odd[$random->getInt(0, count($odd) - 1)],
                3 => substr($lines[$at], 0, $random->getInt(0, strlen($lines[$at]))),
                default => strrev($lines[$at]),
            };
        }
        $text = mb_convert_encoding(implode("\n", $lines), 'UTF-8', 'UTF-8');
        $answer = $this->postJson('/api/content/lessons/preview', [
            'code' => 'C6', 'texts' => [['language' => 'en', 'text' => $text === '' ? 'x' : $text]],
        ]);
        expect($answer->status())->toBe(200, $text);
    }
});

it('is the lead\'s to change, and the teachers\' to read', function (): void {
    $draft = ['texts' => [['language' => 'en', 'text' => lesson_text()]], 'based_on' => 0];
    foreach ([$this->instructor(), $this->person()] as $who) {
        $this->actingAs($who)->putJson('/api/content/lessons/X1', $draft)->assertForbidden();
        $this->actingAs($who)->postJson('/api/content/lessons/C5/retirement')->assertForbidden();
        $this->actingAs($who)->postJson('/api/content/packs', ['name' => 'x', 'zip' => 'x'])->assertForbidden();
    }
    $this->actingAs($this->person())->getJson('/api/content/lessons')->assertForbidden();
});

it('refuses what is no draft', function (array $with): void {
    $draft = ['texts' => [['language' => 'en', 'text' => lesson_text()]], 'based_on' => 0];
    $this->actingAs($this->lead)->putJson('/api/content/lessons/X1', [...$draft, ...$with])->assertUnprocessable();
    expect(Lesson::query()->where('code', 'X1')->exists())->toBeFalse();
})->with([
    [['texts' => []]], [['texts' => 'words']], [['texts' => [['language' => 'fr', 'text' => 'x']]]],
    [['texts' => [['language' => 'en', 'text' => "a\0b"]]]], [['texts' => [['language' => 'en', 'text' => str_repeat('x', 60_001)]]]],
    [['texts' => [['language' => 'en', 'text' => 'x'], ['language' => 'en', 'text' => 'y']]]], [['based_on' => -1]], [['based_on' => 'x']],
]);
