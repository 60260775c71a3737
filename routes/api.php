<?php

declare(strict_types=1);

use App\Http\Controllers\ArrangementController;
use App\Http\Controllers\BenchController;
use App\Http\Controllers\BendController;
use App\Http\Controllers\CheckController;
use App\Http\Controllers\ComparisonController;
use App\Http\Controllers\DraftController;
use App\Http\Controllers\ImportController;
use App\Http\Controllers\OrderController;
use App\Http\Controllers\OutlookController;
use App\Http\Controllers\PeopleController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\SchemeController;
use App\Http\Controllers\SculptController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SignOffController;
use App\Http\Controllers\StandardController;
use App\Http\Controllers\StudioController;
use App\Http\Controllers\VocabularyController;
use Illuminate\Support\Facades\Route;

Route::post('session', [SessionController::class, 'store'])->middleware('throttle:sign-in');
Route::get('session', [SessionController::class, 'show']);
Route::get('vocabulary', VocabularyController::class);
Route::get('shared/{secret}', [ComparisonController::class, 'shared'])->where('secret', '[0-9a-f]{32}')->middleware('throttle:shared');

Route::middleware('throttle:link')->group(function (): void {
    Route::get('invitations/{secret}', [PeopleController::class, 'linked'])->where('secret', '[0-9a-f]{32}');
    Route::post('invitations/{secret}', [PeopleController::class, 'join'])->where('secret', '[0-9a-f]{32}');
});

Route::middleware('auth')->group(function (): void {
    Route::delete('session', [SessionController::class, 'destroy']);

    Route::middleware('can:standard.read')->group(function (): void {
        Route::get('standard', [StandardController::class, 'show']);
        Route::get('standard/versions', [StandardController::class, 'versions']);
        Route::get('standard/versions/{number}', [StandardController::class, 'version'])->whereNumber('number');
        Route::get('standard/versions/{number}/export', [StandardController::class, 'export'])->whereNumber('number');
        Route::get('standard/compare', [StandardController::class, 'compare']);
        Route::get('standard/difference', [StandardController::class, 'difference']);
        Route::get('standard/techniques', [StandardController::class, 'techniques']);
        Route::get('standard/ladder.csv', [StandardController::class, 'csv']);
        Route::get('standard/comparison', [ComparisonController::class, 'show']);
        Route::get('packs', [ImportController::class, 'packs']);
        Route::get('packs/{pack}', [ImportController::class, 'pack']);
    });
    Route::middleware('can:standard.edit')->group(function (): void {
        Route::post('standard/draft', [DraftController::class, 'open']);
        Route::delete('standard/draft', [DraftController::class, 'discard']);
        Route::put('standard/draft/clauses', [DraftController::class, 'write']);
        Route::delete('standard/draft/clauses', [DraftController::class, 'remove']);
        Route::post('standard/draft/changes', [DraftController::class, 'change']);
        Route::post('standard/draft/try', [DraftController::class, 'attempt']);
        Route::post('standard/draft/consequences', [DraftController::class, 'consequences']);
        Route::post('standard/draft/publish', [DraftController::class, 'publish']);
    });
    Route::middleware('can:share')->group(function (): void {
        Route::get('shares', [ComparisonController::class, 'links']);
        Route::post('shares', [ComparisonController::class, 'share']);
        Route::delete('shares/{link}', [ComparisonController::class, 'withdraw'])->whereNumber('link');
    });
    Route::middleware('can:import')->group(function (): void {
        Route::post('imports', [ImportController::class, 'store']);
        Route::post('imports/preview', [ImportController::class, 'preview']);
    });
    Route::get('studio', [StudioController::class, 'show'])->middleware('can:studio.read');
    Route::put('studio', [StudioController::class, 'update'])->middleware('can:studio.edit');
    Route::middleware('can:people.edit')->group(function (): void {
        Route::get('people', [PeopleController::class, 'index']);
        Route::post('people', [PeopleController::class, 'store']);
        Route::put('people/{person}', [PeopleController::class, 'update'])->whereNumber('person');
        Route::put('people/{person}/aside', [PeopleController::class, 'aside'])->whereNumber('person');
        Route::post('people/{person}/link', [PeopleController::class, 'relink'])->whereNumber('person');
    });
    Route::put('account/password', [PeopleController::class, 'password'])->middleware('throttle:sign-in');
    Route::delete('account/sessions', [PeopleController::class, 'signOutElsewhere']);
    Route::get('tokens', [StudioController::class, 'tokens']);
    Route::post('tokens', [StudioController::class, 'makeToken']);
    Route::delete('tokens/{token}', [StudioController::class, 'revokeToken'])->whereNumber('token');

    Route::middleware('can:orders.read')->group(function (): void {
        Route::get('orders', [OrderController::class, 'index']);
        Route::get('orders/{order}', [OrderController::class, 'show'])->whereNumber('order');
    });
    Route::middleware('can:orders.edit')->group(function (): void {
        Route::post('orders', [OrderController::class, 'store']);
        Route::put('orders/{order}', [OrderController::class, 'update'])->whereNumber('order');
        Route::post('pieces/{piece}/move', [OrderController::class, 'movePiece'])->whereNumber('piece');
        Route::post('orders/{order}/units', [OrderController::class, 'addUnit'])->whereNumber('order');
    });

    Route::middleware('can:schemes.read')->group(function (): void {
        Route::get('schemes', [SchemeController::class, 'index']);
        Route::get('schemes/{slug}', [SchemeController::class, 'show']);
        Route::get('sculpts', [SculptController::class, 'index']);
        Route::get('sculpts/{slug}', [SculptController::class, 'show']);
        Route::get('sculpts/{slug}/export', [SculptController::class, 'export']);
    });
    Route::middleware('can:schemes.edit')->group(function (): void {
        Route::post('schemes', [SchemeController::class, 'store']);
        Route::post('schemes/try', [SchemeController::class, 'attempt']);
        Route::put('schemes/{slug}', [SchemeController::class, 'update']);
        Route::post('schemes/{slug}/outcome', [SchemeController::class, 'judge']);
        Route::post('sculpts', [SculptController::class, 'store']);
        Route::post('sculpts/try', [SculptController::class, 'attempt']);
        Route::put('sculpts/{slug}', [SculptController::class, 'update']);
    });
    Route::put('orders/{order}/scheme', [OrderController::class, 'colours'])->whereNumber('order')->middleware('can:orders.edit');
    Route::post('pictures', [SculptController::class, 'takePicture'])->middleware('can:orders.edit');
    Route::get('pictures/{sha}', [SculptController::class, 'picture'])->where('sha', '[0-9a-f]{64}')->middleware('can:plan.read');

    Route::get('units/{unit}/plan', [PlanController::class, 'show'])->whereNumber('unit')->middleware('can:plan.read');
    Route::middleware('can:plan.edit')->group(function (): void {
        Route::put('units/{unit}/plan', [PlanController::class, 'edit'])->whereNumber('unit');
        Route::post('units/{unit}/release', [PlanController::class, 'release'])->whereNumber('unit');
        Route::delete('units/{unit}/release', [PlanController::class, 'takeBack'])->whereNumber('unit');
        Route::get('units/{unit}/schools', [ArrangementController::class, 'schools'])->whereNumber('unit');
        Route::get('units/{unit}/tiers', [ArrangementController::class, 'tiers'])->whereNumber('unit');
        Route::post('units/{unit}/spare', [ArrangementController::class, 'spare'])->whereNumber('unit');
        Route::post('units/{unit}/amendments', [ArrangementController::class, 'amend'])->whereNumber('unit');
        Route::delete('units/{unit}/amendments/{amendment}', [ArrangementController::class, 'unamend'])->whereNumber('unit')->whereNumber('amendment');
        Route::put('units/{unit}/tier', [ArrangementController::class, 'move'])->whereNumber('unit');
        Route::put('units/{unit}/method', [ArrangementController::class, 'method'])->whereNumber('unit');
        Route::post('units/{unit}/move', [BendController::class, 'move'])->whereNumber('unit');
        Route::put('units/{unit}/sequence', [BendController::class, 'sequence'])->whereNumber('unit');
        Route::put('units/{unit}/step', [BendController::class, 'step'])->whereNumber('unit');
        Route::put('units/{unit}/practice', [BendController::class, 'practice'])->whereNumber('unit');
        Route::put('units/{unit}/aim', [BendController::class, 'aim'])->whereNumber('unit');
        Route::post('units/{unit}/overrules', [BendController::class, 'overrule'])->whereNumber('unit');
        Route::delete('units/{unit}/overrules/{place}', [BendController::class, 'uphold'])->whereNumber('unit')->whereNumber('place');
        Route::put('units/{unit}/variants', [BendController::class, 'variants'])->whereNumber('unit');
        Route::put('pieces/{piece}/lacks', [BendController::class, 'lacks'])->whereNumber('piece');
        Route::post('units/{unit}/copy', [BendController::class, 'copy'])->whereNumber('unit');
        Route::get('units/{unit}/stops', [OutlookController::class, 'stops'])->whereNumber('unit');
        Route::get('units/{unit}/spraying', [OutlookController::class, 'spraying'])->whereNumber('unit');
        Route::get('units/{unit}/compare', [OutlookController::class, 'compare'])->whereNumber('unit');
        Route::get('units/{unit}/raise', [OutlookController::class, 'raise'])->whereNumber('unit');
        Route::post('units/{unit}/raise', [OutlookController::class, 'doRaise'])->whereNumber('unit');
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
        Route::delete('checks/{check}/faults/{fault}', [CheckController::class, 'takeAway'])->whereNumber('fault')->whereNumber('check');
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
