<?php

declare(strict_types=1);

namespace App\Providers;

use App\Gate\Token;
use App\People\MailboxTransport;
use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Auth\Notifications\ResetPassword;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\ServiceProvider;
use Laravel\Sanctum\Sanctum;

final class MillStepServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        Date::use(CarbonImmutable::class);
        Sanctum::usePersonalAccessTokenModel(Token::class);
    }

    public function boot(): void
    {
        Model::shouldBeStrict(! $this->app->environment('production') === true);
        JsonResource::withoutWrapping();
        // Roles, for what is not about one record.
        Gate::define('teach', static fn (User $user): bool => $user->teaches());
        // Learners see their own record and nobody else's.
        Gate::define('view-record', static fn (User $user, User $learner): bool => $learner->learns() && ($user->teaches() || $user->is($learner)));
        Gate::define('lead', static fn (User $user): bool => $user->leads());

        // What is no number, or no UUID, names nothing: it is not found, and the database is not asked.
        foreach (['bar', 'hold', 'learner', 'tool'] as $number) {
            Route::pattern($number, '[0-9]{1,18}');
        }

        RateLimiter::for('reset', static fn (Request $request) => Limit::perMinute(5)->by($request->ip()));
        RateLimiter::for('gate', static fn (Request $request) => Limit::perMinute(120)->by((string) $request->user()?->getKey()));
        ResetPassword::createUrlUsing(static fn (User $user, string $token): string => rtrim((string) config('app.url'), '/').'/reset/'.$token.'?email='.urlencode($user->email));
        Mail::extend('mailbox', static fn (): MailboxTransport => new MailboxTransport);
    }
}
