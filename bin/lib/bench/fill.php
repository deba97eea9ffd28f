<?php

declare(strict_types=1);

// Fills a throwaway shop: learners who may run alone, machines with a reader each, and a long, whole, sealed ledger.
// Run with the shop's environment, as its own database role.

use App\Competency\Folds;
use App\Competency\LedgerEntry;
use App\Competency\Permit;
use App\Competency\ShopKey;
use App\Gate\Badge;
use App\Gate\PairDevice;
use App\People\Role;
use App\People\User;
use App\Policy\Policy;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use MillStep\Core\Competency\HashChain;

require __DIR__.'/../../../vendor/autoload.php';
(require __DIR__.'/../../../bootstrap/app.php')->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

$learners = (int) (getenv('LEARNERS') ?: 2000);
$lines = (int) (getenv('LINES') ?: 500);
$settings = Policy::settingsInForce();
Policy::query()->create(['settings' => [...$settings, 'hours' => [['days' => [1, 2, 3, 4, 5, 6, 7], 'from' => '00:00', 'to' => '24:00']],
    'companion_required' => false],
    'note' => 'Bench', 'in_force_from' => CarbonImmutable::now()]);
$permit = Permit::query()->with('statements')->where('code', 'drill-through-10')->firstOrFail();
$by = User::query()->where('role', Role::Instructor)->firstOrFail();
$tokens = $codes = $ids = [];
$old = Machine::query()->where('slug', 'bench-drill')->firstOrFail();
for ($i = 1; $i <= 40; $i++) {
    $machine = $old->replicate();
    $machine->fill(['slug' => "bench-$i", 'name' => "Bench drill $i", 'in_service' => true])->save();
    $machine->permits()->attach($permit);
    $tokens[] = app(PairDevice::class)($machine, $by, "Reader $i");
}
// Nobody signs in: one hash does for all.
$hash = Illuminate\Support\Facades\Hash::make('nobody');
for ($i = 1; $i <= $learners; $i++) {
    $user = User::query()->create([
        'name' => "Learner $i",
        'email' => "bench-$i@millstep.example",
        'password' => $hash,
        'role' => Role::Learner,
    ]);
    Badge::query()->create(['user_id' => $user->id, 'code_hash' => Badge::hash("BENCH-$i")]);
    $codes[] = "BENCH-$i";
    $ids[] = $user->id;
}
// All that it takes to run alone: what the permit builds on first.
$climb = [];
foreach ([...Permit::query()->with('statements')->whereIn('code', $permit->requirement['prerequisites'] ?? [])->get(), $permit] as $each) {
    $requirement = $each->requirement;
    array_push(
        $climb,
        ...array_map(
            static fn (string $code): array => [null, 'lesson_completed', ['lesson' => $code, 'version' => 9]],
            [...$requirement['lessons'], ...$requirement['guided'] ?? []],
        ),
        ...array_map(
            static fn (string $code): array => [null, 'check_attempted', ['check' => $code, 'passed' => true]],
            $requirement['checks'],
        ),
        ...array_fill(0, max(3, $requirement['practice_count']), [$each->id, 'practice_confirmed', ['minutes' => 120]]),
        ...array_map(
            static fn (string $code): array => [null, 'assessment_concluded', ['assessment' => $code, 'outcome' => 'passed']],
            $requirement['assessments'],
        ),
        ...[[
            $each->id,
            'signed_off',
            [
                'statement_version' => $each->statementInForce()->version,
                'valid_until' => CarbonImmutable::now()->addYear()->toIso8601ZuluString(),
                'scope' => (object) [],
            ],
        ]],
    );
}
$last = LedgerEntry::query()->latest('seq')->firstOrFail();
[$previous, $at] = [$last->hash, $last->recorded_at->utc()];
$key = app(ShopKey::class);
$pdo = DB::connection()->getPdo();
$written = 0;
for ($n = 0; $n < $lines; $n++) {
    $rows = [];
    foreach ($ids as $index => $id) {
        [$for, $type, $data] = $climb[$n] ?? [
            $permit->id,
            'machine_time',
            ['minutes' => 20 + ($n + $index) % 30, 'confirmed' => true, 'machine' => 'bench-1', 'ended' => 'finished', 'reasons' => []],
        ];
        $at = $at->addMicroseconds(40);
        $text = json_encode($data, JSON_THROW_ON_ERROR);
        $uuid = (string) Str::uuid7();
        $instant = $at->format(LedgerEntry::INSTANT);
        $previousOf = $previous;
        $previous = HashChain::next($previousOf, [
            $uuid, (string) $id, (string) $for, $type, $text, (string) $by->id, $instant, $instant, '2', '', '',
        ]);
        $rows[] = implode(
            "\t",
            [$uuid, $id, $for ?? '\N', $type, $text, $by->id, $instant, $instant, $previousOf, $previous, $key->seal($previous)],
        );
    }
    $pdo->pgsqlCopyFromArray(
        'competency_ledger',
        $rows,
        "\t",
        '\\\\N',
        'id,learner_id,permit_id,type,data,recorded_by,happened_at,recorded_at,previous_hash,hash,seal',
    );
    $written += count($rows);
}
echo "  $written lines written\n";
// As the database itself does once a table has grown.
(new PDO('pgsql:host=127.0.0.1;port='.config('database.connections.pgsql.port').';dbname=millstep', 'millstep_admin',
    (string) getenv('PG_ADMIN_PASSWORD')))->exec('ANALYZE');
$folds = app(Folds::class);
foreach ($ids as $id) {
    $folds->keep($id, CarbonImmutable::now());
}
file_put_contents(getenv('LARAVEL_STORAGE_PATH').'/bench.json', json_encode(['tokens' => $tokens, 'codes' => $codes], JSON_THROW_ON_ERROR));
