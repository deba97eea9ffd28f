<?php

declare(strict_types=1);

use App\Http\Problem;
use App\People\User;
use App\Support\QuietConnection;
use Illuminate\Contracts\Debug\ExceptionHandler;
use Illuminate\Database\QueryException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

it('says no in one shape, with a code, and names no class, file or query', function (
    string $method,
    string $path,
    array $body,
    int $status,
    string $code,
): void {
    $this->actingAs($this->instructor());
    $answer = $this->json($method, $path, $body)->assertStatus($status)->assertJsonPath('code', $code);
    expect($answer->json('message'))->toBeString()->not->toBe('')
        ->and($answer->getContent())->not->toMatch('/App\\\\|Illuminate|Symfony|SQLSTATE|vendor|\.php/');
})->with([
    'no such thing' => ['GET', '/api/planning/plans/00000000-0000-7000-8000-000000000000', [], 404, 'not_found'],
    'no number' => ['GET', '/api/competency/learners/none', [], 404, 'not_found'],
    'no such address' => ['GET', '/api/nothing', [], 404, 'not_found'],
    'not theirs' => ['GET', '/api/people/everybody', [], 403, 'forbidden'],
    'not taken' => ['POST', '/api/practice/entries', [], 403, 'forbidden'],
    'not valid' => ['POST', '/api/workshop/bars', ['material' => []], 422, 'invalid'],
    'no uuid for an entry' => [
        'POST',
        '/api/competency/learners/1/ledger/27/correction',
        ['id' => '0a771b58-0aff-7dee-889d-1b1d0c6d0b02', 'reason' => 'A reason', 'pin' => '2468'],
        404,
        'not_found',
    ],
    'a list for a code' => [
        'POST',
        '/api/assessment/attempts',
        ['id' => '0a771b58-0aff-7dee-889d-1b1d0c6d0b02', 'sheet' => [[]], 'learner_id' => 1],
        422,
        'invalid',
    ],
]);

/** What the API says of a fault. */
function said_of(Throwable $fault): TestResponse
{
    return TestResponse::fromBaseResponse(app(ExceptionHandler::class)->render(Request::create('/api/somewhere'), $fault));
}

/** What a query that fails throws, with what it left of the transaction put right. */
function failing(Closure $do): QueryException
{
    DB::beginTransaction();
    try {
        $do();
    } catch (QueryException $fault) {
        DB::rollBack();

        return $fault;
    }
    throw new LogicException('Nothing failed.');
}

it('answers a fault of ours without telling what it was', function (): void {
    said_of(new LogicException('A secret in /srv/app/People/User.php'))->assertStatus(500)->assertExactJson([
        'message' => 'Something broke here and was written down. Nothing of this was kept; try again.', 'code' => 'broken', 'errors' => [],
    ]);
});

it('refuses what the database cannot hold, and tells a fault of ours from it', function (): void {
    said_of(failing(fn () => DB::select('SELECT ?::int', ['99999999999999999999'])))
        ->assertStatus(422)
        ->assertJsonPath('code', 'value_unfit');
    said_of(failing(fn () => DB::select('SELECT nothing FROM nowhere')))->assertStatus(500)->assertJsonPath('code', 'broken');
});

it('says that the day of an entry is none, whatever was sent', function (mixed $day): void {
    $this->actingAs($this->person())
        ->postJson(
            '/api/practice/entries',
            ['id' => fake_uuid(), 'machine' => 'bench-drill', 'exercise' => 'Tab', 'minutes' => 20, 'done_on' => $day],
        )
        ->assertUnprocessable()->assertJsonValidationErrors('done_on');
})->with([1e308, 0, true, [['x']], '9999-99-99', str_repeat('9', 40)]);

it('keeps what was in a query out of its exception', function (): void {
    expect(DB::connection())->toBeInstanceOf(QuietConnection::class);
    $taken = $this->person();
    $again = failing(
        fn () => User::query()->create(['name' => 'Secret Person', 'email' => $taken->email, 'password' => 'x', 'role' => 'learner']),
    );
    expect($again)->toBeInstanceOf(UniqueConstraintViolationException::class)->and($again->getBindings())->toBe([])
        ->and((string) $again)->not->toContain($taken->email)->not->toContain('Secret Person')->toContain('people_users_email_unique');
    $unfit = failing(fn () => DB::select('SELECT ?::int', ['a-private-word']));
    expect((string) $unfit)->not->toContain('a-private-word')->and(Problem::isUnfit($unfit))->toBeTrue();
});

it('reads MILLSTEP_DEMO strictly: only a yes is one', function (mixed $value, bool $demo): void {
    putenv('MILLSTEP_DEMO='.$value);
    $_ENV['MILLSTEP_DEMO'] = $_SERVER['MILLSTEP_DEMO'] = $value;
    $read = (require base_path('config/millstep.php'))['demo'];
    putenv('MILLSTEP_DEMO=true');
    $_ENV['MILLSTEP_DEMO'] = $_SERVER['MILLSTEP_DEMO'] = 'true';
    expect($read)->toBe($demo);
})->with([
    ['true', true], ['yes', true], ['on', true], ['1', true], ['false', false], ['no', false], ['off', false],
    ['0', false], ['', false], ['perhaps', false], ['null', false],
]);

it('says whether it is up, and that the database is not', function (): void {
    $this->get('/up')->assertOk()->assertExactJson(['up' => true])->assertCookieMissing('millstep_session');
    config(['database.connections.pgsql.port' => 1]);
    DB::shouldReceive('selectOne')->andThrow(new PDOException('gone'));
    $this->get('/up')->assertStatus(503)->assertJsonPath('code', 'database_away');
});

it('opens its pages without the database, and says of the rest that the records are away', function (): void {
    $port = config('database.connections.pgsql.port');
    config(['database.connections.pgsql.port' => 1, 'session.driver' => 'database']);
    DB::purge('pgsql');
    $this->get('/today')->assertOk()->assertSee('id="app"', false);
    $this->getJson('/api/people/me')->assertStatus(503)->assertJsonPath('code', 'away');
    $this->getJson('/api/gate/screen', ['Authorization' => 'Bearer 1|x'])->assertStatus(503)->assertJsonPath('code', 'away');
    // Back again, for what tidies up after the test.
    config(['database.connections.pgsql.port' => $port]);
    DB::purge('pgsql');
});

it('says that the records are away, and when to ask again, whatever a database says that is coming back', function (
    string $said,
): void {
    $answer = App\Http\Problem::of(new PDOException($said), Illuminate\Http\Request::create('/api/gate/screen'));
    expect($answer?->getStatusCode())->toBe(503)->and($answer?->getData(true)['code'])->toBe('away')
        ->and($answer?->headers->get('Retry-After'))->toBe('2');
})->with([
    // Each was seen while a database was killed, failed over or stopped.
    'SQLSTATE[08006] [7] connection to server at "127.0.0.1", port 5432 failed: Connection refused',
    'SQLSTATE[08006] [7] connection to server at "127.0.0.1", port 5432 failed: FATAL:  the database system is shutting down',
    'SQLSTATE[57P01]: Admin shutdown: 7 FATAL:  terminating connection due to administrator command',
    'SQLSTATE[25006]: Read only sql transaction: 7 ERROR:  cannot execute INSERT in a read-only transaction',
    'SQLSTATE[HY000]: General error: 7 no connection to the server',
    'SQLSTATE[HY000]: General error: 7 FATAL:  terminating connection due to administrator command',
    'SQLSTATE[HY000]: General error: 7 FATAL:  terminating connection due to unexpected postmaster exit',
    'SQLSTATE[HY000]: General error: 7 server closed the connection unexpectedly',
    'SQLSTATE[08P01]: <<Unknown error>>: 7 FATAL:  server conn crashed?',
    'SQLSTATE[08006] [7] FATAL:  server login has been failing, try again later (server_login_retry)',
    'SQLSTATE[08P01]: <<Unknown error>>: 7 FATAL:  query_wait_timeout',
    'SQLSTATE[53300]: Too many connections: 7 FATAL:  sorry, too many clients already',
]);

it('goes on calling broken what is broken', function (): void {
    $fault = new PDOException('SQLSTATE[42703]: Undefined column: 7 ERROR:  column "nonsense" does not exist');
    $answer = App\Http\Problem::of($fault, Illuminate\Http\Request::create('/api/gate/screen'));
    expect($answer?->getStatusCode())->toBe(500)->and($answer?->getData(true)['code'])->toBe('broken');
});

it('says that it is not up on a database that only follows, and where the clocks are apart', function (): void {
    $says = fn (bool $follows, float $clock) => DB::shouldReceive('selectOne')->once()
        ->andReturn((object) ['follows' => $follows, 'clock' => $clock]);
    $says(true, microtime(true));
    $this->get('/up')->assertStatus(503)->assertJsonPath('code', 'database_follows')->assertHeader('Retry-After');
    $says(false, microtime(true) - 3);
    $this->get('/up')->assertStatus(503)->assertJsonPath('code', 'clocks_apart');
    $says(false, microtime(true));
    $this->get('/up')->assertOk();
});

it('refuses a NUL in a body that is a list, too', function (): void {
    $this->actingAs($this->instructor());
    $this->call('POST', '/api/learning/recalls', server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
        content: '["a\u0000b"]')->assertUnprocessable()->assertJsonPath('code', 'invalid');
});
