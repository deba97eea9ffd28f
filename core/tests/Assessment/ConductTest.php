<?php

declare(strict_types=1);

use MillStep\Core\Assessment\Conduct;
use MillStep\Core\Assessment\Moment;
use MillStep\Core\Assessment\PaperMarks;
use MillStep\Core\Border\InvalidInput;

function conduct(string ...$said): Conduct
{
    return Conduct::of(array_map(static function (string $one): array {
        [$moment, $time] = explode(' ', $one);

        return [Moment::from($moment), new DateTimeImmutable("2031-05-01T$time:00Z")];
    }, $said));
}

it('says what may come next', function (array $said, array $next): void {
    expect(array_column(conduct(...$said)->next(), 'value'))->toBe($next);
})->with([
    'nothing said' => [[], ['started']],
    'started' => [['started 09:00'], ['power_on', 'ended', 'paused']],
    'power on' => [['started 09:00', 'power_on 09:05'], ['first_cut', 'ended', 'paused']],
    'cutting' => [['started 09:00', 'power_on 09:05', 'first_cut 09:10'], ['ended', 'paused']],
    'paused' => [['started 09:00', 'paused 09:05'], ['resumed']],
    'going on' => [['started 09:00', 'paused 09:05', 'resumed 09:20'], ['power_on', 'ended', 'paused']],
    'ended' => [['started 09:00', 'ended 09:05'], []],
]);

it('counts what was worked, without the pauses', function (array $said, int $minutes): void {
    expect(conduct(...$said)->workedSeconds(new DateTimeImmutable('2031-05-01T10:00:00Z')))->toBe($minutes * 60);
})->with([
    'not begun' => [[], 0],
    'under way' => [['started 09:00'], 60],
    'paused' => [['started 09:00', 'paused 09:20'], 20],
    'twice paused' => [['started 09:00', 'paused 09:20', 'resumed 09:30', 'paused 09:35', 'resumed 09:50'], 35],
    'ended' => [['started 09:00', 'power_on 09:01', 'first_cut 09:02', 'ended 09:40'], 40],
    'ended by a clock that was put back' => [['started 09:00', 'ended 08:40'], 0],
]);

const LINES = [
    ['id' => 'eyes', 'kind' => 'observed'], ['id' => 'key', 'kind' => 'observed'], ['id' => 'finish', 'kind' => 'judged', 'scale_max' => 3],
    ['id' => 'dia', 'kind' => 'measured'], ['id' => 'why', 'kind' => 'observed'],
];

it('reads a printed sheet back by the numbers of its lines', function (string $text, array $results): void {
    expect(PaperMarks::read($text, LINES)->results)->toBe($results);
})->with([
    'one' => ['1 +', ['eyes' => 'met']],
    'each on its line, in any order' => ["5 O\n2 -\n3 2", ['key' => 'not_met', 'finish' => 2, 'why' => 'prompted']],
    'several in one, with a printer\'s minus' => ['1–2 + ; 5 −;', ['eyes' => 'met', 'key' => 'met', 'why' => 'not_met']],
    'the same said twice' => ['1 +; 1-2 +', ['eyes' => 'met', 'key' => 'met']],
]);

it('says which entry of a printed sheet it cannot read', function (string $text, string $what): void {
    expect(fn () => PaperMarks::read($text, LINES))->toThrow(InvalidInput::class, "assessment.paper.$what");
})->with([
    'nothing' => [" ;\n", 'empty'], 'no mark' => ['1', 'unread'], 'a word' => ['1 met', 'unread'],
    'forty digits' => [str_repeat('9', 40).' +', 'unread'],
    'line 0' => ['0 +', 'no_such_line'], 'beyond the sheet' => ['4-6 +', 'no_such_line'], 'backwards' => ['2-1 +', 'no_such_line'],
    'what is measured' => ['1-5 +', 'points'], 'what is measured, alone' => ['4 +', 'measured'], 'too many points' => ['3 4', 'points'],
    'points for what is watched' => ['1 2', 'points_unasked'], 'two things of one line' => ['1 +; 1 -', 'twice'],
]);
