<?php

declare(strict_types=1);

use App\People\Role;
use App\Policy\Policy;
use App\Workshop\Bar;
use App\Workshop\Crib;
use App\Workshop\Machine;
use App\Workshop\MaterialRow;
use App\Workshop\WorkshopFile;
use Illuminate\Testing\TestResponse;
use MillStep\Core\Policy\PolicySettings;

function bring_in($test, array|string $file, bool $apply = true): TestResponse
{
    return $test->postJson('/api/workshop/file', ['text' => is_string($file) ? $file : json_encode($file), 'apply' => $apply]);
}

/** @return array<string, mixed> the workshop as a file */
function written_out(): array
{
    return json_decode(json_encode(app(WorkshopFile::class)->export()), true);
}

beforeEach(fn () => $this->actingAs($this->person(Role::Lead)));

it('goes out and comes back without loss, into an empty shop', function (): void {
    $file = $this->getJson('/api/workshop/file')->assertOk()->json();
    foreach (Machine::query()->get() as $machine) {
        $machine->permits()->detach();
        $machine->services()->delete();
    }
    App\Assessment\Sheet::query()->delete();
    App\Learning\Lesson::query()->delete();
    Machine::query()->delete();
    Crib::query()->delete();
    MaterialRow::query()->delete();
    Bar::query()->delete();
    Policy::query()->delete();
    bring_in($this, $file)->assertOk()->assertJson(['faults' => [], 'applied' => true, 'same' => 0]);
    unset($file['$schema']);
    expect(written_out())->toEqual($file);
    // Once more: nothing is left to change.
    bring_in($this, $file)->assertJson(['added' => [], 'changed' => []]);
});

it('says first what it would change, and changes nothing then', function (): void {
    $file = written_out();
    $file['machines'][0]['name'] = 'Renamed';
    $file['machines'][] = [
        'slug' => 'new-lathe',
        'name' => 'New lathe',
        'kind' => 'lathe',
        'speeds_rpm' => [100, 200],
        'cribs' => ['dubbed'],
    ];
    $file['bars'][0]['count'] = 99;
    $file['policy']['web_ratio'] = 0.25;
    $before = written_out();
    $outcome = bring_in($this, $file, apply: false)
        ->assertOk()
        ->assertJson(['applied' => false, 'added' => ['machine: New lathe']])
        ->json();
    expect($outcome['changed'])->toHaveCount(3)->toContain('machine: Renamed', 'policy')->and(written_out())->toBe($before);
    bring_in($this, $file)->assertJson(['applied' => true]);
    expect(Machine::query()->where('slug', 'new-lathe')->exists())->toBeTrue()->and(Policy::inForce()->webRatio)->toBe(0.25)
        // What a file does not name stays.
        ->and(bring_in($this, ['format' => 'mill-step-workshop', 'version' => 1, 'machines' => []])->json('applied'))
        ->toBeTrue()
        ->and(Machine::query()->count())
        ->toBe(7);
});

it('refuses a bad file with every fault and its place, and changes nothing', function (): void {
    $before = written_out();
    $file = $before;
    $file['machines'][0]['speeds_rpm'] = [500, -3];
    $file['machines'][1]['kind'] = 'mill';
    $file['cribs'][0]['tools'][0]['condition'] = 'tired';
    $file['policy']['colour'] = 'blue';
    $faults = bring_in($this, $file)->assertOk()->assertJson(['applied' => false])->json('faults');
    $places = array_column($faults, 'where');
    expect($places)
        ->toContain('/machines/0/speeds_rpm/1', '/machines/1/kind', '/cribs/0/tools/0/condition', '/policy')
        ->and(written_out())
        ->toBe($before);
});

it('refuses what a schema cannot see, all of it at once', function (): void {
    $before = written_out();
    $file = $before;
    $file['machines'][] = ['slug' => 'x1', 'name' => 'X', 'kind' => 'lathe', 'cribs' => ['nowhere']];
    $file['machines'][] = ['slug' => 'x1', 'name' => 'Y', 'kind' => 'lathe', 'min_rpm' => 500, 'max_rpm' => 100];
    $file['cribs'][] = [
        'slug' => 'c1',
        'name' => 'C',
        'tools' => [
            ['kind' => 'tap', 'designation' => 'odd', 'thread' => 'M99', 'type' => 'corkscrew'],
            ['kind' => 'drill', 'designation' => '5'],
            ['kind' => 'drill', 'designation' => '5'],
        ],
    ];
    $file['materials'][] = [...$before['materials'][0], 'key' => 'odd', 'point_angle_deg' => 5];
    $file['policy']['hours'] = [['days' => [1], 'from' => '08:00', 'to' => '17:00']];
    $file['policy']['time_zone'] = 'Atlantis';
    $words = implode(' ', array_column(bring_in($this, $file)->json('faults'), 'what'));
    expect($words)->toContain(
        '"x1" stands here 2 times',
        'No crib is called "nowhere"',
        'speeds_rpm',
        'max_rpm',
        'Say which kind of tap',
        '"M99" is no thread',
        'needs its diameter_mm',
        'twice',
        'point_angle_deg',
        'time zone',
    )
        ->and(written_out())->toBe($before);
});

it('sees past what is misshapen to what else is wrong', function (): void {
    $file = $before = written_out();
    $file['machines'][0]['kind'] = 'mill';
    $file['machines'][1]['cribs'] = ['nowhere'];
    $file['cribs'][0]['tools'][0]['condition'] = 'tired';
    $file['cribs'][0]['tools'][] = ['kind' => 'drill', 'designation' => 'a nameless one'];
    $file['policy']['colour'] = 'blue';
    $file['policy']['time_zone'] = 'Atlantis';
    $faults = bring_in($this, $file)->json('faults');
    expect(array_column($faults, 'where'))->toContain(
        '/machines/0/kind',
        '/machines/1/cribs',
        '/cribs/0/tools/0/condition',
        '/cribs/0/tools/'.(count($file['cribs'][0]['tools']) - 1),
        '/policy',
        '/policy/time_zone',
    )
        ->and(written_out())->toBe($before)
        ->and(bring_in($this, ['machines' => 'none', 'cribs' => [7], 'policy' => 3])->assertOk()->json('faults'))->not->toBe([]);
});

it('refuses what is no workshop file', function (string $text, string $words): void {
    expect(bring_in($this, $text)->assertOk()->json('faults.0.what'))->toContain($words);
})->with([['not json', 'no JSON document'], ['[1, 2]', 'no JSON document'], ['{"format": "other", "version": 1}', ''], ['{}', '']]);

it('publishes a schema that knows every setting of the policy', function (): void {
    $schema = json_decode((string) file_get_contents(public_path(WorkshopFile::SCHEMA)), true);
    expect(array_keys($schema['properties']['policy']['properties']))->toBe(array_keys(PolicySettings::all()));
    foreach (PolicySettings::all() as $key => $setting) {
        $published = $schema['properties']['policy']['properties'][$key];
        expect($published['enum'] ?? null)
            ->toBe($setting['choices'] ?? null, $key)
            ->and($published['minimum'] ?? null)
            ->toEqual($setting['least'] ?? null, $key)
            ->and($published['maximum'] ?? null)
            ->toEqual($setting['most'] ?? null, $key);
    }
});

it('is written out by whoever teaches and brought in by the shop lead only', function (): void {
    $this->actingAs($this->instructor());
    $this->getJson('/api/workshop/file')->assertOk();
    bring_in($this, written_out())->assertForbidden();
    $this->actingAs($this->person());
    $this->getJson('/api/workshop/file')->assertForbidden();
});
