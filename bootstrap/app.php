<?php

declare(strict_types=1);

use App\Http\Controllers\Settings\HealthController;
use App\Http\Middleware\AnsweredOnce;
use App\Http\Middleware\BearerToken;
use App\Http\Middleware\BodySize;
use App\Http\Middleware\CsrfToken;
use App\Http\Middleware\KnownHost;
use App\Http\Middleware\KnownMethod;
use App\Http\Middleware\RoomToWrite;
use App\Http\Middleware\SecondFactorWanted;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Middleware\SessionAge;
use App\Http\Problem;
use Illuminate\Auth\Middleware\Authenticate;
use Illuminate\Auth\Middleware\Authorize;
use Illuminate\Cookie\Middleware\EncryptCookies;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Route;

// The command line reads and writes open files with no set-up at all, so the folders Laravel writes to may not be there.
foreach (['app', 'framework/cache/data', 'framework/sessions', 'framework/views', 'logs'] as $folder) {
    $path = dirname(__DIR__)."/storage/$folder";
    if (! is_dir($path)) {
        @mkdir($path, 0775, true);
    }
}

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        then: function (): void {
            // Outside the web group: a database that is away must not keep a session from being read.
            Route::get('up', HealthController::class);
            Route::middleware([BearerToken::class, 'web', AnsweredOnce::class])->prefix('api/v1')->group(__DIR__.'/../routes/api.php');
        },
    )
    ->withCommands([__DIR__.'/../app/Console'])
    ->withMiddleware(function (Middleware $middleware): void {
        // Same origin only; and the package it needs is not installed (see support/compat).
        $middleware->remove(HandleCors::class);
        $middleware->append([KnownHost::class, KnownMethod::class, RoomToWrite::class]);
        $middleware->prepend(BodySize::class);
        $middleware->append(SecurityHeaders::class);
        $middleware->web(append: [SessionAge::class], replace: [ValidateCsrfToken::class => CsrfToken::class]);
        // There is no page to be sent to: the interface asks for a sign-in itself, and the API answers 401 whatever is accepted.
        $middleware->redirectGuestsTo('/');
        // Who asks must be known before it is looked up whether the same was asked before.
        $middleware->priority([BearerToken::class, EncryptCookies::class, StartSession::class, SessionAge::class, Authenticate::class, SecondFactorWanted::class, Authorize::class, AnsweredOnce::class, SubstituteBindings::class]);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontReport([App\Exceptions\Refusal::class, App\Exceptions\Conflict::class, Ordotype\Core\Foundation\FormatException::class]);
        $exceptions->render(fn (Throwable $e, Request $request) => str_starts_with($request->getRequestUri(), '/api/') || $e instanceof App\Exceptions\Refusal ? Problem::from($e) : null);
    })
    ->create();
