<?php

declare(strict_types=1);

use MillStep\Core\Competency\Access;
use MillStep\Core\Competency\Decision;
use MillStep\Core\Gate\Intent;
use MillStep\Core\Gate\Meaning;
use MillStep\Core\Gate\Tap;
use MillStep\Core\Gate\Turn;

it('means what was meant', function (Intent $intent, ?string $person, bool $teaches, ?string $holder, Meaning $meaning): void {
    expect((new Tap($intent, $person, $teaches, $holder))->meaning())->toBe($meaning);
})->with([
    'a learner at a free machine' => [Intent::Start, 'ada', false, null, Meaning::Decide],
    'a learner at their own' => [Intent::Start, 'ada', false, 'ada', Meaning::Decide],
    'a learner at another\'s' => [Intent::Start, 'ada', false, 'ben', Meaning::InUse],
    'nobody\'s badge at a free machine' => [Intent::Start, null, false, null, Meaning::Decide],
    'nobody\'s badge at one in use' => [Intent::Start, null, false, 'ben', Meaning::Decide],
    'a finish at one\'s own' => [Intent::Finish, 'ada', false, 'ada', Meaning::Finish],
    'a finish that comes late' => [Intent::Finish, 'ada', false, null, Meaning::NothingToFinish],
    'a finish at another\'s' => [Intent::Finish, 'ada', false, 'ben', Meaning::InUse],
    'an instructor comes to the floor' => [Intent::Start, 'ida', true, null, Meaning::Present],
    'an instructor at a machine in use' => [Intent::Finish, 'ida', true, 'ben', Meaning::Present],
    'an instructor hands over' => [Intent::HandOver, 'ida', true, 'ben', Meaning::EndByInstructor],
    'the one who has it hands over' => [Intent::HandOver, 'ada', false, 'ada', Meaning::HandOver],
    'another learner hands over' => [Intent::HandOver, 'ada', false, 'ben', Meaning::InUse],
    'nobody\'s badge hands over' => [Intent::HandOver, null, false, 'ben', Meaning::Decide],
    'a hand-over of nothing' => [Intent::HandOver, 'ada', false, null, Meaning::NothingToFinish],
]);

it('never lets a finish ask for power, nor anybody but its holder or a teacher end a turn', function (): void {
    foreach (Intent::cases() as $intent) {
        foreach ([null, 'ada', 'ben'] as $person) {
            foreach ([null, 'ada', 'ben'] as $holder) {
                foreach ($person === null ? [false] : [false, true] as $teaches) {
                    $meaning = (new Tap($intent, $person, $teaches, $holder))->meaning();
                    if ($person !== null && $intent !== Intent::Start) {
                        expect($meaning)->not->toBe(Meaning::Decide);
                    }
                    if (in_array($meaning, [Meaning::Finish, Meaning::HandOver, Meaning::EndByInstructor], true)) {
                        expect($person === $holder || $teaches)->toBeTrue()->and($holder)->not->toBeNull();
                    }
                }
            }
        }
    }
});

it('ends an abandoned turn at the idle limit, and counts no minute after it or before none', function (): void {
    $at = static fn (string $time): DateTimeImmutable => new DateTimeImmutable("2031-05-02T$time:00Z");
    $turn = new Turn(Decision::Alone, $at('10:00'), $at('10:30'), 60);
    $allowed = new Access(Decision::Alone, []);
    expect($turn->goesOn($allowed, $at('11:29')))->toBeTrue()->and($turn->goesOn($allowed, $at('11:30')))->toBeFalse()
        ->and($turn->minutes($at('10:45')))
        ->toBe(45)
        ->and($turn->minutes($at('23:00')))
        ->toBe(90)
        ->and($turn->minutes($at('09:00')))
        ->toBe(0);
});
