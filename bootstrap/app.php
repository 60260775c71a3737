<?php

use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;

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
        health: '/up',
    )
    ->withCommands([__DIR__.'/../app/Console'])
    ->withMiddleware(function (Middleware $middleware): void {
        // Same origin only; and the package it needs is not installed (see support/compat).
        $middleware->remove(HandleCors::class);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
    })
    ->create();
