<?php

declare(strict_types=1);

use App\Content\Agree\Agree;
use Illuminate\Support\Facades\File;

/** A folder with the packs that ship, in which something is then changed. */
beforeEach(function (): void {
    $this->folder = sys_get_temp_dir().'/mill-step-agree-'.getmypid();
    File::copyDirectory(base_path('content'), $this->folder);
    $this->change = function (string $file, string $from, string $to): void {
        $text = (string) file_get_contents("$this->folder/$file");
        expect($text)->toContain($from);
        file_put_contents("$this->folder/$file", str_replace($from, $to, $text));
    };
    $this->agree = fn () => $this->artisan(Agree::class, ['folder' => $this->folder]);
});

afterEach(fn () => File::deleteDirectory($this->folder));

it('finds nothing in the packs that ship', function (): void {
    ($this->agree)()->assertSuccessful()->run();
});

it('finds a permit that signs for what no sheet shows', function (string $from, string $to, string $what): void {
    ($this->change)('drill-press/permits/drill-through-10.yaml', $from, $to);
    ($this->agree)()->expectsOutputToContain($what)->assertFailed()->run();
})->with([
    'a material' => ['aluminium_6000]', 'aluminium_6000, nylon]', 'drill-through-10 drill nylon'],
    'an operation' => ['operations: [drill]', 'operations: [drill, ream]', 'drill-through-10 ream mild_steel'],
    'a size' => ['max_diameter_mm: 10', 'max_diameter_mm: 12', 'drill-through-10 drill mild_steel'],
]);

it('finds a permit that reams and taps wider than anybody may drill for it', function (): void {
    ($this->change)('drill-press-further/permits/drill-ream-tap.yaml', 'max_diameter_mm: 10', 'max_diameter_mm: 12');
    ($this->agree)()->expectsOutputToContain('drill-ream-tap tap bronze')->assertFailed()->run();
});

it('finds a sheet that is passed by its critical lines alone, and levels that are one event', function (): void {
    $sheet = 'drill-press/sheets/through-holes.yaml';
    ($this->change)($sheet, 'prompted: "Reminded before the power came on"', 'prompted: "Reminded with the power on"');
    $gates = "gates: {observed_pass_percent: 1, prompt_limit: 20, why_limit: 10}\n";
    ($this->change)($sheet, "    must: true\n", '');
    ($this->change)($sheet, "pass_mark_percent: 80\n", "pass_mark_percent: 10\n$gates");
    ($this->agree)()->expectsOutputToContain('PS-through-holes eyes')->expectsOutputToContain('C4')->assertFailed()->run();
});

it('finds what no line watches for, levels of one machine alone, and a statement that rests on nothing', function (
    string $from,
    string $to,
    string $what,
): void {
    ($this->change)('drill-press/sheets/through-holes.yaml', $from, $to);
    ($this->agree)()->expectsOutputToContain($what)->assertFailed()->run();
})->with([
    'nothing watches for a guard' => ['review: [guard_open, ', 'review: [', 'PS-through-holes guard_open'],
    'a line that is to be put right lets it pass' => ["    must: true\n    review: [lubricant_missing]", '    review: [lubricant_missing]',
        'PS-through-holes lubricant_missing'],
    'levels of belts alone' => ['      running: {', '      walking: {', 'PS-through-holes speed-state'],
    'a statement that says more' => ['places: [stop, isolator, first_aid]', 'places: [stop, isolator]', 'drill-through-10 first_aid'],
]);

it('finds limits that nobody can keep, that come from nowhere, and a hole that is drilled already', function (
    string $sheet,
    string $from,
    string $to,
    string $what,
): void {
    ($this->change)("drill-press-further/sheets/$sheet.yaml", $from, $to);
    ($this->agree)()->expectsOutputToContain($what)->assertFailed()->run();
})->with([
    'closer than a drill keeps' => ['drill-round', 'plus_mm: 0.25', 'plus_mm: 0.2', 'C3'],
    'typed for no reason' => ['drill-taper', 'typed: "the drill is chosen for the sheet; the limits are what it keeps", ', '', 'C2'],
    'where a hole is' => ['drill-taper', 'y_mm: 20', 'y_mm: 40', 'C11'],
]);

it('bears with what is known, and with nothing that does not occur any more', function (): void {
    ($this->change)('drill-press/permits/drill-through-10.yaml', 'aluminium_6000]', 'aluminium_6000, nylon]');
    $known = '[{rule: B1-B2, id: drill-through-10 drill nylon, reason: the sheet comes with the next pack, since: "2031-05-02"}]';
    $others = (string) file_get_contents("$this->folder/agree.yaml");
    file_put_contents("$this->folder/agree.yaml", $others.'- '.trim($known, '[]')."\n");
    ($this->agree)()->assertSuccessful()->run();
    ($this->change)('drill-press/permits/drill-through-10.yaml', ', nylon]', ']');
    ($this->agree)()->expectsOutputToContain('does not occur any more')->assertFailed()->run();
    file_put_contents("$this->folder/agree.yaml", '[{rule: B1-B2, id: drill-through-10 drill nylon}]');
    ($this->agree)()->expectsOutputToContain('says its reason')->assertFailed()->run();
});
