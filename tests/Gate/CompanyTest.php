<?php

declare(strict_types=1);

use App\Competency\DefinePermit;
use App\Competency\PermitPreview;
use App\Competency\PlaceHold;
use App\Gate\MachineSession;
use App\Gate\PairDevice;
use App\Gate\Presence;
use App\People\Role;
use App\Workshop\Machine;

beforeEach(function (): void {
    at_a_gate($this);
    $this->other = Machine::query()->where('slug', '<>', 'bench-drill')->firstOrFail();
    $this->other->update(['in_service' => true]);
    $this->permit()->machines()->syncWithoutDetaching([$this->other->id]);
    $this->far = app(PairDevice::class)($this->other, $this->by, 'Reader there');
    // A pupil who has passed the check and is not signed, with a badge of their own.
    $this->pupil = function (string $badge, int $stage = 2): App\People\User {
        $pupil = $this->person();
        give_badge($pupil, $badge);
        $stage > 0 && bring($pupil, $stage, $this->by);

        return $pupil;
    };
    $this->teacher = function (string $badge, bool $signs = true): App\People\User {
        $teacher = $signs ? $this->instructor() : $this->person(Role::Instructor);
        give_badge($teacher, $badge);
        Presence::query()->updateOrCreate(['user_id' => $teacher->id], ['until' => now()->addHour()]);

        return $teacher;
    };
    $this->floor = fn () => Presence::query()->updateOrCreate(['user_id' => $this->by->id], ['until' => now()->addHour()]);
});

describe('a companion', function (): void {
    beforeEach(fn () => $this->policy(['companion_required' => true]));

    it('has passed the safety check, is not held and active, and each refusal is in words', function (int $stage, ?string $refused): void {
        ($this->pupil)('BESIDE', $stage);
        $answer = hold_badge($this, 'LEARNER', ['companion_badge' => 'BESIDE']);
        $refused === null
            ? $answer->assertJson(['decision' => 'alone', 'interlock' => 'on', 'refused' => []])
            : $answer->assertJson(['decision' => 'no', 'interlock' => 'off', 'refused' => [$refused]]);
    })->with([[0, 'companion_not_checked'], [1, 'companion_not_checked'], [2, null]]);

    it('is one who may run it alone where the shop wants that', function (): void {
        $this->policy(['companion_required' => true, 'companion_school' => 'signed']);
        ($this->pupil)('BESIDE', 4);
        hold_badge($this, 'LEARNER', ['companion_badge' => 'BESIDE'])
            ->assertJson(['refused' => ['companion_not_signed'], 'interlock' => 'off']);
        ($this->pupil)('SIGNED', 5);
        hold_badge($this, 'LEARNER', ['companion_badge' => 'SIGNED'])->assertJson(['interlock' => 'on']);
    });

    it('stands at one place, and runs nothing', function (): void {
        ($this->pupil)('BESIDE');
        $second = ($this->pupil)('SECOND', 5);
        hold_badge($this, 'LEARNER', ['companion_badge' => 'BESIDE'])->assertJson(['interlock' => 'on']);
        hold_badge($this, 'SECOND', ['companion_badge' => 'BESIDE'], $this->far)
            ->assertJson(['interlock' => 'off', 'refused' => ['companion_elsewhere']]);
        hold_badge($this, 'SECOND', ['companion_badge' => 'LEARNER'], $this->far)
            ->assertJson(['interlock' => 'off', 'refused' => ['companion_runs']]);
        // Whoever stands beside a machine starts none, however many they may have.
        $this->policy(['companion_required' => true, 'machines_at_once' => 3]);
        hold_badge($this, 'BESIDE', ['companion_badge' => 'SECOND'], $this->far)
            ->assertJson(['interlock' => 'off', 'reasons' => ['at_another_machine']]);
        expect($second->id)->toBeInt();
    });

    it('ends the turn beside which they stand when they are held, and says why', function (): void {
        $beside = ($this->pupil)('BESIDE');
        hold_badge($this, 'LEARNER', ['companion_badge' => 'BESIDE'])->assertJson(['interlock' => 'on']);
        app(PlaceHold::class)($beside, $this->permit(), $this->by, 'suspended', 'A near miss at the other machine.');
        expect(MachineSession::query()->sole()->end_reasons)->toBe(['companion_absent', 'supervisor_absent', 'companion_held']);
    });

    it('confirms again when the holder does; until then the turn is as it was', function (): void {
        $this->freezeTime();
        ($this->pupil)('BESIDE');
        hold_badge($this, 'LEARNER', ['companion_badge' => 'BESIDE'])->assertJson(['interlock' => 'on']);
        $this->travel(30)->minutes();
        $asked = hold_badge($this, 'LEARNER')->assertJson(['event' => 'asks', 'asks' => ['companion'], 'interlock' => 'on']);
        $turn = MachineSession::query()->sole();
        expect($turn->ended_at)->toBeNull()->and($turn->confirmed_at?->timestamp)->toBe(now()->subMinutes(30)->timestamp);
        follow_up($this, $asked->json('id'), ['companion_badge' => 'BESIDE'])
            ->assertJson(['decision' => 'alone', 'interlock' => 'on']);
        expect($turn->refresh()->confirmed_at?->timestamp)->toBe(now()->timestamp);
    });

    it('may be somebody who teaches', function (): void {
        hold_badge($this, 'LEARNER', ['companion_badge' => 'TEACHER'])->assertJson(['interlock' => 'on']);
    });
});

describe('a supervisor', function (): void {
    beforeEach(fn () => ($this->pupil)('PUPIL'));

    it('is named by the turn where only one could be meant', function (): void {
        ($this->floor)();
        hold_badge($this, 'PUPIL')->assertJson(['decision' => 'supervised', 'interlock' => 'on', 'supervisor' => $this->by->name]);
        expect(screen($this)->json('running.supervisor'))->toBe($this->by->name)
            ->and(MachineSession::query()->sole()->supervisor_id)->toBe($this->by->id);
    });

    it('is chosen of those on the floor who may, and nobody else', function (): void {
        ($this->floor)();
        $second = ($this->teacher)('SECOND');
        $notHere = ($this->teacher)('MAY-NOT', signs: false);
        $asked = hold_badge($this, 'PUPIL')->assertJson(['asks' => ['supervisor'], 'decision' => 'no', 'interlock' => 'off']);
        expect(array_column($asked->json('choices.supervisors'), 'id'))->toEqualCanonicalizing([$this->by->id, $second->id]);
        $follow = fn (array $with) => follow_up($this, $asked->json('id'), $with);
        $follow(['supervisor' => $notHere->id])
            ->assertJson(['decision' => 'no', 'refused' => ['supervisor_may_not'], 'interlock' => 'off']);
        $asked = hold_badge($this, 'PUPIL');
        follow_up($this, $asked->json('id'), ['supervisor' => $second->id])
            ->assertJson(['decision' => 'supervised', 'supervisor' => $second->name, 'interlock' => 'on']);
        // What was said before the question still stands.
        expect(MachineSession::query()->sole()->request)->toEqual(STEEL);
    });

    it('badges, and is on the floor by that', function (): void {
        $asked = hold_badge($this, 'PUPIL')->assertJson(['reasons' => ['not_signed_off', 'not_familiar', 'supervisor_absent']]);
        hold_badge($this, 'PUPIL', ['supervisor_badge' => 'TEACHER'])
            ->assertJson(['decision' => 'supervised', 'supervisor' => $this->by->name]);
        expect(Presence::query()->where('until', '>', now())->pluck('user_id')->all())->toBe([$this->by->id])
            ->and($asked->json('interlock'))->toBe('off');
    });

    it('is nobody whose badge is nobody\'s, or a learner\'s', function (string $badge): void {
        ($this->floor)();
        hold_badge($this, 'PUPIL', ['supervisor_badge' => $badge])->assertJson(['decision' => 'no', 'interlock' => 'off']);
        expect(MachineSession::query()->count())->toBe(0);
    })->with(['NOBODY', 'LEARNER']);

    it('may be allowed by name without signing', function (): void {
        $helper = ($this->teacher)('HELPER', signs: false);
        hold_badge($this, 'PUPIL')->assertJson(['refused' => ['supervisor_may_not'], 'interlock' => 'off']);
        $permit = $this->permit();
        app(DefinePermit::class)(['code' => $permit->code, 'name' => $permit->name, 'requirement' => $permit->requirement,
            'scope' => $permit->scope, 'validity_days' => 365, 'statement' => $permit->statementInForce()->body,
            'supervisors' => [$helper->id]]);
        hold_badge($this, 'PUPIL')->assertJson(['decision' => 'supervised', 'supervisor' => $helper->name]);
        // And no longer; the preview foresees it.
        $narrower = ['code' => $permit->code, 'name' => $permit->name, 'requirement' => $permit->requirement,
            'scope' => $permit->scope, 'validity_days' => 365, 'statement' => $permit->statementInForce()->body, 'supervisors' => []];
        $foreseen = app(PermitPreview::class)->of($narrower)['turns'][0]['reasons'];
        expect(app(PermitPreview::class)->of(array_diff_key($narrower, ['supervisors' => 0]))['turns'])->toBe([]);
        app(DefinePermit::class)($narrower);
        expect(MachineSession::query()->sole()->end_reasons)->toContain('supervisor_may_not')->toBe($foreseen);
    });

    it('watches no more turns than the policy says', function (): void {
        $this->policy(['supervised_at_once' => 1]);
        ($this->floor)();
        ($this->pupil)('SECOND-PUPIL');
        hold_badge($this, 'PUPIL')->assertJson(['interlock' => 'on']);
        hold_badge($this, 'SECOND-PUPIL', [], $this->far)->assertJson(['interlock' => 'off', 'refused' => ['supervisor_full']]);
        hold_badge($this, 'PUPIL', ['intent' => 'finish']);
        hold_badge($this, 'SECOND-PUPIL', [], $this->far)->assertJson(['interlock' => 'on']);
    });

    it('is found for a turn from before anybody was named, else the turn ends as unsupervised', function (bool $there): void {
        ($this->floor)();
        hold_badge($this, 'PUPIL')->assertJson(['interlock' => 'on']);
        MachineSession::query()->update(['supervisor_id' => null]);
        $there || Presence::query()->delete();
        screen($this)->assertJson(['interlock' => $there ? 'on' : 'off']);
        expect(MachineSession::query()->sole()->supervisor_id)->toBe($there ? $this->by->id : null);
    })->with([true, false]);
});

it('ends with a badge that is reported lost: every turn that it holds', function (string $whose): void {
    $lead = $this->person(Role::Lead);
    $lose = function (App\People\User $user) use ($lead): void {
        app('auth')->forgetGuards();
        $this->flushHeaders()->actingAs($lead)
            ->deleteJson("/api/people/everybody/$user->id/badge", ['because' => 'lost'])->assertSuccessful();
    };
    $beside = ($this->pupil)('BESIDE');
    $pupil = ($this->pupil)('PUPIL');
    ($this->floor)();
    $loses = match ($whose) {
        'holder' => [hold_badge($this, 'LEARNER'), $this->learner],
        'companion' => [hold_badge($this, 'LEARNER', ['companion_badge' => 'BESIDE']), $beside],
        'supervisor' => [hold_badge($this, 'PUPIL'), $this->by],
    };
    $loses[0]->assertJson(['interlock' => 'on']);
    $lose($loses[1]);
    screen($this)->assertJson(['interlock' => 'off', 'ended' => ['because' => 'revoked', 'reasons' => ['badge_lost']]]);
    expect(Presence::query()->where('until', '>', now())->pluck('user_id')->all())->toBe($whose === 'supervisor' ? [] : [$this->by->id])
        ->and($pupil->id)->toBeInt();
})->with(['holder', 'companion', 'supervisor']);

it('refuses an answer to a question that was asked of a badge that is no longer theirs', function (string $because): void {
    $lead = $this->person(Role::Lead);
    $asked = hold_badge($this, 'LEARNER', ['request' => null])->assertJson(['event' => 'asks']);
    app('auth')->forgetGuards();
    $this->flushHeaders()->actingAs($lead)
        ->deleteJson("/api/people/everybody/{$this->learner->id}/badge", ['because' => $because])->assertSuccessful();
    follow_up($this, $asked->json('id'))->assertStatus(409)->assertJsonPath('code', 'ask_over');
    expect(MachineSession::query()->count())->toBe(0);
})->with(['lost', 'returned']);
