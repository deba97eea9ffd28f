<?php

declare(strict_types=1);

// write.php URL FILE: somebody teaches, somebody learns, badges are read. Every command is sent under its own id until
// it is answered, and what was answered is written down. Ends when FILE.stop is there and the last answer is in.

use Tests\Fuzz\Browser;

require __DIR__.'/../../../vendor/autoload.php';
[, $url, $file] = $argv;
$out = fopen($file, 'ab') ?: exit(2);
$password = App\Demo\DemoShop::PASSWORD;
$pin = App\Demo\DemoShop::PIN;

function uuid(): string
{
    return (string) Illuminate\Support\Str::uuid7();
}

/** @return array{status: int, type: string, text: string, json: mixed} the answer, however long it takes to come */
function until_answered(Browser $who, string $method, string $path, array $body, ?callable $again = null): array
{
    for ($tries = 0; ; $tries++) {
        $answer = $who->send($method, $path, json_encode($body, JSON_THROW_ON_ERROR));
        if ($answer['status'] === 401 || $answer['status'] === 419) {
            $who->signIn();
        } elseif ($answer['status'] !== 0 && $answer['status'] < 500 && $answer['status'] !== 429) {
            return $answer;
        }
        if ($tries > 600) {
            fwrite(STDERR, "No answer to $method $path: {$answer['status']} {$answer['text']}\n");
            exit(1);
        }
        usleep(100_000);
    }
}

$teacher = new Browser($url, 'henrike@millstep.example', $password);
$lead = new Browser($url, 'lead@millstep.example', $password);
foreach ([$teacher, $lead] as $who) {
    while (! $who->signIn()) {
        usleep(300_000);
    }
}
$policy = until_answered($lead, 'GET', '/api/workshop/policy', [])['json'];
$opened = until_answered(
    $lead,
    'PUT',
    '/api/workshop/policy',
    [
        'settings' => [...$policy['settings'], 'hours' => [['days' => [1, 2, 3, 4, 5, 6, 7], 'from' => '00:00', 'to' => '24:00']]],
        'note' => 'Open round the clock',
    ],
);
if ($opened['status'] !== 200) {
    fwrite(STDERR, 'The hours could not be set: '.$opened['text']."\n");
    exit(1);
}
$people = array_values(
    array_filter(
        until_answered($lead, 'GET', '/api/people/everybody', [])['json'],
        static fn (array $each): bool => $each['role'] === 'learner' && $each['active'],
    ),
);
$runs = array_column($people, null, 'name')['Ansel Byrdvik'];
$ready = array_column($people, null, 'name')['Blanka Corriveau'];
$ready += ['browser' => new Browser($url, $ready['email'], $password)];
$permit = until_answered($teacher, 'GET', '/api/records/learners/'.$runs['id'], [])['json']['permits'][0]['code'];
$device = new Browser($url);
$device->carry(
    (string) until_answered($lead, 'POST', '/api/gate/machines/bench-drill/devices', ['id' => uuid(), 'name' => 'Soak'])['json']['token'],
);
$badges = array_column(until_answered($device, 'GET', '/api/gate/demo-badges', [])['json'], 'code', 'name');
[$code, $companion] = [$badges['Ansel Byrdvik'], $badges['Otis Pellworm']];
file_put_contents($file.'.device', json_encode($device->token(), JSON_THROW_ON_ERROR));
$job = ['material' => 'mild_steel', 'thickness_mm' => 8, 'operation' => 'drill', 'diameter_mm' => 6];
$note = static function (string $kind, string $id, array $answer) use ($out): void {
    fwrite(
        $out,
        json_encode(['kind' => $kind, 'id' => $id, 'status' => $answer['status'], 'answer' => $answer['json']], JSON_THROW_ON_ERROR)."\n",
    );
    fflush($out);
    fsync($out);
};
for ($round = 0; ! is_file($file.'.stop'); $round++) {
    $id = uuid();
    $body = ['id' => $id, 'intent' => 'start', 'badge' => $code, 'companion_badge' => $companion, 'request' => $job];
    $note('read', $id, until_answered($device, 'POST', '/api/gate/reads', $body));
    // Long enough for the relay to see it.
    usleep(300_000);
    if ($round % 3 === 0) {
        // A hold while the machine runs, and its lifting.
        foreach (['incident_hold', 'reinstated'] as $type) {
            $id = uuid();
            $note(
                'line',
                $id,
                until_answered(
                    $teacher,
                    'POST',
                    "/api/competency/learners/{$runs['id']}/permits/$permit/holds",
                    ['id' => $id, 'type' => $type, 'reason' => 'A kill at the wrong moment', 'pin' => $pin],
                ),
            );
        }
    }
    $id = uuid();
    $note('read', $id, until_answered($device, 'POST', '/api/gate/reads', ['id' => $id, 'intent' => 'finish', 'badge' => $code]));
    if ($round % 4 === 1) {
        // The learner acknowledges, and is signed for anew.
        $id = uuid();
        $version = until_answered(
            $teacher,
            'GET',
            "/api/competency/learners/{$ready['id']}/permits/$permit/sign-off",
            [],
        )['json']['statement']['version'] ?? 1;
        $note(
            'line',
            $id,
            until_answered(
                $ready['browser'],
                'POST',
                "/api/competency/learners/{$ready['id']}/permits/$permit/acknowledgement",
                ['id' => $id, 'statement_version' => $version],
            ),
        );
        $id = uuid();
        $note(
            'line',
            $id,
            until_answered(
                $teacher,
                'POST',
                "/api/competency/learners/{$ready['id']}/permits/$permit/sign-off",
                [
                    'id' => $id,
                    'pin' => $pin,
                    'valid_until' => gmdate('Y-m-d', time() + 90 * 86400),
                    'materials' => ['mild_steel'],
                    'operations' => ['drill'],
                    'max_diameter' => '8 mm',
                    'min_thickness' => '3 mm',
                    'companion' => false,
                ],
            ),
        );
    }
    usleep(50_000);
}
printf("%d rounds written\n", $round);
