<?php

declare(strict_types=1);

use MillStep\Core\Gate\Companion;
use MillStep\Core\Gate\Supervision;
use MillStep\Core\Gate\Supervisor;
use MillStep\Core\Policy\CompanionSchool;

function companion(array $with = []): Companion
{
    return new Companion(...[
        'known' => true, 'isHolder' => false, 'active' => true, 'teaches' => false, 'held' => false, 'checked' => true, 'signed' => true,
        'runs' => 0, 'beside' => 0, ...$with,
    ]);
}

it('takes as a companion whoever knows the check, is free and is not held, and says why not', function (array $with, ?string $why): void {
    expect(companion($with)->refusal(CompanionSchool::Checked))->toBe($why);
})->with([
    'one who does' => [[], null],
    'a badge that nobody has' => [['known' => false], 'companion_unknown'],
    'the holder' => [['isHolder' => true], 'companion_self'],
    'one who left' => [['active' => false], 'companion_inactive'],
    'one who is held' => [['held' => true], 'companion_held'],
    'an instructor who is held' => [['held' => true, 'teaches' => true], 'companion_held'],
    'one without the check' => [['checked' => false, 'signed' => false], 'companion_not_checked'],
    'an instructor, who needs none' => [['checked' => false, 'signed' => false, 'teaches' => true], null],
    'one who has passed it' => [['signed' => false], null],
    'one who runs a machine' => [['runs' => 1], 'companion_runs'],
    'one who stands beside another' => [['beside' => 1], 'companion_elsewhere'],
]);

it('wants a signature where the shop does', function (): void {
    expect(companion(['signed' => false])->refusal(CompanionSchool::Signed))->toBe('companion_not_signed')
        ->and(companion()->refusal(CompanionSchool::Signed))->toBeNull()
        ->and(companion(['signed' => false, 'teaches' => true])->refusal(CompanionSchool::Signed))->toBeNull();
});

it('names who watches, asks where several could, and says why nobody does', function (
    array $floor,
    ?int $named,
    ?int $by,
    int $choices,
    ?string $why,
): void {
    $supervision = Supervision::of(array_map(static fn (array $each): Supervisor => new Supervisor(...$each), $floor), 7, 2, $named);
    expect($supervision->by?->id)->toBe($by)->and($supervision->choices)->toHaveCount($choices)
        ->and($supervision->refusal)->toBe($why)->and($supervision->isPossible())->toBe($why === null);
})->with([
    'nobody there' => [[], null, null, 0, 'supervisor_absent'],
    'the learner alone' => [[[7, true, 0]], null, null, 0, 'supervisor_absent'],
    'one, who may' => [[[1, true, 0]], null, 1, 1, null],
    'one, who may not' => [[[1, false, 0]], null, null, 0, 'supervisor_may_not'],
    'one, who watches enough' => [[[1, true, 2]], null, null, 0, 'supervisor_full'],
    'one of two with eyes left' => [[[1, true, 2], [2, true, 1]], null, 2, 1, null],
    'two, nobody named' => [[[1, true, 0], [2, true, 1]], null, null, 2, null],
    'two, one named' => [[[1, true, 0], [2, true, 1]], 2, 2, 1, null],
    'named, but gone' => [[[1, true, 0]], 2, null, 0, 'supervisor_absent'],
    'named, but may not' => [[[1, true, 0], [2, false, 0]], 2, null, 0, 'supervisor_may_not'],
    'named, but watches enough' => [[[1, true, 0], [2, true, 2]], 2, null, 0, 'supervisor_full'],
    'named themselves' => [[[7, true, 0], [1, true, 0]], 7, null, 0, 'supervisor_absent'],
]);
