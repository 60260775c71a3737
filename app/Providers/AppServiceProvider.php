<?php

declare(strict_types=1);

namespace App\Providers;

use App\Http\Middleware\SessionAge;
use App\Models\AccessToken;
use App\Models\User;
use App\Policies\Rights;
use App\Repositories\FaultCatalogue;
use App\Repositories\Releases;
use App\Repositories\Standards;
use App\Studio\Heartbeat;
use App\Studio\Today;
use Illuminate\Auth\Events\Login;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Queue\Events\Looping;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Laravel\Sanctum\Sanctum;
use Ordotype\Core\Picture\Booth\Booth;
use Ordotype\Core\Planning\Choice\AreaSolver;
use Ordotype\Core\Planning\Plan\Planner;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        // What is solved within one request or command need not be solved twice.
        $this->app->singleton(AreaSolver::class);
        $this->app->singleton(Planner::class, fn ($app) => new Planner($app->make(AreaSolver::class)));
        // The body of a figure is kept from one drawing to the next.
        $this->app->singleton(Booth::class);
        // What was read within one request or command need not be read twice.
        $this->app->singleton(Heartbeat::class);
        $this->app->scoped(Standards::class);
        $this->app->scoped(Today::class);
        $this->app->scoped(Releases::class);
        $this->app->scoped(FaultCatalogue::class);
    }

    public function boot(): void
    {
        Sanctum::usePersonalAccessTokenModel(AccessToken::class);
        Model::preventLazyLoading(! $this->app->isProduction());
        foreach (array_keys(Rights::ABILITIES) as $ability) {
            Gate::define($ability, fn (User $user) => Rights::has($user, $ability));
        }
        Event::listen(Login::class, fn () => session()->put(SessionAge::SIGNED_IN, now()->getTimestamp()));
        Event::listen(Looping::class, fn () => $this->app->make(Heartbeat::class)->beat());
        RateLimiter::for('shared', fn (Request $request) => Limit::perMinute(60)->by('shared:'.$request->ip()));
        RateLimiter::for(
            'shared-pictures',
            fn (Request $request) => Limit::perMinute(600)->by('pictures:'.$request->ip()),
        );
        RateLimiter::for(
            'sign-in',
            fn (Request $request) => [
                // By the address of both, so that a stranger who guesses keeps nobody else out.
                Limit::perMinute(10)->by('email:'.mb_strtolower(self::address($request)).' ip:'.$request->ip()),
                Limit::perMinute(40)->by('ip:'.$request->ip()),
            ],
        );
        RateLimiter::for('link', fn (Request $request) => Limit::perMinute(30)->by('link:'.$request->ip()));
    }

    /** What was sent for an address, whatever it is. */
    private static function address(Request $request): string
    {
        $sent = $request->input('email');

        return is_string($sent) ? $sent : '';
    }
}
