<?php

declare(strict_types=1);

use App\Competency\CorrectEntry;
use App\Competency\DefinePermit;
use App\Competency\LedgerEntry;
use App\Competency\PlaceHold;
use App\Content\Writing\RetireLesson;
use App\Gate\Badges;
use App\Gate\ConfirmClock;
use App\Gate\Listeners\ReviewOpenTurns;
use App\Gate\SetPresence;
use App\People\ChangeActive;
use App\People\ClassList\Row;
use App\People\ClassList\TakeInClassList;
use App\People\Role;
use App\People\SavePerson;
use App\Policy\Policy;
use App\Support\PowerLock;
use App\Workshop\ChangePolicy;
use App\Workshop\ChangeService;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Database\Events\TransactionBeginning;
use Illuminate\Database\Events\TransactionCommitted;
use Illuminate\Hashing\HashManager;
use Illuminate\Http\Client\Events\RequestSending;
use Illuminate\Mail\Events\MessageSending;
use Illuminate\Notifications\Events\NotificationSending;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Hash;

/**
 * What is done while the power lock is held alone: every gate of the shop waits for that. No more than a dozen statements, no
 * hash of a password, which takes as long as all of them, no file written and nothing sent.
 */
const MOST_STATEMENTS = 12;

/** Bytes that this process has written to files; what goes to the database's socket is not among them. */
function written(): int
{
    preg_match('/^wchar: (\d+)$/m', (string) file_get_contents('/proc/self/io'), $found);

    return (int) ($found[1] ?? -1);
}

/**
 * What an action asks the database while it holds the lock alone, each time that it takes it; how often it hashes meanwhile, how many
 * bytes it writes to files, and what it sends.
 */
function while_held(Closure $act): array
{
    [$depth, $at, $held, $hashes, $from, $bytes, $sent] = [0, null, [], 0, 0, 0, []];
    // What is done after the commit holds nothing; inside of a test's own transaction it would be counted.
    app()->bind(ReviewOpenTurns::class, static fn (): object => new class
    {
        public function handle(): void
        {
        }
    });
    Event::listen(TransactionBeginning::class, function () use (&$depth): void {
        $depth++;
    });
    Event::listen(TransactionCommitted::class, function () use (&$depth, &$at, &$from, &$bytes): void {
        $depth--;
        if ($at !== null && $depth < $at) {
            $bytes += written() - $from;
            $at = null;
        }
    });
    $sends = [MessageSending::class, NotificationSending::class, RequestSending::class];
    Event::listen($sends, function (object $what) use (&$at, &$sent): void {
        $at === null || $sent[] = $what::class;
    });
    DB::listen(function (QueryExecuted $query) use (&$depth, &$at, &$held, &$from): void {
        if (str_contains($query->sql, 'pg_advisory_xact_lock(?)') && ($query->bindings[0] ?? null) === 7_301_156) {
            $at ?? $from = written();
            $at ??= $depth;
            $held[] = [];
        } elseif ($at !== null) {
            $held[array_key_last($held)][] = $query->sql;
        }
    });
    $hasher = Hash::getFacadeRoot();
    Hash::swap(new class(app(), $at, $hashes) extends HashManager
    {
        public function __construct(Application $app, private ?int &$at, private int &$hashes)
        {
            parent::__construct($app);
        }

        public function make(#[SensitiveParameter] $value, array $options = []): string
        {
            $this->hashes += $this->at === null ? 0 : 1;

            return parent::make($value, $options);
        }

        public function check(#[SensitiveParameter] $value, $hashedValue, array $options = []): bool
        {
            $this->hashes += $this->at === null ? 0 : 1;

            return parent::check($value, $hashedValue, $options);
        }
    });
    $act();
    Hash::swap($hasher);

    return [$held, $hashes, $bytes, $sent];
}

beforeEach(function (): void {
    at_a_gate($this);
    $this->lead = $this->person(Role::Lead);
    app(App\People\Pin::class)->change($this->lead, '1357');
});

it('is held for a dozen statements at most, and never while something is hashed, written to a file or sent', function (Closure $act): void {
    [$held, $hashes, $bytes, $sent] = while_held(fn () => $act($this));
    expect($held)->not->toBe([])->and($hashes)->toBe(0)->and($bytes)->toBe(0)->and($sent)->toBe([]);
    foreach ($held as $statements) {
        expect(count($statements))->toBeLessThanOrEqual(MOST_STATEMENTS, implode("\n", $statements));
    }
})->with([
    'a hold' => [fn ($test) => app(PlaceHold::class)($test->learner, $test->permit(), $test->by, 'suspended', 'A near miss.')],
    'a revocation' => [fn ($test) => app(PlaceHold::class)(
        $test->learner, $test->permit(), $test->by, 'revoked', 'Wrong one.', pin: '2468')],
    'a correction' => [fn ($test) => app(CorrectEntry::class)(
        LedgerEntry::query()->where('type', 'practice_confirmed')->firstOrFail(), $test->by, 'Confirmed twice.', '2468')],
    'another role' => [fn ($test) => app(SavePerson::class)(
        $test->by, ['name' => 'X', 'email' => 'x@millstep.example', 'role' => 'auditor'], $test->lead)],
    'somebody leaves' => [fn ($test) => app(ChangeActive::class)($test->learner, false, $test->lead)],
    'a badge in the place of another' => [fn ($test) => app(Badges::class)->issue($test->learner, 'NEW-ONE', $test->lead)],
    'a badge that is lost' => [function ($test): void {
        hold_badge($test, 'LEARNER');
        app(Badges::class)->end($test->learner, 'lost', $test->lead);
    }],
    'off the floor' => [fn ($test) => app(SetPresence::class)($test->by, false)],
    'another policy' => [fn ($test) => app(ChangePolicy::class)(
        [...Policy::settingsInForce(), 'machines_at_once' => 3], 'Three at once', $test->lead)],
    'a machine out of service' => [fn ($test) => app(ChangeService::class)($test->machine, false, 'Belt', $test->by, fake_uuid())],
    'a permit defined anew' => [fn ($test) => app(DefinePermit::class)([
        'code' => 'drill-through-10', 'name' => 'Narrower', 'requirement' => $test->permit()->requirement,
        'scope' => ['materials' => ['mild_steel'], 'operations' => ['drill'], 'max_diameter_mm' => 8], 'validity_days' => 100,
        'statement' => 'I do as I was taught, and ask.', 'machines' => $test->permit()->machines->modelKeys(),
        'signers' => [$test->by->id], 'supervisors' => [$test->lead->id],
    ])],
    'a lesson out of use' => [fn ($test) => app(RetireLesson::class)('Z9', true)],
    'a clock that is right' => [fn ($test) => app(ConfirmClock::class)($test->lead, '1357', fake_uuid())],
]);

it('sees a file that is written while it is held, and what is sent', function (): void {
    [, , $bytes, $sent] = while_held(fn () => DB::transaction(function (): void {
        PowerLock::forRestriction();
        $file = (string) tempnam(sys_get_temp_dir(), 'lock');
        file_put_contents($file, '12345');
        unlink($file);
        event(new MessageSending(new Symfony\Component\Mime\Email));
    }));
    expect($bytes)->toBe(5)->and($sent)->toBe([MessageSending::class]);
});

it('is not taken at all by a list of people who are new, nor by a name or a class that changes', function (): void {
    $row = static fn (int $n): Row => new Row($n, "Pupil $n Example", "pupil$n@millstep.example", ['Morning'], badge: "B-$n");
    $rows = array_map($row, range(2, 121));
    [$held, $hashes] = while_held(fn () => app(TakeInClassList::class)($rows, $this->lead));
    expect($held)->toBe([])->and($hashes)->toBe(0)
        ->and(App\People\User::query()->where('email', 'like', 'pupil%')->whereNull('password')->count())->toBe(120);
    [$held] = while_held(fn () => app(SavePerson::class)(
        $this->learner, ['name' => 'Another Name', 'email' => $this->learner->email, 'role' => 'learner'], $this->lead));
    expect($held)->toBe([]);
});

it('is nobody\'s way in who has no password yet', function (): void {
    $new = app(SavePerson::class)(null, ['name' => 'New Example', 'email' => 'new@millstep.example', 'role' => 'learner'], $this->lead);
    expect($new->password)->toBeNull();
    foreach (['', ' ', '$2y$12$ljFAMlTvS4Bg/0mHtxJS/.CvRaoeQAXX9rELbWJObLkrD3ZQ0tiv6', 'mast-and-vane'] as $password) {
        app('auth')->forgetGuards();
        $this->flushHeaders()->postJson('/api/people/session', ['email' => $new->email, 'password' => $password])->assertUnprocessable();
    }
});
