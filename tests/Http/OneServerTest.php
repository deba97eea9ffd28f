<?php

declare(strict_types=1);

use App\People\Role;
use Illuminate\Console\Scheduling\Schedule;

it('runs each line of the schedule once, however many servers have one', function (): void {
    $events = app(Schedule::class)->events();
    expect($events)->not->toBe([]);
    foreach ($events as $event) {
        expect($event->onOneServer)->toBeTrue($event->getSummaryForDisplay());
    }
});

it('writes nothing on a page or into a file of what a request calls its host', function (): void {
    config(['app.url' => 'https://shop.example']);
    $lead = $this->person(Role::Lead);
    foreach (['/', '/sign-in', '/today', '/api/workshop/file', '/api/nothing'] as $path) {
        foreach (['Host' => 'evil.example', 'X-Forwarded-Host' => 'evil.example'] as $header => $value) {
            $answer = $this->actingAs($lead)->get("http://evil.example$path", [$header => $value]);
            expect($answer->getContent())->not->toContain('evil.example')
                ->and((string) $answer->headers)->not->toContain('evil.example');
        }
    }
});
