<?php

declare(strict_types=1);

use App\Assessment\PublishSheet;
use App\Assessment\Sheet;
use App\Assessment\SheetAttempt;
use App\Competency\LedgerEntry;
use App\Support\FaultyContent;
use App\Support\YamlText;
use App\Workshop\Machine;

require_once __DIR__.'/marks.php';

/** The lines of a sheet, as one try has them: by machine and piece, with the reasons that were drawn, and what was answered to them. */
beforeEach(function (): void {
    $this->freezeTime();
    $this->by = $this->instructor();
    $this->learner = $this->person();
    bring($this->learner, 3, $this->by);
    $this->open = function (string $sheet = 'PS-through-holes', array $more = []): Illuminate\Testing\TestResponse {
        $opened = $this->actingAs($this->by)->postJson('/api/assessment/attempts', [
            'id' => fake_uuid(), 'sheet' => $sheet, 'learner_id' => $this->learner->id, ...$more,
        ])->assertCreated();
        $this->attempt = $opened->json('id');

        return $opened;
    };
    $this->levels = fn (Illuminate\Testing\TestResponse $sheet, string $line = 'speed-state') => criterion($sheet, $line)['levels'];
    $this->again = fn (string $language = 'en') => $this->withHeader('Accept-Language', $language)
        ->getJson("/api/assessment/attempts/{$this->attempt}");
});

it('says what is right at the machine that it is done at, and keeps to it', function (): void {
    $floor = Machine::query()->where('slug', 'floor-drill')->sole();
    $floor->update(['in_service' => true]);
    $opened = ($this->open)(more: ['machine' => 'floor-drill'])->assertJsonPath('machine_state.speed_change', 'running');
    expect(($this->levels)($opened))->met->toContain('Started first')->not_met->toContain('standstill');
    // Somebody puts the record right meanwhile: what was looked for is what is marked.
    $floor->update(['speed_change' => 'any']);
    expect(($this->levels)(($this->again)())['met'])->toContain('Started first');
    expect(SheetAttempt::withSheet()->findOrFail($this->attempt)->criterion('speed-state')['levels'])->toHaveKey('not_met');
});

it('says it for a machine that stands still, and for one of which nobody has said how its speed is set', function (?string $change): void {
    Machine::query()->where('slug', 'bench-drill')->sole()->update(['speed_change' => $change]);
    expect(($this->levels)(($this->open)(more: ['machine' => 'bench-drill']))['not_met'])->toBe('Belt touched with power on');
})->with(['stopped_and_isolated', null]);

it('keeps that nobody had said how the speed is set, and takes no list that is none', function (): void {
    $bench = Machine::query()->where('slug', 'bench-drill')->sole();
    $bench->update(['speed_change' => null]);
    ($this->open)(more: ['machine' => 'bench-drill'])->assertJsonPath('machine_state.speed_change', null);
    $bench->update(['speed_change' => 'running']);
    expect(($this->levels)(($this->again)())['not_met'])->toBe('Belt touched with power on');
    $this->actingAs($this->person(App\People\Role::Lead));
    $sheet = $this->getJson('/api/assessment/sheets/PS-through-holes')->json();
    $lines = array_map(static fn (array $line): array => isset($line['follow_ups'])
        ? [...$line, 'follow_ups' => ['one' => 'And then?']] : $line, $sheet['written']['criteria']);
    $this->putJson('/api/assessment/sheets/PS-through-holes', [
        'based_on' => $sheet['version'], 'title' => 'Holes', 'pass_mark_percent' => 80, 'change' => 'Keyed', 'criteria' => $lines,
        'translations' => $sheet['written']['translations'],
    ])->assertUnprocessable();
});

it('speaks of a machine and of a piece in the language of whoever asks', function (): void {
    all_permits();
    piloted($this->learner, $this->by, 'PS-grab');
    Machine::query()->where('slug', 'floor-drill')->sole()->update(['in_service' => true]);
    $opened = ($this->open)('PS-grab', ['variant' => 'brass', 'machine' => 'floor-drill']);
    expect(criterion($opened, 'edge'))->text->toContain('by eye')->levels->toMatchArray(['0' => 'Torn all round, or three-cornered']);
    app()->setLocale('es');
    $lines = collect(SheetAttempt::withSheet()->findOrFail($this->attempt)->criteria())->keyBy('id');
    expect($lines['edge']['text'])->toContain('a ojo')->and($lines['speed-state']['levels']['not_met'])->toContain('volante')
        ->and($lines->first(static fn (array $line): bool => isset($line['follow_ups']))['follow_ups'][0])->toStartWith('¿');
});

it('asks for three reasons of its bank, the same whenever it is looked at, and takes a mark for no other', function (): void {
    ($this->open)();
    $drawn = reasons($this);
    expect($drawn)->toHaveCount(3)
        ->and(collect(($this->again)()->json('criteria'))->where('group', 'why')->pluck('id')->all())->toBe($drawn);
    $bank = collect(Sheet::current('PS-through-holes')->criteria)->where('group', 'why')->pluck('id')->all();
    $other = array_values(array_diff($bank, $drawn))[0];
    put($this, $other, ['result' => 'met'])->assertConflict()->assertJsonPath('code', 'no_criterion');
    said_why($this, $other)->assertConflict()->assertJsonPath('code', 'no_criterion');
});

it('is not concluded without a word of what was answered', function (): void {
    ($this->open)();
    foreach (SheetAttempt::withSheet()->findOrFail($this->attempt)->criteria() as $line) {
        ($line['kind'] === 'observed' ? put($this, $line['id'], ['result' => 'met']) : measure($this, $line['id'], match (true) {
            $line['measure'] === 'position' => ['dx' => '0.1', 'dy' => '-0.1'],
            default => ['value' => $line['hole'] === 'M' ? '10.1' : '9.1'],
        }))->assertOk();
    }
    $end = fn () => $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion");
    $refused = $end()->assertConflict()->assertJsonPath('code', 'answers_missing');
    foreach (reasons($this) as $reason) {
        expect($refused->json('message'))->toContain(criterion(($this->again)(), $reason)['text']);
        said_why($this, $reason, 'Hooked, and hits the column')->assertSuccessful();
    }
    $end()->assertOk()->assertJsonPath('outcome', 'passed');
});

it('is concluded as stopped whatever was answered', function (): void {
    ($this->open)();
    put($this, 'key', ['result' => 'not_met'])->assertOk();
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertOk()->assertJsonPath('outcome', 'stopped');
});

it('is not published with levels for a machine that there is not, with half of them, or said in one language alone', function (
    string $from,
    string $to,
    string $code,
    bool $there = false,
): void {
    $read = static fn (string $folder): string => (string) file_get_contents(base_path("content/drill-press/$folder/through-holes.yaml"));
    $change = function (string $text) use ($from, $to): string {
        expect($text)->toContain($from);

        return str_replace($from, $to, $text);
    };
    $own = (string) preg_replace('/^version: \d+/m', 'version: 90', $read('sheets'));
    $said = $read('locales/es/sheets');
    $publish = fn () => app(PublishSheet::class)(
        YamlText::read('sheet.yaml', $there ? $own : $change($own)),
        ['es' => YamlText::read('es.yaml', $there ? $change($said) : $said)],
    );
    try {
        $publish();
        $this->fail('It was published.');
    } catch (FaultyContent $faulty) {
        expect(array_column(array_map(static fn ($fault): array => ['code' => $fault->what->code], $faulty->faults), 'code'))
            ->toContain("fault.content.$code");
    }
})->with([
    'another machine' => ['      running: {', '      crawling: {', 'levels_for'],
    'half of the levels' => [', not_met: "Changed with the drill in the work"}', '}', 'levels_for'],
    'a measure that nobody must get right' => [
        'id: dia-M, group: measured, lesson: C2, kind: measured, weight: 4, critical: true',
        'id: dia-M, group: measured, lesson: C2, kind: measured, weight: 4, critical: false', 'measured_not_critical',
    ],
    'a question in one language' => [', follow_ups: ["¿Y una broca el doble de gruesa?", "¿Y en aluminio?"]', '', 'untranslated', true],
    'a machine in one language' => [', any: {', ', none: {', 'untranslated', true],
]);

it('says why nobody fails by a measure that is not critical', function (): void {
    $said = '$1critical: false, not_critical_because: "tried once"';
    $file = (string) preg_replace(['/^version: \d+/m', '/(id: pos-M, .*?)critical: true/'], ['version: 91', $said],
        (string) file_get_contents(base_path('content/drill-press/sheets/through-holes.yaml')));
    app(PublishSheet::class)(YamlText::read('sheet.yaml', $file));
    expect(criterion(($this->open)(), 'pos-M'))->not_critical_because->toBe('tried once')->critical->toBeFalse();
});

it('puts on record what of an emergency was found at the place, and the signature rests on it', function (): void {
    $shown = fn () => LedgerEntry::query()->where('learner_id', $this->learner->id)->where('type', 'shown')->get();
    $path = "/api/competency/learners/{$this->learner->id}/permits/drill-through-10/sign-off";
    $rests = fn () => $this->getJson($path)->json('rests_on.places');
    ($this->open)(more: ['machine' => 'bench-drill']);
    fillSheet($this);
    expect($shown())->toBeEmpty()->and($rests())->toBeNull();
    $end = fn () => $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertOk();
    [$end(), $end()];
    expect($shown())->toHaveCount(1)->and($shown()->sole()->details())->toMatchArray([
        'what' => ['stop', 'isolator', 'first_aid'], 'place' => 'bench-drill', 'attempt' => $this->attempt,
    ])->and($rests())->toMatchArray(['place' => 'Bench drill press', 'by' => $this->by->name]);
});

it('records nothing of whoever did not find one of them, and does not pass them', function (): void {
    ($this->open)();
    fillSheet($this);
    put($this, 'shown', ['result' => 'not_met'])->assertOk();
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertOk()->assertJsonPath('outcome', 'not_yet');
    expect(LedgerEntry::query()->where('type', 'shown')->exists())->toBeFalse();
});

it('is passed only with a photograph of the part where the shop asks for one, and not yet without', function (): void {
    ($this->open)();
    fillSheet($this);
    $end = fn () => $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion");
    $this->policy(['part_photo_required' => true]);
    expect($end()->assertConflict()->assertJsonPath('code', 'no_photograph')->json('message'))
        ->toContain(SheetAttempt::query()->findOrFail($this->attempt)->part_code);
    Illuminate\Support\Facades\Storage::fake('media');
    $image = imagecreatetruecolor(8, 8);
    ob_start();
    imagejpeg($image);
    $this->postJson("/api/assessment/attempts/{$this->attempt}/photos", [
        'id' => fake_uuid(), 'criterion' => null, 'image' => base64_encode((string) ob_get_clean()),
        'made_at' => now()->toIso8601ZuluString(),
    ])->assertSuccessful();
    $end()->assertOk()->assertJsonPath('outcome', 'passed');
});

it('asks for no photograph of whoever does not pass', function (): void {
    $this->policy(['part_photo_required' => true]);
    ($this->open)();
    fillSheet($this);
    put($this, 'lubricant', ['result' => 'not_met'])->assertOk();
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertOk()->assertJsonPath('outcome', 'not_yet');
});
