<?php

declare(strict_types=1);

use App\Assessment\SheetAttempt;
use App\Competency\Familiar\KnownMachine;
use App\Competency\Familiar\MachinesKnown;
use App\Competency\LedgerEntry;
use App\Competency\Standings;
use App\Demo\DemoShop;
use App\Gate\Badge;
use App\Gate\DemoBadges;
use App\People\Cohort;
use App\People\Role;
use App\People\User;
use App\Records\LearnerRecord;
use App\Records\Today;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

/** The demo's people, loaded into the shop that every test starts with. */
beforeEach(fn () => app(DemoShop::class)->people()); // takes seconds: once for the file

it('holds learners at every stage, one held, one lapsed, one with a narrow scope, one ready to be signed', function (): void {
    // Nothing of a new shop's way is left to be walked but the screens, which are paired by hand.
    expect(array_keys(App\Content\SetUp::steps(), false, true))->toBe(['screens']);
    $learners = User::learners()->get();
    $places = collect(
        app(Standings::class)->of($learners, collect([$this->permit()])),
    )->map(fn ($each) => $each['drill-through-10']->place);
    expect($learners)->toHaveCount(23)
        ->and(Cohort::query()->withCount('members')->orderBy('members_count')->pluck('members_count')->all())->toBe([9, 15])
        ->and(User::query()->where('role', Role::Lead)->count())
        ->toBe(1)
        ->and(User::query()->where('role', Role::Instructor)->count())
        ->toBe(3)
        ->and($places->map(fn ($place) => $place->stage->value)->unique()->sort()->values()->all())->toBe([0, 1, 2, 3, 4, 5])
        ->and($places->filter(fn ($place) => $place->held))->toHaveCount(1)
        ->and($places->filter(fn ($place) => $place->lapsed?->value === 'recency'))->toHaveCount(1);

    $of = fn (string $name) => $places[User::query()->where('name', 'like', "$name%")->value('id')]->toArray();
    expect($of('Wren')['next'])
        ->toBe(['lesson:C5'])
        ->and($of('Cato')['next'])
        ->toBe(['assessment:PS-through-holes'])
        ->and($of('Ivo')['next'])
        ->toBe(['check:SC-through-holes']);
    expect(
        LedgerEntry::query()
            ->where('type', 'signed_off')
            ->get()
            ->filter(fn ($entry) => ($entry->details()['scope']['max_diameter_mm'] ?? 0) === 6.5),
    )->toHaveCount(1);

    $today = app(Today::class)->for(User::query()->where('email', 'instructor@millstep.example')->firstOrFail());
    expect(array_count_values(array_column($today['waiting'], 'kind')))->toMatchArray(['look' => 1, 'practice' => 1, 'signature' => 1]);

    // It is a history without gaps: the chain holds, and nothing lies in the future.
    $this->artisan('competency:verify')->assertSuccessful();
    // What goes on during a sheet's hour lies beside whatever else went on then.
    $told = fn () => LedgerEntry::query()->whereNotIn('type', ['sheet_opened', 'sheet_stopped', 'mark_undone']);
    expect(LedgerEntry::query()->where('happened_at', '>', now())->count())->toBe(0)
        ->and($told()->orderBy('seq')->pluck('happened_at')->map->getTimestamp()->all())
        ->toBe($told()->orderBy('happened_at')->orderBy('seq')->pluck('happened_at')->map->getTimestamp()->all());

    // What bin/start prints lets everybody in, and none of it is kept in clear.
    $instructor = User::query()->where('email', 'instructor@millstep.example')->firstOrFail();
    expect(Hash::check(DemoShop::PASSWORD, $instructor->password))
        ->toBeTrue()
        ->and(Hash::check(DemoShop::PIN, (string) $instructor->pin_hash))
        ->toBeTrue()
        ->and(Badge::query()->where('code_hash', Badge::hash(DemoBadges::code($instructor)))->value('user_id'))->toBe($instructor->id)
        ->and(DB::table('gate_badges')->where('code_hash', 'like', '%MS-%')->exists())->toBeFalse();

    // A learner's record is shown whole, and no more is asked of the database for a cohort than for one.
    $learner = User::query()->where('name', 'like', 'Cato%')->firstOrFail();
    $record = app(LearnerRecord::class)->of($learner);
    expect($record['permits'][0]['assessments'][0])->toMatchArray(['outcome' => 'stopped', 'attempts' => 1])
        ->and($record['permits'][0]['practice'])->toMatchArray(['count' => 3, 'minutes' => 95])
        ->and(array_column($record['permits'][0]['lessons'], 'completed'))->toBe(array_fill(0, 8, true));

    // One learner each for what a record may hold beside its stages.
    $holds = static fn (string $name): array => LedgerEntry::query()
        ->where('learner_id', User::query()->where('name', 'like', "$name%")->value('id'))->pluck('type')->unique()->values()->all();
    expect($holds('Ansel'))->toContain('familiarised')
        ->and($holds('Cato'))->toContain('outcome_appealed')
        ->and($holds('Emrys'))->toContain('sheet_put_away')
        ->and(SheetAttempt::query()->where('second_wanted', true)->whereNull('second_viewed_at')->exists())->toBeTrue();
    // Whoever is signed for a machine's permits knows the machine that they were assessed at.
    $signed = LedgerEntry::query()->where('type', 'signed_off')->pluck('learner_id')->unique();
    $known = app(MachinesKnown::class);
    foreach (User::query()->findMany($signed->all()) as $each) {
        $stands = array_filter($known->of($each), static fn (KnownMachine $one): bool => $one->stands());
        expect($stands)->not->toBe([], $each->name);
    }

    $queries = function (int $learners): int {
        DB::flushQueryLog();
        DB::enableQueryLog();
        app(Standings::class)->of(User::learners()->limit($learners)->get(), collect([$this->permit()]));

        return count(DB::getQueryLog());
    };
    $queries(1);
    expect($queries(20))->toBe($queries(1));

    // Nothing is loaded over people who are there.
    $this->artisan('millstep:demo')->assertFailed();
    $this->artisan('millstep:demo', ['--is-empty' => true])->expectsOutput('no')->assertSuccessful();
    $this->artisan('millstep:demo', ['--sign-ins' => true])->expectsOutputToContain(DemoShop::PASSWORD)->assertSuccessful();
});
