<?php

declare(strict_types=1);

use App\Assessment\SheetAttempt;
use App\People\Role;
use App\Workshop\Gauges\CheckGauge;
use App\Workshop\Gauges\Gauge;
use App\Workshop\Gauges\SaveGauge;

require_once __DIR__.'/marks.php';

beforeEach(function (): void {
    $this->by = $this->instructor();
    $this->learner = $this->person();
    bring($this->learner, 3, $this->by);
    $this->attempt = $this->actingAs($this->by)
        ->postJson('/api/assessment/attempts', ['id' => fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $this->learner->id])
        ->json('id');
});

it('lets the learner measure first, and the assessor after them', function (): void {
    put($this, 'dia-A', ['reading' => ['value' => '9.1']])->assertConflict()->assertJsonPath('code', 'learner_first');
    $this->actingAs($this->learner);
    put($this, 'dia-A', ['reading' => ['value' => '9.12']], 'learner')->assertOk();
    put($this, 'dia-A', ['reading' => ['value' => '9.1']])->assertForbidden();
    $this->actingAs($this->by);
    put($this, 'dia-A', ['reading' => ['value' => '9.1']])->assertOk();
});

it('shows neither the other\'s reading until both are in', function (): void {
    put($this, 'dia-A', ['reading' => ['value' => '9.12']], 'learner')->assertOk();
    $seen = criterion($this->getJson("/api/assessment/attempts/{$this->attempt}"), 'dia-A');
    expect($seen['learner'])->done->toBeTrue()->readings->toBeNull()->found->toBeNull()->and($seen['apart_mm'])->toBeNull();
    put($this, 'pos-A', ['reading' => ['dx' => '0.1', 'dy' => '0']], 'learner')->assertOk();
    put($this, 'dia-A', ['reading' => ['value' => '9.1']])->assertOk();
    $this->actingAs($this->learner);
    $theirs = $this->getJson("/api/assessment/attempts/{$this->attempt}");
    expect(criterion($theirs, 'dia-A'))->readings->toHaveCount(1)->apart_mm->toEqualWithDelta(0.02, 1e-9)
        ->and(criterion($theirs, 'pos-A'))->readings->toBe([])->found->toBeNull()->learner->readings->toHaveCount(1)
        // Verdicts are told when the sheet has ended.
        ->and($theirs->json('score'))->toBeNull();
});

it('takes no field that no way of measuring has', function (): void {
    put($this, 'dia-A', ['reading' => ['value' => '9.1', str_repeat('x', 5000) => '1']], 'learner')->assertUnprocessable();
});

it('goes on where the learner does not measure, and says so', function (): void {
    put($this, 'dia-A', ['declined' => true], 'learner')->assertConflict()->assertJsonPath('code', 'why_declined');
    put($this, 'dia-A', ['declined' => true, 'why' => 'Has a hand in plaster'], 'learner')->assertOk();
    $last = put($this, 'dia-A', ['reading' => ['value' => '9.1']])->assertOk();
    expect(criterion($last, 'dia-A'))->learner->declined->toBeTrue()->learner->why->toBe('Has a hand in plaster')->apart_mm->toBeNull();
});

it('measures again what is doubtful, three times at most, and then the mean decides', function (): void {
    measure($this, 'dia-A', ['value' => '9.29'])->assertOk();
    expect(criterion(put($this, 'dia-A', ['reading' => ['value' => '9.30']]), 'dia-A')['found'])->verdict->toBe('doubtful')->again->toBe(1);
    $third = put($this, 'dia-A', ['reading' => ['value' => '9.285']])->assertOk();
    expect(criterion($third, 'dia-A')['found'])->verdict->toBe('in')->why->code->toBe('assessment.found.mean_in')
        ->spread_mm->toEqualWithDelta(0.015, 1e-9);
    $this->travel(11)->seconds();
    put($this, 'dia-A', ['reading' => ['value' => '9.1']])->assertConflict()->assertJsonPath('code', 'marked_already');
});

it('lets both measure again where they lie too far apart', function (): void {
    $last = measure($this, 'dia-A', ['value' => '9.1'], theirs: ['value' => '9.2']);
    expect(criterion($last, 'dia-A'))->too_far_apart->toBeTrue();
    $this->travel(30)->seconds();
    put($this, 'dia-A', ['reading' => ['value' => '9.11']], 'learner')->assertOk();
    $again = put($this, 'dia-A', ['reading' => ['value' => '9.12']])->assertOk();
    // What each read last is compared, and nobody's slip is carried along in a mean.
    expect(criterion($again, 'dia-A'))->too_far_apart->toBeFalse()->apart_mm->toEqualWithDelta(-0.01, 1e-9);
});

it('begins anew where a reading is corrected, and keeps the wrong one in sight', function (): void {
    measure($this, 'dia-A', ['value' => '91.2'])->assertOk();
    $this->travel(11)->seconds();
    $last = put($this, 'dia-A', ['reading' => ['value' => '9.12'], 'why' => 'The point was in the wrong place'])->assertOk();
    expect(criterion($last, 'dia-A'))->found->verdict->toBe('in')->readings->toHaveCount(1)->before->{0}->typed->toBe('91.2');
});

it('takes coordinates and pins as well as offsets', function (): void {
    measure($this, 'pos-A', ['x' => '15.1', 'y' => '15'])->assertOk();
    $last = measure($this, 'pos-B', ['x' => '89.6', 'y' => '19.5', 'pin' => '9'])->assertOk();
    $sheet = $this->getJson("/api/assessment/attempts/{$this->attempt}");
    expect(criterion($last, 'pos-B')['found']['value_mm'])->toEqualWithDelta(0.2, 1e-6);
    expect(criterion($sheet, 'pos-A')['found']['value_mm'])->toEqualWithDelta(0.2, 1e-6)
        ->and(criterion($sheet, 'pos-B')['found']['value_mm'])->toEqualWithDelta(0.2, 1e-6);
});

it('takes the zero error of the gauge off, doubts as much as the gauge does, and says that it is past its date', function (): void {
    $gauge = app(SaveGauge::class)(null, ['name' => 'Caliper 7', 'kind' => 'caliper', 'resolution_mm' => 0.01, 'uncertainty_mm' => 0.03]);
    app(CheckGauge::class)($gauge, $this->by, [
        'id' => fake_uuid(), 'checked_on' => now()->subYear()->toDateString(), 'against' => 'Gauge blocks 5 and 20 mm',
        'zero_error_mm' => 0.02, 'due_on' => now()->subDay()->toDateString(),
    ]);
    put($this, 'dia-A', ['reading' => ['value' => '9.28']], 'learner')->assertOk();
    $last = put($this, 'dia-A', ['reading' => ['value' => '9.28'], 'gauge' => $gauge->slug])->assertOk();
    expect(criterion($last, 'dia-A'))->found->value_mm->toEqualWithDelta(9.26, 1e-9)->found->verdict->toBe('in')
        ->readings->{0}->toMatchArray([
            'gauge' => 'Caliper 7', 'gauge_late' => true, 'gauge_checked_on' => now()->subYear()->toDateString(),
        ])
        ->apart_mm->toEqualWithDelta(0.02, 1e-9);
    put($this, 'dia-B', ['reading' => ['value' => '9.1']], 'learner')->assertOk();
    put($this, 'dia-B', ['reading' => ['value' => '9.1'], 'gauge' => 'nobodys'])->assertConflict()->assertJsonPath('code', 'no_gauge');
});

it('takes no reading with a gauge past its date, where the policy wants that, and keeps which check stood then', function (): void {
    $this->policy(['gauges_in_date' => true]);
    $gauge = app(SaveGauge::class)(null, ['name' => 'Caliper 9', 'kind' => 'caliper', 'resolution_mm' => 0.01, 'uncertainty_mm' => 0.02]);
    $check = fn (string $on, string $due) => app(CheckGauge::class)($gauge, $this->by, [
        'id' => fake_uuid(), 'checked_on' => $on, 'against' => 'Gauge blocks 5 and 20 mm', 'zero_error_mm' => 0, 'due_on' => $due,
    ]);
    $read = fn (string $seat) => put($this, 'dia-A', ['reading' => ['value' => '9.1'], 'gauge' => $gauge->slug], $seat);
    $read('learner')->assertConflict()->assertJsonPath('code', 'gauge_overdue');
    // Nobody knows when a gauge that is not named was checked.
    put($this, 'dia-A', ['reading' => ['value' => '9.1']], 'learner')->assertConflict()->assertJsonPath('code', 'gauge_not_named');
    $check(now()->subYear()->toDateString(), now()->subDay()->toDateString());
    $read('learner')->assertConflict()->assertJsonPath('code', 'gauge_overdue');
    $check(now()->subMonth()->toDateString(), now()->addMonth()->toDateString());
    $read('learner')->assertOk();
    $last = $read('assessor')->assertOk();
    $check(now()->toDateString(), now()->addYear()->toDateString());
    expect(criterion($this->getJson("/api/assessment/attempts/{$this->attempt}"), 'dia-A')['readings'][0]['gauge_checked_on'])
        ->toBe(now()->subMonth()->toDateString())->toBe(criterion($last, 'dia-A')['readings'][0]['gauge_checked_on']);
});

it('names the part before it is measured, and has no card of it before it is concluded', function (): void {
    $code = $this->getJson("/api/assessment/attempts/{$this->attempt}")->assertOk()->json('part_code');
    expect($code)->toMatch('/^[2-9A-Y]{6}$/');
    $this->getJson("/api/assessment/parts/$code")->assertNotFound();
    fillSheet($this);
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertOk()->assertJsonPath('part_code', $code);
    $this->getJson("/api/assessment/parts/$code")->assertOk();
});

it('lets nobody assess with a gauge that cannot tell, however often it is read', function (): void {
    $save = app(SaveGauge::class);
    $rule = $save(null, ['name' => 'Rule 3', 'kind' => 'rule', 'resolution_mm' => 0.5, 'uncertainty_mm' => 0.25]);
    put($this, 'dia-A', ['reading' => ['value' => '9.1'], 'gauge' => $rule->slug], 'learner')->assertOk();
    put($this, 'dia-A', ['reading' => ['value' => '9.1'], 'gauge' => $rule->slug])->assertConflict()
        ->assertJsonPath('code', 'gauge_too_coarse')->assertJsonPath('message', fn (string $says): bool => str_contains($says, '0.25 mm'));
    $this->withHeader('Accept-Language', 'es');
    put($this, 'dia-A', ['reading' => ['value' => '9.1'], 'gauge' => $rule->slug])->assertConflict()
        ->assertJsonPath('message', fn (string $says): bool => str_contains($says, 'basto'));
    $last = put($this, 'dia-A', ['reading' => ['value' => '9.1']])->assertOk();
    expect(criterion($last, 'dia-A')['found']['verdict'])->toBe('in');
});

it('takes two places apart by where they are', function (): void {
    $last = measure($this, 'pos-A', ['dx' => '0.2', 'dy' => '0'], theirs: ['dx' => '-0.2', 'dy' => '0']);
    expect(criterion($last, 'pos-A'))->apart_mm->toEqualWithDelta(0.4, 1e-9)->too_far_apart->toBeTrue()->turn->toBe('learner');
});

it('is not concluded while the two who measured lie too far apart', function (): void {
    fillSheet($this);
    put($this, 'dia-A', ['reading' => ['value' => '9.1'], 'why' => 'Read again'])->assertOk();
    put($this, 'dia-A', ['reading' => ['value' => '9.28'], 'why' => 'Read again'], 'learner')->assertOk();
    $conclude = fn () => $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion");
    $conclude()->assertConflict()->assertJsonPath('code', 'too_far_apart');
    put($this, 'dia-A', ['reading' => ['value' => '9.12'], 'why' => 'Zeroed, read again'], 'learner')->assertOk();
    put($this, 'dia-A', ['reading' => ['value' => '9.1'], 'why' => 'Read again'])->assertOk();
    $conclude()->assertOk();
});

it('gives everybody their own dimensions and judges what they work out from them', function (): void {
    all_permits();
    piloted($this->learner, $this->by, 'PS-rings');
    $attempt = $this->postJson('/api/assessment/attempts', [
        'id' => fake_uuid(), 'sheet' => 'PS-rings', 'learner_id' => $this->learner->id, 'machine' => 'metric-lathe',
    ])
        ->assertCreated();
    $this->attempt = $attempt->json('id');
    $thick = $attempt->json('dimensions.0.mm');
    expect($thick)->toBeGreaterThanOrEqual(4)->toBeLessThanOrEqual(7);
    $this->actingAs($this->learner);
    $path = "/api/assessment/attempts/{$this->attempt}/tasks/move";
    $this->putJson($path, ['answer' => 'far'])->assertUnprocessable();
    $this->putJson($path, ['answer' => ($thick + 2.2).' mm'])->assertOk()->assertJsonPath('tasks.0.key', null)
        ->assertJsonPath('tasks.0.right', null);
    $this->putJson("/api/assessment/attempts/{$this->attempt}/tasks/nothing", ['answer' => '4'])->assertConflict();
    $this->actingAs($this->by)->getJson("/api/assessment/attempts/{$this->attempt}")
        ->assertJsonPath('tasks.0.right', true)->assertJsonPath('tasks.0.key', fn ($key): bool => abs($key - $thick - 2.2) < 1e-9);
    // The limits are of their own size, and of a ring as it comes off the blade.
    $last = measure($this, 'thick-1', ['value' => ($thick + 0.2).' mm'])->assertOk();
    expect(criterion($last, 'thick-1'))->found->verdict->toBe('in')->wants->lower_mm->toEqualWithDelta($thick + 0.1, 1e-9);
});

it('judges plugs, threads and points in words and numbers', function (): void {
    all_permits();
    piloted($this->learner, $this->by, 'PS-tapped-block', 'PS-grab');
    $open = fn (string $sheet) => $this->postJson('/api/assessment/attempts', [
        'id' => fake_uuid(), 'sheet' => $sheet, 'learner_id' => $this->learner->id,
    ])->json('id');
    $this->attempt = $open('PS-tapped-block');
    expect(criterion(measure($this, 'gauge', ['go' => 'yes', 'turns' => '1,5']), 'gauge')['found']['verdict'])->toBe('in')
        ->and(criterion(measure($this, 'plug', ['go' => 'yes', 'no_go' => 'yes']), 'plug')['found'])
        ->verdict->toBe('out')->savable->toBeFalse();
    $this->attempt = $open('PS-grab');
    put($this, 'edge', ['result' => 5])->assertUnprocessable();
    put($this, 'edge', ['result' => 3])->assertOk();
});

it('lets a second instructor watch, unseen until they have said what they saw', function (): void {
    $second = $this->instructor();
    $path = "/api/assessment/attempts/{$this->attempt}/second";
    put($this, 'eyes', ['result' => 'met'])->assertOk();
    $this->putJson($path)->assertConflict()->assertJsonPath('code', 'first_is_no_second');
    $this->actingAs($second)->putJson($path)->assertOk()->assertJsonPath('viewer', 'second')->assertJsonPath('criteria.0.mark', null);
    put($this, 'eyes', ['result' => 'prompted'], 'second')->assertOk()->assertJsonPath('criterion.mark.result', 'prompted');
    put($this, 'eyes', ['result' => 'met'])->assertForbidden();
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertForbidden();
    $third = $this->instructor();
    $this->actingAs($third)->putJson($path)->assertConflict()->assertJsonPath('code', 'seat_taken');
    // The first sees that somebody watches, and nothing of what they mark; it does not stop the sheet.
    $this->actingAs($this->by)->getJson("/api/assessment/attempts/{$this->attempt}")->assertJsonPath('criteria.0.second', null)
        ->assertJsonPath('second.marks', 1)->assertJsonPath('score.outcome', 'incomplete');
    put($this, 'eyes', ['result' => 'met'], 'second')->assertForbidden();
    $this->actingAs($second)->postJson($path, ['agrees' => false, 'says' => 'Eyes only after a word'])->assertConflict()
        ->assertJsonPath('code', 'not_concluded');
    $this->actingAs($this->by);
    put($this, 'key', ['result' => 'not_met'])->assertOk();
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertOk();
    $this->actingAs($second)->postJson($path, ['agrees' => false])->assertConflict()->assertJsonPath('code', 'why_disagree');
    $says = ['agrees' => false, 'says' => 'Eyes only after a word'];
    $this->postJson($path, $says)->assertOk();
    $this->postJson($path, $says)->assertOk();
    $this->postJson($path, ['agrees' => true])->assertConflict()->assertJsonPath('code', 'second_is_done');
    put($this, 'held', ['result' => 'met'], 'second')->assertConflict()->assertJsonPath('code', 'second_is_done');
    // The outcome stays; what was seen otherwise stands beside it.
    $this->actingAs($this->by)->getJson("/api/assessment/attempts/{$this->attempt}")->assertJsonPath('outcome', 'stopped')
        ->assertJsonPath('criteria.1.second', 'prompted')->assertJsonPath('second.says', 'Eyes only after a word');
});

it('tells the learner in the end what cost what, and what to practise', function (): void {
    put($this, 'key', ['result' => 'not_met'])->assertOk();
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertOk();
    $seen = $this->actingAs($this->learner)->getJson("/api/assessment/attempts/{$this->attempt}")->assertOk();
    expect($seen->json('score.outcome'))->toBe('stopped')
        ->and(collect($seen->json('losses'))->firstWhere('criterion', 'key')['why'])->toBe('stopped')
        ->and(criterion($seen, 'key')['lesson'])->toBe('C4')->and($seen->json('part_code'))->toMatch('/^[2-9A-Y]{6}$/');
});

it('keeps gauges and their checks, each check once', function (): void {
    $gauge = ['name' => 'Depth gauge 2', 'kind' => 'depth', 'resolution_mm' => 0.02, 'uncertainty_mm' => 0.03];
    $slug = $this->postJson('/api/workshop/gauges', $gauge)->assertCreated()->assertJsonPath('past_due', true)->json('slug');
    $this->postJson('/api/workshop/gauges', $gauge)->assertConflict()->assertJsonPath('code', 'gauge_named');
    $check = ['id' => fake_uuid(), 'checked_on' => now()->toDateString(), 'against' => 'Gauge block 10 mm', 'zero_error_mm' => -0.01,
        'due_on' => now()->addYear()->toDateString()];
    foreach ([1, 2] as $ignored) {
        $this->postJson("/api/workshop/gauges/$slug/checks", $check)->assertCreated()->assertJsonPath('past_due', false)
            ->assertJsonCount(1, 'checks');
    }
    $this->postJson("/api/workshop/gauges/$slug/checks", [...$check, 'against' => 'A coin'])->assertConflict();
    $this->postJson("/api/workshop/gauges/$slug/checks", [...$check, 'id' => fake_uuid(), 'zero_error_mm' => str_repeat('9', 40)])
        ->assertUnprocessable();
    $this->putJson("/api/workshop/gauges/$slug", [...$gauge, 'retired' => true])->assertOk()->assertJsonPath('retired', true);
    $this->postJson('/api/workshop/gauges', $gauge)->assertCreated();
    $this->actingAs($this->learner)->postJson('/api/workshop/gauges', $gauge)->assertForbidden();
    $this->actingAs($this->person(Role::Auditor))->getJson('/api/workshop/gauges')->assertOk();
});

it('takes no photograph that is none, or more than one, and keeps a good one small for those who may see it', function (): void {
    Illuminate\Support\Facades\Storage::fake('media');
    $path = "/api/assessment/attempts/{$this->attempt}/photos";
    $send = fn (string $bytes, ?string $id = null) => $this->postJson($path, [
        'id' => $id ?? fake_uuid(), 'criterion' => 'held', 'image' => base64_encode($bytes), 'made_at' => now()->toIso8601ZuluString(),
    ]);
    $jpeg = static function (int $width, int $height): string {
        $picture = imagecreatetruecolor($width, $height);
        ob_start();
        imagejpeg($picture);

        return (string) ob_get_clean();
    };
    $good = $jpeg(2400, 1800);
    $send('no picture at all')->assertConflict()->assertJsonPath('code', 'no_picture');
    $send(substr($good, 0, 2000))->assertConflict();
    $send($good.'PK and a second file')->assertConflict()->assertJsonPath('code', 'picture_and_more');
    // A few bytes that would be 900 megapixels.
    $bomb = "\x89PNG\r\n\x1a\n".pack('N', 13).'IHDR'.pack('NNCCCCC', 30_000, 30_000, 8, 2, 0, 0, 0)."\0\0\0\0";
    $send($bomb)->assertConflict()->assertJsonPath('code', 'picture_too_large');
    $this->postJson($path, ['id' => fake_uuid(), 'image' => '!!!', 'made_at' => now()->toIso8601ZuluString()])->assertConflict();
    $id = fake_uuid();
    $send($good, $id)->assertCreated()->assertJsonPath('photos.0.width', 1600);
    $send($good, $id)->assertCreated()->assertJsonCount(1, 'photos');
    $send($jpeg(10, 10), $id)->assertConflict()->assertJsonPath('code', 'id_used');
    $this->get("/api/assessment/photos/$id")->assertOk()->assertHeader('content-type', 'image/jpeg');
    $this->actingAs($this->learner)->get("/api/assessment/photos/$id")->assertOk();
    $this->actingAs($this->person())->getJson("/api/assessment/photos/$id")->assertForbidden();
    $this->actingAs($this->learner)->postJson($path, [])->assertForbidden();
});

it('says of a photograph that it came after the sheet was concluded, whatever date it says', function (): void {
    Illuminate\Support\Facades\Storage::fake('media');
    $send = function (): Illuminate\Testing\TestResponse {
        $picture = imagecreatetruecolor(20, 20);
        ob_start();
        imagejpeg($picture);

        return $this->postJson("/api/assessment/attempts/{$this->attempt}/photos", [
            'id' => fake_uuid(), 'image' => base64_encode((string) ob_get_clean()),
            'made_at' => now()->subHour()->toIso8601ZuluString(),
        ])->assertCreated();
    };
    $send()->assertJsonPath('photos.0.added_at', null);
    fillSheet($this);
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertOk();
    $this->travel(3)->minutes();
    $send();
    $shown = $this->getJson("/api/assessment/attempts/{$this->attempt}")->json('photos');
    expect(array_column($shown, 'added_at'))->toEqualCanonicalizing([null, now()->toIso8601ZuluString()]);
});

it('takes a photograph of twelve megapixels', function (): void {
    Illuminate\Support\Facades\Storage::fake('media');
    $picture = imagecreatetruecolor(4032, 3024);
    ob_start();
    imagejpeg($picture);
    $this->postJson("/api/assessment/attempts/{$this->attempt}/photos", [
        'id' => fake_uuid(), 'image' => base64_encode((string) ob_get_clean()), 'made_at' => now()->toIso8601ZuluString(),
    ])->assertCreated()->assertJsonPath('photos.0.height', 1200);
});

it('keeps its own version while a new one is published', function (): void {
    $sheet = SheetAttempt::query()->with('sheet')->findOrFail($this->attempt)->sheet;
    App\Assessment\Sheet::query()->create([
        ...$sheet->only(['code', 'title', 'part_id', 'machine_kind', 'pass_mark_percent']), 'version' => $sheet->version + 1,
        'criteria' => array_slice($sheet->criteria, 0, 3),
    ]);
    $this->getJson("/api/assessment/attempts/{$this->attempt}")->assertJsonPath('sheet.version', $sheet->version)
        ->assertJsonCount(count($sheet->criteria) - 2, 'criteria');
});

it('adds what the tips of a named caliper take off a bore, for both who read, and says so', function (): void {
    Gauge::query()->create([
        'slug' => 'wide', 'name' => 'Wide', 'kind' => 'caliper', 'resolution_mm' => 0.01, 'uncertainty_mm' => 0.02, 'tip_mm' => 1,
    ]);
    // 9.0 to 9.3 is wanted; read with tips of 1 mm a hole of 9.05 shows 8.995.
    put($this, 'dia-A', ['reading' => ['value' => '8.995'], 'gauge' => 'wide'], 'learner')->assertOk();
    $line = criterion(put($this, 'dia-A', ['reading' => ['value' => '8.995'], 'gauge' => 'wide'])->assertOk(), 'dia-A');
    expect($line['found']['verdict'])->toBe('in')->and($line['readings'][0]['came_to_mm'])->toEqualWithDelta(9.0504, 0.001)
        ->and($line['readings'][0]['tip_mm'])->toEqual(1)->and($line['learner']['readings'][0]['tip_mm'])->toEqual(1)
        ->and($line['apart_mm'])->toEqual(0);
    // Measured anew, it is another figure from then on: what was read is not read again.
    Gauge::query()->where('slug', 'wide')->update(['tip_mm' => 2]);
    $again = criterion($this->getJson("/api/assessment/attempts/{$this->attempt}"), 'dia-A');
    expect($again['readings'][0]['came_to_mm'])->toEqualWithDelta(9.0504, 0.001)->and($again['readings'][0]['tip_mm'])->toEqual(1);
    // A place is no bore.
    put($this, 'pos-A', ['reading' => ['dx' => '0.1', 'dy' => '0'], 'gauge' => 'wide'], 'learner')->assertOk();
    expect(criterion($this->getJson("/api/assessment/attempts/{$this->attempt}"), 'pos-A')['learner']['done'])->toBeTrue();
});
