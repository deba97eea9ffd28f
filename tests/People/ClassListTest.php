<?php

declare(strict_types=1);

use App\Gate\Badge;
use App\People\Cohort;
use App\People\Role;
use App\People\User;
use Illuminate\Support\Facades\DB;

beforeEach(function (): void {
    $this->lead = $this->person(Role::Lead);
    $this->actingAs($this->lead);
    $this->send = fn (string $csv, bool $apply = false) => $this
        ->postJson('/api/people/class-list', ['files' => ['class.csv' => $csv], 'apply' => $apply])
        ->assertOk();
});

/** @return list<string> */
function list_faults(array $line): array
{
    return array_map(fn (array $fault): string => str_replace('fault.list.', '', $fault['code']), $line['faults']);
}

const CLASS_LIST = "name,mail,cohort,born,guardian,badge\n"
    ."Alba Ferncliff,Alba@millstep.example,Spring|Saturday,2010-03-04,2026-09-01,0099-1\n"
    ."\"Brook, Dane\",dane@millstep.example,Spring,,,\n";

it('says what would change and changes nothing; then takes it in; then finds nothing to do', function (): void {
    $people = User::query()->count();
    ($this->send)(CLASS_LIST)->assertJson(['applied' => false, 'faults' => []])
        ->assertJsonPath('lines.0.change', 'new')->assertJsonPath('lines.1.name', 'Brook, Dane');
    expect(User::query()->count())->toBe($people)->and(Cohort::query()->count())->toBe(0);

    ($this->send)(CLASS_LIST, true)->assertJsonPath('applied', true);
    $alba = User::query()->where('email', 'alba@millstep.example')->firstOrFail();
    expect($alba->cohorts->pluck('name')->sort()->values()->all())->toBe(['Saturday', 'Spring'])
        ->and($alba->born_on->format('Y-m-d'))->toBe('2010-03-04')
        ->and($alba->role)->toBe(Role::Learner)
        ->and(Badge::query()->where('user_id', $alba->id)->where('active', true)->count())->toBe(1)
        ->and(Cohort::query()->count())->toBe(2);

    expect(array_column(($this->send)(CLASS_LIST, true)->json('lines'), 'change'))->toBe(['same', 'same'])
        ->and(User::query()->count())->toBe($people + 2)->and(Badge::query()->count())->toBe(1);
});

it('names the faults of every line, and takes nothing in while there is one', function (): void {
    $instructor = $this->instructor();
    $badge = $this->person();
    $this->putJson("/api/people/everybody/$badge->id/badge", ['code' => '0099-7'])->assertOk();
    $people = User::query()->count();
    $answer = ($this->send)("mail;name;born;badge\n"
        ."ok@millstep.example;Fine Person;;\n"
        .";;31/05/2009;\n"
        ."nomail;Somebody;;\n"
        ."ok@millstep.example;Again;2009-02-30;0099-7\n"
        ."$instructor->email;Teacher;;\n", true)->assertJsonPath('applied', false);
    expect(array_map(list_faults(...), $answer->json('lines')))->toBe([
        [], ['no_day', 'no_name', 'no_mail_given'], ['no_mail'], ['no_day', 'twice', 'badge_taken'], ['no_learner'],
    ])->and(array_column($answer->json('lines'), 'line'))->toBe([2, 3, 4, 5, 6])
        ->and(User::query()->count())->toBe($people);
});

it('asks as little of the database for forty lines as for two', function (): void {
    $list = fn (int $lines): string => "name,mail,cohort,badge\n".implode("\n", array_map(
        fn (int $line): string => "P $line,p$line@millstep.example,Spring,00$line",
        range(1, $lines),
    ));
    $queries = function (string $csv): int {
        DB::flushQueryLog();
        DB::enableQueryLog();
        ($this->send)($csv);

        return count(DB::getQueryLog());
    };
    $two = $queries($list(2));
    expect($queries($list(40)))->toBe($two);
});

it('wants the columns it cannot do without', function (): void {
    expect(array_column(($this->send)("who,where\nA,B\n")->json('faults'), 'code'))->toBe(['fault.list.no_column', 'fault.list.no_column'])
        ->and(($this->send)('x')->json('lines'))->toBe([]);
});

it('reads what spreadsheets save, also in Spanish', function (): void {
    ($this->send)("Nombre;Correo;Grupo\r\nÁlvaro Peñín;alvaro@millstep.example;Mañana\r\n", true)->assertJsonPath('applied', true);
    expect(User::query()->where('name', 'Álvaro Peñín')->exists())->toBeTrue();
    ($this->send)("\u{FEFF}name\tmail\nTab Person\ttab@millstep.example\n")->assertJsonPath('lines.0.name', 'Tab Person');
});

it('brings back whoever left, and joins them to their class without taking them out of another', function (): void {
    $learner = $this->person(with: ['active' => false]);
    $learner->cohorts()->attach(Cohort::query()->create(['name' => 'Old', 'starts_on' => now()->subYear()]));
    ($this->send)("name,mail,cohort\n$learner->name,$learner->email,New\n", true)->assertJsonPath('lines.0.change', 'changed');
    expect($learner->refresh()->active)->toBeTrue()->and($learner->cohorts()->count())->toBe(2);
});

it('takes students in from OneRoster files, with their classes, and no staff', function (string $role): void {
    $files = [
        'users.csv' => $role === 'in users.csv'
            ? "sourcedId,status,enabledUser,role,username,givenName,familyName,email\n"
                ."s1,active,true,student,alba,Alba,Ferncliff,alba@millstep.example\n"
                ."t1,active,true,teacher,t,Tea,Cher,tea@millstep.example\nx1,tobedeleted,false,student,x,Gone,Long,gone@millstep.example\n"
            : "sourcedId,status,enabledUser,username,givenName,familyName,email\n"
                ."s1,active,true,alba,Alba,Ferncliff,alba@millstep.example\nt1,active,true,t,Tea,Cher,tea@millstep.example\n",
        'roles.csv' => "sourcedId,userSourcedId,roleType,role,orgSourcedId\nr1,s1,primary,student,o\nr2,t1,primary,teacher,o\n",
        'classes.csv' => "sourcedId,title\nc1,Metal 1\n",
        'enrollments.csv' => "sourcedId,classSourcedId,schoolSourcedId,userSourcedId,role\ne1,c1,o,s1,student\n",
        'demographics.csv' => "sourcedId,birthDate\ns1,2010-03-04\n",
    ];
    $send = function () use (&$files) {
        return $this->postJson('/api/people/class-list', ['files' => $files, 'apply' => true])->assertJsonPath('applied', true);
    };
    expect($send()->json('lines'))->toHaveCount(1);
    $alba = User::query()->where('sis_id', 's1')->firstOrFail();
    expect($alba->name)->toBe('Alba Ferncliff')->and($alba->cohorts->pluck('name')->all())->toBe(['Metal 1'])
        ->and(User::query()->where('email', 'tea@millstep.example')->exists())->toBeFalse();
    // A new address at school is the same person.
    $files['users.csv'] = str_replace('alba@', 'a.ferncliff@', $files['users.csv']);
    expect($send()->json('lines.0.change'))->toBe('changed')->and($alba->refresh()->email)->toBe('a.ferncliff@millstep.example');
})->with(['in users.csv', 'in roles.csv']);

it('gives a list that can be taken in again, and that no spreadsheet computes', function (): void {
    ($this->send)(CLASS_LIST, true);
    $this->person(with: ['name' => '=1+1']);
    $csv = (string) $this->get('/api/people/class-list')->assertOk()->getContent();
    expect($csv)->toContain("'=1+1")->toContain('"Brook, Dane"')
        ->and(array_unique(array_column(($this->send)($csv, true)->json('lines'), 'change')))->toBe(['same']);
});
