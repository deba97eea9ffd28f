<?php

declare(strict_types=1);

namespace App\Providers;

use App\Assessment\Listeners\DeletePhotos;
use App\Competency\Events\EntryCorrected;
use App\Competency\Events\PermitDefined;
use App\Competency\Events\PermitHeld;
use App\Competency\Events\PermitRevoked;
use App\Competency\Listeners\EndAuthorisations;
use App\Competency\OpenTurns;
use App\Competency\Permit;
use App\Competency\Taught;
use App\Competency\Texts\Forgotten;
use App\Content\WhatIsTaught;
use App\Gate\Badges;
use App\Gate\Device;
use App\Gate\Events\BadgeEnded;
use App\Gate\Events\PresenceChanged;
use App\Gate\Listeners\ReviewOpenTurns;
use App\Gate\MachinePolicy;
use App\Gate\PresentNow;
use App\Gate\Token;
use App\Gate\TurnsEnding;
use App\Language\Speech;
use App\Learning\Events\LessonPublished;
use App\Learning\Events\LookAsked;
use App\Learning\LessonCases;
use App\Live\Push;
use App\People\BadgeDesk;
use App\People\Cohort;
use App\People\CohortPolicy;
use App\People\Events\PersonDeactivated;
use App\People\Events\PersonForgotten;
use App\People\Events\RoleChanged;
use App\People\LearnerPolicy;
use App\People\MailboxTransport;
use App\People\OnTheFloor;
use App\People\Remembered;
use App\People\User;
use App\Planning\Plan;
use App\Planning\PlanPolicy;
use App\Policy\ShopNow;
use App\Practice\Events\PracticeLogged;
use App\Records\Listeners\AlertLead;
use App\Records\Listeners\WriteToWhoTeaches;
use App\Support\QuietConnection;
use App\Support\RaisesAlert;
use App\Workshop\Events\MachineTakenOutOfService;
use App\Workshop\Events\PolicyChanged;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Auth\Notifications\ResetPassword;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Container\Container;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Events\TransactionBeginning;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Routing\UrlGenerator;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;
use Laravel\Sanctum\Sanctum;
use PDO;

final class MillStepServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        Date::use(CarbonImmutable::class);
        Connection::resolverFor('pgsql', /** @param  (Closure(): PDO)|PDO  $pdo
         * @param  array<string, mixed>  $config */
            static fn (Closure|PDO $pdo, string $database, string $prefix, array $config): QuietConnection => new QuietConnection(
                $pdo,
                $database,
                $prefix,
                $config,
            ));
        $this->app->singleton(Push::class);
        // What a lesson's hole comes to is planned once for a request, and forgotten with it.
        $this->app->scoped(LessonCases::class);
        $this->app->scoped(ShopNow::class);
        $this->app->terminating(Container::getInstance()->forgetScopedInstances(...));
        $this->app->bind(BadgeDesk::class, Badges::class);
        $this->app->bind(OnTheFloor::class, PresentNow::class);
        $this->app->bind(Remembered::class, Forgotten::class);
        $this->app->bind(Taught::class, WhatIsTaught::class);
        $this->app->bind(OpenTurns::class, TurnsEnding::class);
        Sanctum::usePersonalAccessTokenModel(Token::class);
    }

    public function boot(): void
    {
        Permit::relate();
        // What a request calls its host never reaches a page: files of ours are on the page's own, links say the shop's address.
        Vite::createAssetPathsUsing(static fn (string $path): string => "/$path");
        app(UrlGenerator::class)->forceRootUrl(rtrim(Config::string('app.url'), '/'));
        Model::shouldBeStrict(! $this->app->environment('production') === true);
        JsonResource::withoutWrapping();
        Auth::viaRequest('device-token', static fn (Request $request): ?Device => Device::carrying($request->bearerToken()));
        // Roles, for what is not about one record.
        Gate::define('teach', static fn (User $user): bool => $user->teaches());
        Gate::policy(User::class, LearnerPolicy::class);
        Gate::policy(Cohort::class, CohortPolicy::class);
        Gate::policy(Machine::class, MachinePolicy::class);
        Gate::policy(Plan::class, PlanPolicy::class);
        Gate::define('audit', static fn (User $user): bool => $user->leads() || $user->audits());
        Gate::define('lead', static fn (User $user): bool => $user->leads());

        // What is no number, or no UUID, names nothing: it is not found, and the database is not asked.
        foreach (['bar', 'cohort', 'device', 'hold', 'learner', 'person', 'tool', 'alert'] as $number) {
            Route::pattern($number, '[0-9]{1,18}');
        }

        $this->listen();

        RateLimiter::for('reset', static fn (Request $request) => Limit::perMinute(5)->by($request->ip()));
        // Behind the #, so that it never reaches a server, and no log.
        ResetPassword::createUrlUsing(self::resetUrl(...));
        ResetPassword::toMailUsing(static function (mixed $user, string $token): MailMessage {
            assert($user instanceof User);
            $says = Speech::to($user);

            return (new MailMessage)->subject($says->sayCode('letter.reset.subject'))
                ->greeting($says->sayCode('letter.hello', ['name' => $user->name]))
                ->line($says->sayCode('letter.reset.why'))
                ->action($says->sayCode('letter.reset.act'), self::resetUrl($user, $token))
                ->line($says->sayCode('letter.reset.until', ['minutes' => Config::integer('auth.passwords.users.expire')]))
                ->salutation($says->sayCode('letter.regards'));
        });
        Mail::extend('mailbox', static fn (): MailboxTransport => new MailboxTransport);
    }

    private static function resetUrl(mixed $user, string $token): string
    {
        assert($user instanceof User);
        $query = http_build_query(['token' => $token, 'email' => $user->email]);

        return rtrim(Config::string('app.url'), '/').'/reset#'.$query;
    }

    /** Which room cares about what happened in another. */
    private function listen(): void
    {
        Event::listen([
            PermitHeld::class,
            PermitRevoked::class,
            EntryCorrected::class,
            MachineTakenOutOfService::class,
            PersonDeactivated::class,
            RoleChanged::class,
            PresenceChanged::class,
            BadgeEnded::class,
            PolicyChanged::class,
            PermitDefined::class,
            LessonPublished::class,
        ], ReviewOpenTurns::class);
        Event::listen(RoleChanged::class, EndAuthorisations::class);
        Event::listen([LookAsked::class, PracticeLogged::class], WriteToWhoTeaches::class);
        Event::listen(RaisesAlert::class, AlertLead::class);
        Event::listen(PersonForgotten::class, DeletePhotos::class);
        Event::listen('App\\*', Push::class);
        // The database writes down who changed what (records_audit); here it is told who.
        Event::listen(TransactionBeginning::class, static function (TransactionBeginning $beginning): void {
            $user = Auth::guard('web')->hasUser() ? Auth::guard('web')->user() : null;
            if ($user instanceof User && $beginning->connection->getDriverName() === 'pgsql') {
                $beginning->connection->getPdo()->exec("SET LOCAL millstep.actor = '{$user->id}'");
            }
        });
    }
}
