<?php

declare(strict_types=1);

use App\Competency\Anchors;
use App\People\Role;
use App\Policy\Policy;
use App\Records\Alert;
use App\Records\Doctor;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Console\Output\BufferedOutput;

beforeEach(function (): void {
    $this->folder = sys_get_temp_dir().'/mill-step-doctor-'.bin2hex(random_bytes(6));
    mkdir($this->folder);
    config(['millstep.backups' => $this->folder, 'millstep.anchors' => "{$this->folder}/anchors.jsonl", 'mail.default' => 'mailbox']);
    $this->person(Role::Lead);
    // All is well, until a test spoils one thing.
    touch("{$this->folder}/a.backup");
    app(Anchors::class)->write();
    Cache::put(Doctor::BEAT, now()->getTimestamp(), 600);
    $this->says = function (): array {
        $said = new BufferedOutput;

        return [Artisan::call('millstep:doctor', [], $said), $said->fetch()];
    };
});
afterEach(function (): void {
    array_map(unlink(...), glob("{$this->folder}/*") ?: []);
    rmdir($this->folder);
});

it('has nothing to say of a shop that is well', function (): void {
    [$code, $said] = ($this->says)();
    expect($code)->toBe(0)->and($said)->not->toContain('■')->toContain('●');
});

it('says what is wrong and what to do', function (Closure $spoil, string $words): void {
    $spoil($this);
    [$code, $said] = ($this->says)();
    expect($said)->toContain("■ $words")->and($code)->toBe(1);
})->with([
    'no backup' => [fn ($test) => unlink("{$test->folder}/a.backup"), 'There is no backup in'],
    'an old backup' => [fn ($test) => touch("{$test->folder}/a.backup", time() - 40 * 3600), 'The last backup is of'],
    'an old anchor' => [fn ($test) => touch("{$test->folder}/anchors.jsonl", time() - 27 * 3600), 'The ledger\'s head was signed last'],
    'no anchor' => [fn ($test) => unlink("{$test->folder}/anchors.jsonl"), 'There is no anchor'],
    'no scheduler' => [fn () => Cache::forget(Doctor::BEAT), 'The scheduler has not run'],
    'a letter that waits' => [
        fn () => DB::table('jobs')->insert([
            'queue' => 'default',
            'payload' => '{}',
            'attempts' => 0,
            'available_at' => time(),
            'created_at' => time() - 1200,
        ]),
        'A letter has waited for 20 minutes',
    ],
    'a letter that failed' => [
        fn () => DB::table('failed_jobs')->insert([
            'uuid' => fake_uuid(),
            'connection' => 'database',
            'queue' => 'default',
            'payload' => '{}',
            'exception' => '',
        ]),
        '1 letters could not be sent',
    ],
    'a mailbox in a real shop' => [fn () => config(['millstep.demo' => false]), 'Letters stay here'],
    'a mail server that is away' => [
        fn () => config(['mail.default' => 'smtp', 'mail.mailers.smtp.host' => '127.0.0.1', 'mail.mailers.smtp.port' => 1]),
        'The mail server 127.0.0.1:1 does not answer',
    ],
    'an alert' => [
        fn () => Alert::query()->create(['kind' => 'ledger_broken', 'facts' => [], 'raised_at' => now()]),
        '1 alerts have not been seen',
    ],
    'nobody who leads' => [fn () => DB::table('people_users')->update(['active' => false]), 'There is no active shop lead'],
    'demo accounts in a real shop' => [function ($test): void {
        $test->person(Role::Learner)->update(['email' => 'x@millstep.example']);
        config(['millstep.demo' => false]);
    }, '2 demo accounts with a known password are active'],
    'people without the factor that is required' => [
        fn () => Policy::query()->create([
            'settings' => [...Policy::settingsInForce(), 'second_factor_required' => true],
            'in_force_from' => now()->subMinute(),
        ]),
        '1 people who teach have not set up',
    ],
    'an older database' => [
        fn () => DB::table('migrations')->orderByDesc('id')->limit(1)->delete(),
        'The database is of an older version: 1 changes are missing',
    ],
]);
