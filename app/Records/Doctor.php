<?php

declare(strict_types=1);

namespace App\Records;

use App\Competency\Anchors;
use App\People\Role;
use App\People\User;
use App\Policy\Policy;
use App\Support\Given;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;

/** Says in sentences what is wrong with the shop as the application sees it, and what to do; bin/doctor adds the machine's side. */
final class Doctor extends Command
{
    /** Written by the scheduler every minute. */
    public const BEAT = 'records.scheduler_beat';

    protected $signature = 'millstep:doctor {--quick : leave out the walk through the whole ledger}';

    protected $description = 'Say what is wrong and what to do about it';

    private int $wrong = 0;

    public function handle(Anchors $anchors): int
    {
        $this->wrong = 0;
        $now = CarbonImmutable::now();
        $this->say($this->migrations(), 'The database has every table and function of this version.');
        if (! $this->option('quick')) {
            $code = Artisan::call('competency:verify');
            $this->say(
                $code === 0 ? null : trim(Artisan::output()).' Stop, keep everything as it is, and find out who had the database.',
                trim(Artisan::output()),
            );
        }
        $this->say($this->anchor($anchors, $now), 'The ledger\'s head was signed within the last day.');
        $this->say($this->backup($now), 'There is a backup of the last day and a half.');
        $this->say($this->scheduler($now), 'What is done by the clock is being done.');
        $this->say($this->queue($now), 'Letters go out: nothing has waited for long.');
        $this->say(
            $this->mail(),
            'Letters go to '.(config('mail.default') === 'mailbox' ? 'the demo\'s mailbox' : 'the mail server, which answers').'.',
        );
        $alerts = Alert::query()->whereNull('seen_at')->count();
        $this->say(
            $alerts === 0 ? null : "$alerts alerts have not been seen by anybody. They stand on Today.",
            'Every alert has been seen.',
        );
        $this->say($this->people(), 'There is a shop lead, and nobody is here with a demo\'s password.');
        $this->say($this->clock($now), 'This machine\'s clock and the database\'s agree, and nothing is recorded in the future.');

        return $this->wrong === 0 ? self::SUCCESS : self::FAILURE;
    }

    private function say(?string $fault, string $well): void
    {
        $fault === null ? $this->line("  ● $well") : $this->line("  ■ $fault");
        $this->wrong += $fault === null ? 0 : 1;
    }

    private function migrations(): ?string
    {
        $files = array_map(static fn (string $file): string => basename($file, '.php'), glob(database_path('migrations/*.php')) ?: []);
        $missing = array_diff($files, Given::texts(DB::table('migrations')->pluck('migration')->all()));

        return $missing === []
            ? null
            : sprintf(
                'The database is of an older version: %d changes are missing. Start the shop again, or run bin/install.',
                count($missing),
            );
    }

    private function anchor(Anchors $anchors, CarbonImmutable $now): ?string
    {
        $file = $anchors->file();
        $made = is_file($file) ? filemtime($file) : false;

        return match (true) {
            $made === false => "There is no anchor in $file: nobody could tell whether the ledger was written anew. "
                .'Run bin/artisan competency:anchor.',
            $now->getTimestamp() - $made > 26 * 3600 => 'The ledger\'s head was signed last at '.gmdate('Y-m-d H:i',
                $made).' UTC. It should be every night: see whether the scheduler runs, and whether the ledger holds.',
            default => null,
        };
    }

    private function backup(CarbonImmutable $now): ?string
    {
        $folder = Config::string('millstep.backups');
        $files = $folder === '' ? [] : (glob(rtrim($folder, '/').'/*.backup') ?: []);
        $last = $files === [] ? null : max(array_map(static fn (string $file): int => (int) filemtime($file), $files));

        return match (true) {
            $folder === '' => 'Nobody has said where backups are kept (MILLSTEP_BACKUPS).',
            $last === null => "There is no backup in $folder. Run bin/backup now, and every night.",
            $now->getTimestamp() - $last > 36 * 3600 => 'The last backup is of '.gmdate('Y-m-d H:i', $last).' UTC. '
                .'Run bin/backup, and see why it does not run every night.',
            default => null,
        };
    }

    private function scheduler(CarbonImmutable $now): ?string
    {
        $beat = Cache::get(self::BEAT);

        return match (true) {
            ! is_int($beat) => 'The scheduler has not run yet. Within a minute of a start that is right; '
                .'later it means that idle turns are not ended and the ledger is not checked: start the shop again.',
            $now->getTimestamp() - $beat > 180 => sprintf(
                'The scheduler has not run for %d minutes: idle turns are not ended, the ledger is not checked. Start the shop again.',
                intdiv($now->getTimestamp() - $beat, 60),
            ),
            default => null,
        };
    }

    private function queue(CarbonImmutable $now): ?string
    {
        $oldest = DB::table('jobs')->min('created_at');
        $failed = DB::table('failed_jobs')->count();

        return match (true) {
            $oldest !== null && $now->getTimestamp() - Given::whole($oldest) > 600 => sprintf(
                'A letter has waited for %d minutes. See whether the queue runs and the mail server answers.',
                intdiv($now->getTimestamp() - Given::whole($oldest), 60),
            ),
            $failed > 0 => "$failed letters could not be sent. See bin/artisan queue:failed, then bin/artisan queue:retry all.",
            default => null,
        };
    }

    private function mail(): ?string
    {
        if (config('mail.default') === 'mailbox') {
            return config('millstep.demo') === true
                ? null
                : 'Letters stay here (MAIL_MAILER=mailbox) and nobody is sent anything: '
                    .'a forgotten password cannot be reset. Set MAIL_MAILER=smtp and MAIL_HOST.';
        }
        $host = Config::string('mail.mailers.smtp.host');
        $port = Config::integer('mail.mailers.smtp.port');
        $open = @fsockopen($host, $port, $code, $why, 3);
        if ($open === false) {
            return "The mail server $host:$port does not answer ($why). Nobody can reset a password, and alerts reach nobody by mail.";
        }
        fclose($open);

        return null;
    }

    private function people(): ?string
    {
        if (! User::query()->where('role', Role::Lead)->where('active', true)->exists()) {
            return 'There is no active shop lead. Add one: bin/artisan people:add-lead "Name" mail@address';
        }
        $demo = User::query()->where('active', true)->where('email', 'like', '%@millstep.example')->count();
        if ($demo > 0 && config('millstep.demo') !== true) {
            return "$demo demo accounts with a known password are active. Deactivate them under Records, People.";
        }
        $without = User::query()
            ->whereIn('role', [Role::Lead, Role::Instructor])
            ->where('active', true)
            ->whereNull('totp_confirmed_at')
            ->count();

        return Policy::inForce()->secondFactorRequired && $without > 0
            ? "$without people who teach have not set up the second factor that the policy requires; until they do, "
                .'they can do nothing else.'
            : null;
    }

    private function clock(CarbonImmutable $now): ?string
    {
        /** @var \stdClass $row */
        $row = DB::selectOne(
            'SELECT extract(epoch FROM clock_timestamp()) AS now, (SELECT extract(epoch FROM max(recorded_at)) FROM '
                .'competency_ledger) AS last',
        );
        $ahead = Given::number($row->last ?? 0) - $now->getTimestamp();

        return match (true) {
            abs(
                Given::number($row?->now) - $now->getPreciseTimestamp(6) / 1e6,
            ) > 5 => 'This machine\'s clock and the database\'s differ by more than five seconds.',
            $ahead > 5 => sprintf(
                'The last ledger line is dated %d minutes from now: this machine\'s clock was put back. Set it right (timedatectl).',
                (int) ceil($ahead / 60),
            ),
            default => null,
        };
    }
}
