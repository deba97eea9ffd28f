<?php

declare(strict_types=1);

arch('the core knows no framework, no database and no clock of its own')
    ->expect('MillStep\Core')
    ->not
    ->toUse([
        'Illuminate', 'Laravel', 'App', 'Carbon', 'Symfony', 'date', 'time', 'microtime', 'rand', 'mt_rand',
        'random_int', 'random_bytes', 'curl_init', 'env', 'getenv',
    ]);

arch('only the reference tables are read from disk')
    ->expect(['fopen', 'file_get_contents', 'file_put_contents', 'file'])
    ->not
    ->toBeUsedIn([
        'MillStep\Core\Measure', 'MillStep\Core\Planning', 'MillStep\Core\Workshop', 'MillStep\Core\Setup',
        'MillStep\Core\Learning', 'MillStep\Core\Assessment', 'MillStep\Core\Competency', 'MillStep\Core\Gate',
    ]);

arch('the core is made of final classes')->expect('MillStep\Core')->classes()->toBeFinal()
    ->ignoring(['MillStep\Core\Border\Result', 'MillStep\Core\Border\CoreException']);

arch('every file is strict')->expect(['MillStep\Core', 'App'])->toUseStrictTypes();

it('has the same rooms on every floor', function (): void {
    $rooms = ['Measure', 'Workshop', 'Planning', 'Learning', 'Practice', 'Assessment', 'Competency', 'Gate', 'Records', 'Live'];
    foreach ($rooms as $room) {
        expect(is_dir(__DIR__."/../core/src/$room") || is_dir(__DIR__."/../app/$room"))->toBeTrue($room)
            ->and(is_dir(__DIR__.'/../resources/js/'.strtolower($room)))->toBeTrue("resources/js/$room");
    }
});

arch('the gate knows entries and standings, and no room that writes them')
    ->expect('MillStep\Core\Competency')
    ->not
    ->toUse(['MillStep\Core\Planning', 'MillStep\Core\Setup', 'MillStep\Core\Learning', 'MillStep\Core\Gate', 'MillStep\Core\Workshop']);

arch('records read every room and are read by none')
    ->expect('App\Records')
    ->toOnlyBeUsedIn(['App\Records', 'App\Providers']);
