<?php

declare(strict_types=1);

arch('the core knows no framework, no database and no clock of its own')
    ->expect('MillStep\Core')
    ->not
    ->toUse([
        'Illuminate', 'Laravel', 'App', 'Carbon', 'Symfony', 'date', 'time', 'microtime', 'rand', 'mt_rand',
        'random_int', 'random_bytes', 'curl_init', 'env', 'getenv',
    ]);

arch('only the reference tables are read from disk')
    ->expect(['fopen', 'file_get_contents', 'file_put_contents', 'file'])
    ->not
    ->toBeUsedIn([
        'MillStep\Core\Measure', 'MillStep\Core\Planning', 'MillStep\Core\Workshop', 'MillStep\Core\Setup',
        'MillStep\Core\Learning', 'MillStep\Core\Assessment', 'MillStep\Core\Competency', 'MillStep\Core\Gate',
    ]);

arch('the core is made of final classes')->expect('MillStep\Core')->classes()->toBeFinal()
    ->ignoring(['MillStep\Core\Border\Result', 'MillStep\Core\Border\CoreException', 'MillStep\Core\Planning\Step\Kind',
        'MillStep\Core\Learning\Drawing\LessonDrawing', 'MillStep\Core\Learning\Drawing\PlainDrawing',
        'MillStep\Core\Learning\Drawing\CaseDrawing', 'MillStep\Core\Learning\Drawing\MarkDrawing',
        'MillStep\Core\Learning\Check\Question\Question',
        'MillStep\Core\Setup\Scene\Place', 'MillStep\Core\Setup\Scene\SceneKind']);

arch('every file is strict')->expect(['MillStep\Core', 'App'])->toUseStrictTypes();

it('has the same rooms on every floor', function (): void {
    $rooms = [
        'Measure' => 'cafl', 'Workshop' => 'cafl', 'Planning' => 'cafl', 'Learning' => 'cafl', 'Practice' => 'afl',
        'Assessment' => 'cafl', 'Competency' => 'cafl', 'Gate' => 'cafl', 'Records' => 'afl', 'Live' => 'af', 'People' => 'afl',
        'Language' => 'af', 'Content' => 'afl', 'Policy' => 'cafl',
    ];
    $floors = [
        'c' => static fn (string $room): string => "core/src/$room",
        'a' => static fn (string $room): string => "app/$room",
        'f' => static fn (string $room): string => 'resources/js/'.strtolower($room),
        'l' => static fn (string $room): string => 'resources/js/'.strtolower($room).'/locale',
    ];
    foreach ($rooms as $room => $on) {
        foreach (str_split($on) as $floor) {
            expect(is_dir(__DIR__.'/../'.$floors[$floor]($room)))->toBeTrue($floors[$floor]($room));
        }
    }
});

/** @return array<string, list<string>> for each folder of the core, the folders that its files import from */
function imports_of_the_core(): array
{
    $imports = [];
    $root = dirname(__DIR__).'/core/src/';
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root, FilesystemIterator::SKIP_DOTS)) as $file) {
        $folder = trim(str_replace([$root, '/'], ['', '\\'], dirname((string) $file).'/'), '\\');
        $source = (string) file_get_contents((string) $file);
        preg_match_all('/^use MillStep\\\\Core\\\\(.+)\\\\\w+(?: as \w+)?;$/m', $source, $found);
        $imports[$folder] = [...$imports[$folder] ?? [], ...$found[1]];
    }

    return array_map(static fn (array $to): array => array_values(array_unique($to)), $imports);
}

it('lets rooms of the core import downwards only', function (): void {
    // Each may import from those before it in its row, and from nothing else.
    $below = [
        'Border' => [],
        'Reference' => ['Border'],
        'Policy' => ['Border', 'Reference'],
        'Measure' => ['Border', 'Reference'],
        'Workshop' => ['Border', 'Reference', 'Measure', 'Policy'],
        'Planning' => ['Border', 'Reference', 'Policy', 'Measure', 'Workshop'],
        'Setup' => ['Border', 'Reference', 'Policy', 'Measure', 'Workshop', 'Planning'],
        'Assessment' => ['Border', 'Measure', ''],
        'Learning' => ['Border', 'Reference', 'Policy', 'Measure', 'Workshop', 'Planning', 'Setup', ''],
        'Competency' => ['Border', 'Assessment'],
        'Gate' => ['Border', 'Policy', 'Competency', 'Workshop'],
    ];
    $seen = [];
    foreach (imports_of_the_core() as $folder => $to) {
        $room = explode('\\', $folder)[0];
        if ($folder === '') {
            continue;
        }
        $seen[$room] = true;
        expect($below)->toHaveKey($room);
        foreach ($to as $import) {
            $other = explode('\\', $import)[0];
            expect($other === $room || in_array($other, $below[$room], true))->toBeTrue("$folder imports from $import");
        }
    }
    expect(array_diff_key($below, $seen))->toBe([]);
});

it('lets the folders of planning import downwards only', function (): void {
    $order = ['', 'Drawing', 'Chip', 'Stock', 'Cutting', 'Thread', 'Ream', 'Lathe', 'Layout', 'Hole', 'Step', 'Plan', 'Chart'];
    foreach (imports_of_the_core() as $folder => $to) {
        if ($folder !== 'Planning' && ! str_starts_with($folder, 'Planning\\')) {
            continue;
        }
        $own = array_search(substr($folder, 9), $order, true);
        expect($own)->not->toBeFalse($folder);
        foreach ($to as $import) {
            if (str_starts_with("$import\\", 'Planning\\')) {
                $at = array_search((string) substr($import, 9), $order, true);
                expect($at !== false && $at <= $own)->toBeTrue("$folder imports from $import");
            }
        }
    }
});

arch('the gate knows entries and standings, and no room that writes them')
    ->expect('MillStep\Core\Competency')
    ->not
    ->toUse(['MillStep\Core\Planning', 'MillStep\Core\Setup', 'MillStep\Core\Learning', 'MillStep\Core\Gate', 'MillStep\Core\Workshop']);

/**
 * What a folder of the application imports, room by room. What is named in full, in code or in a docblock, counts too.
 *
 * @return array<string, array<string, list<string>>> room => other room => files
 */
function imports_of_the_application(): array
{
    $imports = [];
    $root = dirname(__DIR__).'/app/';
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root, FilesystemIterator::SKIP_DOTS)) as $file) {
        $path = substr((string) $file, strlen($root));
        if (! str_ends_with($path, '.php')) {
            continue;
        }
        $room = explode('/', $path)[0];
        preg_match_all('/(?<![\\w\\\\])\\\\?App\\\\(\w+)\\\\/', (string) file_get_contents((string) $file), $found);
        foreach (array_unique($found[1]) as $other) {
            if ($other !== $room) {
                $imports[$room][$other][] = $path;
            }
        }
    }

    return $imports;
}

it('lets rooms of the application import downwards only', function (): void {
    // From the bottom up: each may import from those before it. The frame and the demo stand outside the house.
    $order = ['Support', 'Language', 'Measure', 'Policy', 'People', 'Workshop', 'Planning', 'Competency', 'Learning', 'Practice',
        'Assessment', 'Gate', 'Content', 'Live', 'Records'];
    $outside = ['Http', 'Providers', 'Demo'];
    $imports = imports_of_the_application();
    expect(array_diff(array_keys($imports), [...$order, ...$outside]))->toBe([]);
    foreach ($order as $at => $room) {
        foreach ($imports[$room] ?? [] as $other => $files) {
            expect(in_array($other, array_slice($order, 0, $at), true))->toBeTrue("$room imports from $other: ".implode(', ', $files));
        }
    }
    // Competency knows entries, and no room that writes them; records are read by nobody.
    expect(array_intersect(array_keys($imports['Competency']), ['Learning', 'Practice', 'Assessment', 'Gate', 'Planning']))->toBe([]);
});

it('lets rooms of the front end import downwards only', function (): void {
    // From the bottom up; what stands beside them (main, App, router) may import everything, and is imported by nothing.
    $order = ['api', 'i18n', 'ui', 'measure', 'language', 'people', 'live', 'workshop', 'planning', 'policy',
        'learning', 'practice', 'assessment',
        'records', 'content', 'competency', 'gate', 'frame'];
    $root = dirname(__DIR__).'/resources/js/';
    $seen = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root, FilesystemIterator::SKIP_DOTS)) as $file) {
        $path = substr((string) $file, strlen($root));
        $room = explode('/', $path)[0];
        if (preg_match('/(?<!\.test)\.(?:ts|vue)$/', $path) !== 1 || ! str_contains($path, '/') || $room === 'test') {
            continue;
        }
        $seen[$room] = true;
        preg_match_all("~from '(?:@/|\.\./)([^']+)'~", (string) file_get_contents((string) $file), $found);
        foreach ($found[1] as $import) {
            $other = explode('/', $import)[0];
            $below = $other === $room || in_array($other, array_slice($order, 0, (int) array_search($room, $order, true)), true);
            expect($below)->toBeTrue("$path imports $import");
        }
    }
    expect(array_diff(array_keys($seen), $order))->toBe([]);
});

arch('records read every room and are read by none')
    ->expect('App\Records')
    ->toOnlyBeUsedIn(['App\Records', 'App\Providers']);

it('lays arrays before the core at the border only, and in ever fewer places', function (): void {
    $places = 0;
    $folder = new RecursiveDirectoryIterator(dirname(__DIR__).'/app', FilesystemIterator::SKIP_DOTS);
    foreach (new RecursiveIteratorIterator($folder) as $file) {
        $places += substr_count((string) file_get_contents((string) $file), 'Fields::of(');
    }
    // This number only falls.
    expect($places)->toBeLessThanOrEqual(51);
});

it('has no two tests of one suite that name a helper alike: run whole, the second would end it', function (string $suite): void {
    $root = dirname(__DIR__);
    $named = [];
    $files = new RegexIterator(new RecursiveIteratorIterator(new RecursiveDirectoryIterator("$root/$suite")), '/\.php$/');
    foreach ($files as $file) {
        preg_match_all('/^(?:function|const) \w+/m', (string) file_get_contents((string) $file), $found);
        foreach ($found[0] as $name) {
            $named[str_starts_with($name, 'function') ? strtolower($name) : $name][] = str_replace("$root/", '', (string) $file);
        }
    }
    expect(array_filter($named, static fn (array $files): bool => count($files) > 1))->toBe([]);
})->with(['core/tests', 'tests']);

it('has no PHP line longer than 140 characters', function (): void {
    $root = dirname(__DIR__).'/';
    $long = [];
    foreach (['app', 'config', 'core/src', 'core/tests', 'database', 'packages', 'stand-ins', 'tests'] as $folder) {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root.$folder, FilesystemIterator::SKIP_DOTS)) as $file) {
            foreach ($file->getExtension() === 'php' ? file((string) $file, FILE_IGNORE_NEW_LINES) : [] as $number => $line) {
                mb_strlen($line) > 140 && $long[] = str_replace($root, '', "$file:").($number + 1);
            }
        }
    }
    expect($long)->toBe([]);
});

it('shows every picture that it keeps in the README, and fewer than twenty', function (): void {
    $root = dirname(__DIR__);
    $kept = array_map(basename(...), glob("$root/docs/screenshots/*") ?: []);
    preg_match_all('~docs/screenshots/([\w-]+\.png)~', (string) file_get_contents("$root/README.md"), $shown);
    expect($shown[1])->toEqualCanonicalizing($kept)->and(count($kept))->toBeLessThan(20);
});
