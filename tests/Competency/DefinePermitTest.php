<?php

declare(strict_types=1);

use App\Competency\Permit;
use App\People\Role;
use App\Workshop\Machine;
use Illuminate\Support\Facades\DB;

beforeEach(function (): void {
    $this->lead = $this->person(Role::Lead);
    $this->signer = $this->instructor();
    $this->actingAs($this->lead);
    $this->given = fn (array $with = []): array => array_replace_recursive([
        'name' => 'Drill press, through holes to 10 mm',
        'requirement' => [...array_diff_key($this->permit()->requirement, ['recency_days' => 0]), 'recency_days' => 90],
        'scope' => ['materials' => ['mild_steel'], 'operations' => ['drill'], 'max_diameter' => '10'],
        'validity_days' => 365,
        'statement' => $this->permit()->statementInForce()->body,
        'machines' => $this->permit()->machines->modelKeys(),
        'signers' => [$this->signer->id],
    ], $with);
    $this->put = fn (array $given, string $code = 'drill-through-10') => $this->putJson("/api/competency/permits/$code", $given);
});

it('is the lead who defines permits; whoever teaches reads them', function (Role $role, int $reads): void {
    $this->actingAs($this->person($role));
    ($this->put)(($this->given)())->assertForbidden();
    $this->getJson('/api/competency/permits')->assertStatus($reads);
    $this->getJson('/api/competency/permits/drill-through-10')->assertStatus($reads);
    $this->getJson('/api/competency/permits-choices')->assertStatus($reads);
})->with([[Role::Learner, 403], [Role::Auditor, 403], [Role::Instructor, 200]]);

it('shows who would stand elsewhere, and keeps nothing until it is said', function (): void {
    $learner = $this->person();
    bring($learner, 2, $this->signer);
    $given = ($this->given)(['requirement' => ['checks' => []], 'preview' => true, 'later_days' => 0]);
    $given['requirement']['lessons'][] = 'C7';
    $given['requirement']['guided'] = ['C6'];
    $before = Permit::query()->get()->toJson();
    ($this->put)($given)->assertOk()->assertJson([
        'faults' => [], 'permit' => null, 'affected' => [['name' => $learner->name, 'before' => ['stage' => 2], 'after' => ['stage' => 0]]],
    ]);
    expect(Permit::query()->get()->toJson())->toBe($before);
    ($this->put)([...$given, 'preview' => false])->assertOk()->assertJsonPath('permit.requirement.guided', ['C6']);
    $this->getJson("/api/records/learners/$learner->id")->assertJsonPath('permits.0.standing.stage', 0);
});

it('makes a changed statement a new version, once however often it is sent; the old one carries for its grace', function (): void {
    $learner = $this->person();
    bring($learner, 5, $this->signer);
    $given = ($this->given)(['statement' => 'I do as I was taught, and stop when something is not as it was.', 'grace_days' => 10]);
    ($this->put)([...$given, 'preview' => true])->assertJsonPath('affected', []);
    ($this->put)($given)->assertOk()->assertJsonPath('permit.statement_version', 2);
    ($this->put)($given)->assertOk()->assertJsonPath('permit.statement_version', 2);
    $standing = fn () => $this->getJson("/api/records/learners/$learner->id")->json('permits.0.standing');
    expect($standing()['stage'])->toBe(5);
    $this->travel(11)->days();
    expect($standing())->toMatchArray(['stage' => 4, 'lapsed' => 'statement']);
});

it('refuses what asks for nothing there is, by the field at fault', function (array $with, string $field): void {
    $answer = ($this->put)(($this->given)($with))->json();
    expect(array_keys($answer['errors'] ?? $answer['faults']))->toBe([$field])
        ->and(DB::table('competency_permits')->where('name', 'like', 'Drill press%')->value('validity_days'))->toBe(365);
})->with([
    'an unknown lesson' => [['requirement' => ['lessons' => ['Z99']]], 'requirement.lessons'],
    'an unknown check' => [['requirement' => ['checks' => ['SC-none']]], 'requirement.checks'],
    'itself' => [['requirement' => ['prerequisites' => ['drill-through-10']]], 'requirement.prerequisites'],
    'no days' => [['validity_days' => 0], 'validity_days'],
    'forty digits' => [['validity_days' => 1e39], 'validity_days'],
    'no number' => [['scope' => ['max_diameter' => 'ten']], 'scope.max_diameter'],
    'a stuff that there is not' => [['scope' => ['materials' => ['cheese']]], 'scope.materials.0'],
    'work that there is not' => [['scope' => ['operations' => ['weld']]], 'scope.operations.0'],
    'a machine that there is not' => [['machines' => [999999]], 'machines.0'],
    'too short a statement' => [['statement' => 'Yes.'], 'statement'],
]);

it('keeps its name as it was written, whatever language the editor speaks', function (): void {
    $spanish = ['Accept-Language' => 'es'];
    $written = $this->permit()->getRawOriginal('name');
    $shown = $this->getJson('/api/competency/permits/drill-through-10', $spanish)->assertOk();
    expect($shown->json('title'))->not->toBe($written)->and($shown->json('name'))->toBe($written);
    $this->putJson('/api/competency/permits/drill-through-10', ($this->given)(['name' => $shown->json('name')]), $spanish)->assertOk();
    expect($this->permit()->refresh()->getRawOriginal('name'))->toBe($written);
});

it('does not let a scope be left open by leaving it out', function (): void {
    $given = ($this->given)();
    ($this->put)([...$given, 'scope' => ['materials' => [], 'operations' => []]])
        ->assertJsonValidationErrors(['scope.materials', 'scope.operations']);
});

it('writes a new permit, at its machines and with who may sign; a learner is given no pen', function (): void {
    $machine = Machine::query()->where('kind', 'lathe')->firstOrFail();
    $learner = $this->person();
    $given = ($this->given)(['name' => 'Centre drilling', 'machines' => []]);
    $given['machines'] = [$machine->id];
    $given['signers'] = [$this->signer->id, $learner->id];
    ($this->put)($given, 'lathe-centre')->assertOk()->assertJsonPath('permit', null);
    $given['authorising'] = ['ground' => 'Turner, nine years'];
    ($this->put)($given, 'lathe-centre')->assertOk()->assertJson(['permit' => [
        'machines' => [$machine->id], 'signers' => [$this->signer->id], 'statement_version' => 1,
    ], 'affected' => []]);
    ($this->put)($given, 'Not A Code')->assertJsonValidationErrors('code');
    expect(Permit::query()->count())->toBe(2);
});

it('takes lengths as they are said in the shop, and keeps that somebody has to be beside them', function (): void {
    $this->lead->update(['units' => 'in']);
    $given = ($this->given)(['scope' => ['max_diameter' => '3/8', 'min_thickness' => '3 mm', 'companion' => true]]);
    ($this->put)($given)->assertOk()->assertJsonPath('permit.scope.max_diameter_mm', 9.525)
        ->assertJsonPath('permit.scope.min_thickness_mm', 3)->assertJsonPath('permit.scope.companion', true);
    expect($this->permit()->refresh()->coreScope()->companion)->toBeTrue();
});

it('asks of a permit as it would be what it would ask, whichever was asked about first', function (): void {
    $rules = App\Competency\Rules::inForce();
    $now = $rules->permits->get('drill-through-10');
    $then = $now->replicate()->fill(['requirement' => [...$now->requirement, 'practice_count' => 77]]);
    $then->id = $now->id;
    $then->setRelation('statements', $now->statements);
    expect($rules->requirement($then)->practiceCount)->toBe(77)
        ->and($rules->requirement($now)->practiceCount)->not->toBe(77)
        ->and($rules->with($then)->requirement($then)->practiceCount)->toBe(77);
});
