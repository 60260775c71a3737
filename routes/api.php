<?php

declare(strict_types=1);

use App\Http\Controllers\BenchController;
use App\Http\Controllers\CheckController;
use App\Http\Controllers\OrderController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SignOffController;
use App\Http\Controllers\StandardController;
use Illuminate\Support\Facades\Route;

Route::post('session', [SessionController::class, 'store'])->middleware('throttle:sign-in');
Route::get('session', [SessionController::class, 'show']);

Route::middleware('auth')->group(function (): void {
    Route::delete('session', [SessionController::class, 'destroy']);

    Route::middleware('can:standard.read')->group(function (): void {
        Route::get('standard', [StandardController::class, 'show']);
        Route::get('standard/versions', [StandardController::class, 'versions']);
        Route::get('standard/versions/{number}', [StandardController::class, 'version'])->whereNumber('number');
    });
    Route::middleware('can:standard.edit')->group(function (): void {
        Route::post('standard/draft', [StandardController::class, 'open']);
        Route::put('standard/draft/clauses', [StandardController::class, 'write']);
        Route::delete('standard/draft/clauses', [StandardController::class, 'remove']);
        Route::post('standard/draft/try', [StandardController::class, 'attempt']);
        Route::post('standard/draft/publish', [StandardController::class, 'publish']);
    });

    Route::middleware('can:orders.read')->group(function (): void {
        Route::get('orders', [OrderController::class, 'index']);
        Route::get('orders/{order}', [OrderController::class, 'show'])->whereNumber('order');
    });
    Route::middleware('can:orders.edit')->group(function (): void {
        Route::post('orders', [OrderController::class, 'store']);
        Route::post('orders/{order}/units', [OrderController::class, 'addUnit'])->whereNumber('order');
    });

    Route::get('units/{unit}/plan', [PlanController::class, 'show'])->whereNumber('unit')->middleware('can:plan.read');
    Route::middleware('can:plan.edit')->group(function (): void {
        Route::put('units/{unit}/plan', [PlanController::class, 'edit'])->whereNumber('unit');
        Route::post('units/{unit}/release', [PlanController::class, 'release'])->whereNumber('unit');
    });

    Route::middleware('can:bench.use')->group(function (): void {
        Route::get('bench', [BenchController::class, 'index']);
        Route::get('bench/{unit}', [BenchController::class, 'show'])->whereNumber('unit');
        Route::post('bench/marks', [BenchController::class, 'mark']);
        Route::delete('bench/marks', [BenchController::class, 'unmark']);
        Route::post('pieces/{piece}/offer', [BenchController::class, 'offer'])->whereNumber('piece');
    });

    Route::get('checks', [CheckController::class, 'index'])->middleware('can:check.read');
    Route::get('checks/{check}', [CheckController::class, 'show'])->whereNumber('check')->middleware('can:check.read');
    Route::middleware('can:check.answer')->group(function (): void {
        Route::post('pieces/{piece}/check', [CheckController::class, 'open'])->whereNumber('piece');
        Route::put('checks/{check}/answers', [CheckController::class, 'answer'])->whereNumber('check');
        Route::post('checks/{check}/verdict', [CheckController::class, 'close'])->whereNumber('check');
    });

    Route::middleware('can:certificate.read')->group(function (): void {
        Route::get('sign-offs', [SignOffController::class, 'index']);
        Route::get('sign-offs/{number}', [SignOffController::class, 'show'])->whereNumber('number');
    });
    Route::middleware('can:sign')->group(function (): void {
        Route::post('sign-offs', [SignOffController::class, 'store']);
        Route::post('sign-offs/{number}/withdrawal', [SignOffController::class, 'withdraw'])->whereNumber('number');
    });
});
