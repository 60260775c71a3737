<?php

declare(strict_types=1);

use App\Http\Controllers\Bench\BatchController;
use App\Http\Controllers\Bench\BenchController;
use App\Http\Controllers\Certificate\SignOffController;
use App\Http\Controllers\Check\CheckController;
use App\Http\Controllers\Check\DrillController;
use App\Http\Controllers\Check\TrayController;
use App\Http\Controllers\Figures\SculptController;
use App\Http\Controllers\Orders\ClientController;
use App\Http\Controllers\Orders\OrderController;
use App\Http\Controllers\Orders\OrderLifeController;
use App\Http\Controllers\Orders\PaperController;
use App\Http\Controllers\Orders\QuoteController;
use App\Http\Controllers\Photographs\DrawingController;
use App\Http\Controllers\Photographs\ExampleController;
use App\Http\Controllers\Photographs\LimitController;
use App\Http\Controllers\Photographs\PhotographController;
use App\Http\Controllers\Plan\ArrangementController;
use App\Http\Controllers\Plan\BendController;
use App\Http\Controllers\Plan\OutlookController;
use App\Http\Controllers\Plan\PlanController;
use App\Http\Controllers\Schemes\PaintController;
use App\Http\Controllers\Schemes\SchemeController;
use App\Http\Controllers\Session\PeopleController;
use App\Http\Controllers\Session\SecondFactorController;
use App\Http\Controllers\Session\SessionController;
use App\Http\Controllers\Settings\ExportController;
use App\Http\Controllers\Settings\ImportController;
use App\Http\Controllers\Settings\StudioController;
use App\Http\Controllers\Settings\VocabularyController;
use App\Http\Controllers\Sharing\ClientPageController;
use App\Http\Controllers\Sharing\ComparisonController;
use App\Http\Controllers\Standard\DraftController;
use App\Http\Controllers\Standard\StandardController;
use App\Http\Middleware\SecondFactorWanted;
use App\Studio\Exports;
use Illuminate\Support\Facades\Route;

// Numbers that a database can hold: a longer one is no address.
foreach (['order', 'unit', 'piece', 'check', 'fault', 'number', 'link', 'token', 'person', 'amendment', 'overrule', 'import', 'photograph', 'example', 'drill', 'payment', 'question', 'client', 'parcel', 'paint'] as $name) {
    Route::pattern($name, '[0-9]{1,18}');
}

Route::post('session', [SessionController::class, 'store'])->middleware('throttle:sign-in');
Route::get('session', [SessionController::class, 'show']);
Route::get('vocabulary', VocabularyController::class);
// Drawings are had by an address that only the studio can make: signed in, or behind a link that shows them.
Route::get('drawn/{sha}/{secret}', [DrawingController::class, 'state'])->where(['sha' => '[0-9a-f]{64}', 'secret' => '[0-9a-f]{32}']);
Route::post('drawn/{sha}/{secret}', [DrawingController::class, 'again'])->where(['sha' => '[0-9a-f]{64}', 'secret' => '[0-9a-f]{32}'])->middleware('throttle:shared');
Route::get('drawn/{sha}/{secret}/picture', [DrawingController::class, 'picture'])->where(['sha' => '[0-9a-f]{64}', 'secret' => '[0-9a-f]{32}']);
Route::get('shared/{secret}', [ComparisonController::class, 'shared'])->where('secret', '[0-9a-f]{32}')->middleware('throttle:shared');
Route::middleware('throttle:shared')->prefix('for-you/{secret}')->where(['secret' => '[0-9a-f]{32}', 'sha' => '[0-9a-f]{64}'])->group(function (): void {
    Route::get('', [ClientPageController::class, 'show']);
    Route::post('answer', [ClientPageController::class, 'answer']);
    Route::post('questions', [ClientPageController::class, 'ask']);
    Route::put('questions/{question}', [ClientPageController::class, 'reply']);
    Route::get('units/{unit}/tiers', [ClientPageController::class, 'tiers']);
    Route::get('paper', [ClientPageController::class, 'paper']);
});
Route::get('for-you/{secret}/pictures/{sha}', [ClientPageController::class, 'picture'])->where(['secret' => '[0-9a-f]{32}', 'sha' => '[0-9a-f]{64}'])->middleware('throttle:shared-pictures');

Route::get('concessions/{secret}', [ComparisonController::class, 'concession'])->where('secret', '[0-9a-f]{32}')->middleware('throttle:shared');
Route::post('concessions/{secret}', [ComparisonController::class, 'concede'])->where('secret', '[0-9a-f]{32}')->middleware('throttle:shared');
Route::get('certificates/{secret}', [SignOffController::class, 'forClient'])->where('secret', '[0-9a-f]{32}')->middleware('throttle:shared');
Route::get('certificates/{secret}/paper', [SignOffController::class, 'paperForClient'])->where('secret', '[0-9a-f]{32}')->middleware('throttle:shared');
Route::get('certificates/{secret}/pictures/{sha}', [SignOffController::class, 'pictureForClient'])->where(['secret' => '[0-9a-f]{32}', 'sha' => '[0-9a-f]{64}'])->middleware('throttle:shared');
Route::get('shared/{secret}/pictures/{sha}', [ComparisonController::class, 'sharedPicture'])->where(['secret' => '[0-9a-f]{32}', 'sha' => '[0-9a-f]{64}'])->middleware('throttle:shared');

Route::middleware('throttle:link')->group(function (): void {
    Route::get('invitations/{secret}', [PeopleController::class, 'linked'])->where('secret', '[0-9a-f]{32}');
    Route::post('invitations/{secret}', [PeopleController::class, 'join'])->where('secret', '[0-9a-f]{32}');
});

Route::middleware(['auth', SecondFactorWanted::class])->group(function (): void {
    Route::delete('session', [SessionController::class, 'destroy']);

    Route::middleware('can:standard.read')->group(function (): void {
        Route::get('standard', [StandardController::class, 'show']);
        Route::get('standard/versions', [StandardController::class, 'versions']);
        Route::get('standard/versions/{number}', [StandardController::class, 'version']);
        Route::get('standard/versions/{number}/export', [StandardController::class, 'export']);
        Route::get('standard/compare', [StandardController::class, 'compare']);
        Route::get('standard/difference', [StandardController::class, 'difference']);
        Route::get('standard/tiers/{tier}/open-units', [StandardController::class, 'openUnits']);
        Route::get('standard/techniques', [StandardController::class, 'techniques']);
        Route::get('standard/ladder.csv', [StandardController::class, 'csv']);
        Route::get('standard/comparison', [ComparisonController::class, 'show']);
        Route::get('standard/limits', [LimitController::class, 'show']);
        Route::get('standard/examples', [ExampleController::class, 'index']);
        Route::get('packs', [ImportController::class, 'packs']);
        Route::get('packs/{pack}', [ImportController::class, 'pack']);
    });
    Route::middleware('can:standard.edit')->group(function (): void {
        Route::post('standard/draft', [DraftController::class, 'open']);
        Route::post('standard/examples', [ExampleController::class, 'store']);
        Route::delete('standard/examples/{example}', [ExampleController::class, 'remove']);
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
        Route::get('orders/{order}/links', [ComparisonController::class, 'linksOfOrder']);
        Route::post('orders/{order}/links', [ComparisonController::class, 'shareOrder']);
        Route::delete('shares/{link}', [ComparisonController::class, 'withdraw']);
    });
    Route::middleware('can:import')->group(function (): void {
        Route::post('imports', [ImportController::class, 'store']);
        Route::post('imports/preview', [ImportController::class, 'preview']);
        Route::get('imports/{import}', [ImportController::class, 'state']);
        Route::delete('imports/{import}', [ImportController::class, 'callOff']);
    });
    Route::get('studio', [StudioController::class, 'show'])->middleware('can:studio.read');
    Route::put('studio', [StudioController::class, 'update'])->middleware('can:studio.edit');
    Route::middleware('can:studio.edit')->group(function (): void {
        Route::get('studio/first-steps', [StudioController::class, 'firstSteps']);
        Route::get('exports/everything', [ExportController::class, 'everything']);
        Route::get('exports/{table}', [ExportController::class, 'table'])->whereIn('table', Exports::tables());
    });
    Route::middleware('can:people.edit')->group(function (): void {
        Route::get('people', [PeopleController::class, 'index']);
        Route::post('people', [PeopleController::class, 'store']);
        Route::put('people/{person}', [PeopleController::class, 'update']);
        Route::put('people/{person}/aside', [PeopleController::class, 'aside']);
        Route::post('people/{person}/link', [PeopleController::class, 'relink']);
        Route::delete('people/{person}/second-factor', [SecondFactorController::class, 'takeAway']);
    });
    Route::put('account/password', [PeopleController::class, 'password'])->middleware('throttle:sign-in');
    Route::delete('account/sessions', [PeopleController::class, 'signOutElsewhere']);
    Route::middleware('throttle:sign-in')->group(function (): void {
        Route::post('account/second-factor', [SecondFactorController::class, 'begin']);
        Route::put('account/second-factor', [SecondFactorController::class, 'confirm']);
        Route::delete('account/second-factor', [SecondFactorController::class, 'remove']);
    });
    Route::get('tokens', [StudioController::class, 'tokens']);
    Route::post('tokens', [StudioController::class, 'makeToken']);
    Route::delete('tokens/{token}', [StudioController::class, 'revokeToken']);

    Route::middleware('can:orders.read')->group(function (): void {
        Route::get('orders', [OrderController::class, 'index']);
        Route::get('orders/{order}', [OrderController::class, 'show']);
        Route::get('clients', [ClientController::class, 'index']);
        Route::get('clients/{client}', [ClientController::class, 'show']);
        Route::get('clients/{client}/export', [ClientController::class, 'export']);
        Route::get('orders/{order}/forecast', [OrderController::class, 'forecast']);
        Route::get('orders/{order}/quote', [QuoteController::class, 'show']);
        Route::get('orders/{order}/quotes/{number}/paper', [QuoteController::class, 'paper']);
        Route::get('orders/{order}/client-page', [ClientPageController::class, 'preview']);
        Route::get('orders/{order}/labels', [PaperController::class, 'labels']);
        Route::get('parcels/{parcel}/slip', [PaperController::class, 'slip']);
    });
    Route::middleware('can:orders.edit')->group(function (): void {
        Route::post('orders', [OrderController::class, 'store']);
        Route::put('orders/{order}', [OrderController::class, 'update']);
        Route::post('pieces/{piece}/move', [OrderController::class, 'movePiece']);
        Route::put('clients/{client}', [ClientController::class, 'update']);
        Route::delete('clients/{client}', [ClientController::class, 'erase'])->middleware('can:studio.edit');
        Route::post('orders/{order}/units', [OrderController::class, 'addUnit']);
        Route::post('orders/{order}/lines', [OrderController::class, 'paste']);
        Route::put('units/{unit}', [OrderController::class, 'editUnit']);
        Route::delete('units/{unit}', [OrderController::class, 'removeUnit']);
        Route::post('units/{unit}/split', [OrderController::class, 'splitUnit']);
        Route::post('orders/{order}/moves', [OrderLifeController::class, 'move']);
        Route::put('orders/{order}/hold', [OrderLifeController::class, 'hold']);
        Route::delete('orders/{order}/hold', [OrderLifeController::class, 'resume']);
        Route::put('orders/{order}/payments', [OrderLifeController::class, 'payments']);
        Route::put('orders/{order}/payments/{payment}', [OrderLifeController::class, 'note']);
        Route::post('orders/{order}/parcels', [OrderLifeController::class, 'parcel']);
        Route::post('orders/{order}/questions', [OrderLifeController::class, 'ask']);
        Route::put('questions/{question}', [OrderLifeController::class, 'answer']);
        Route::put('units/{unit}/receiving', [OrderLifeController::class, 'receive']);
        Route::put('orders/{order}/quote', [QuoteController::class, 'edit']);
        Route::post('orders/{order}/quotes', [QuoteController::class, 'send']);
        Route::put('orders/{order}/quotes/{number}/came-true', [QuoteController::class, 'settle']);
        Route::put('orders/{order}/agreed', [QuoteController::class, 'agree']);
        Route::post('orders/{order}/continued', [QuoteController::class, 'goOn']);
        Route::get('orders/{order}/budget', [QuoteController::class, 'budget']);
        Route::get('orders/{order}/letter', [QuoteController::class, 'letter']);
        Route::post('orders/{order}/letter', [QuoteController::class, 'sendLetter']);
        Route::get('orders/{order}/owed', [OrderLifeController::class, 'owed']);
    });

    Route::middleware('can:schemes.read')->group(function (): void {
        Route::get('schemes', [SchemeController::class, 'index']);
        Route::get('schemes/{slug}', [SchemeController::class, 'show']);
        Route::get('paints', [PaintController::class, 'index']);
        Route::get('sculpts', [SculptController::class, 'index']);
        Route::get('sculpts/{slug}', [SculptController::class, 'show']);
        Route::get('sculpts/{slug}/costs', [QuoteController::class, 'costs']);
        Route::get('sculpts/{slug}/export', [SculptController::class, 'export']);
    });
    Route::middleware('can:schemes.edit')->group(function (): void {
        Route::post('paints', [PaintController::class, 'store']);
        Route::post('paints/table', [PaintController::class, 'table']);
        Route::put('paints/{paint}', [PaintController::class, 'update']);
        Route::post('schemes', [SchemeController::class, 'store']);
        Route::post('schemes/try', [SchemeController::class, 'attempt']);
        Route::put('schemes/{slug}', [SchemeController::class, 'update']);
        Route::post('schemes/{slug}/outcome', [SchemeController::class, 'judge']);
        Route::get('templates', [SculptController::class, 'templates']);
        Route::post('sculpts', [SculptController::class, 'store']);
        Route::post('sculpts/try', [SculptController::class, 'attempt']);
        Route::put('sculpts/{slug}', [SculptController::class, 'update']);
    });
    Route::put('orders/{order}/scheme', [OrderController::class, 'colours'])->middleware('can:orders.edit');
    Route::middleware('can:photographs.take')->group(function (): void {
        Route::post('pictures', [SculptController::class, 'takePicture']);
        Route::post('pieces/{piece}/photographs', [PhotographController::class, 'store']);
        Route::post('sculpts/{slug}/photographs', [PhotographController::class, 'storeOfFigure']);
        Route::put('photographs/{photograph}/placement', [PhotographController::class, 'place']);
        Route::delete('photographs/{photograph}', [PhotographController::class, 'remove']);
    });
    Route::get('pieces/{piece}/photographs', [PhotographController::class, 'index'])->middleware('can:plan.read');
    Route::get('sculpts/{slug}/photographs', [PhotographController::class, 'ofFigure'])->middleware('can:schemes.read');
    Route::get('units/{unit}/evenness', [PhotographController::class, 'evenness'])->middleware('can:check.read');
    Route::put('units/{unit}/test-model', [PhotographController::class, 'testModel'])->middleware('can:check.answer');
    Route::post('units/{unit}/test-model', [TrayController::class, 'judgeTest'])->middleware('can:schemes.edit');
    Route::get('pictures/{sha}', [SculptController::class, 'picture'])->where('sha', '[0-9a-f]{64}')->middleware('can:plan.read');

    Route::get('codes/{code}', [PaperController::class, 'code'])->where('code', '[0-9A-Za-z]{1,12}')->middleware('can:check.read');
    Route::get('units/{unit}/plan', [PlanController::class, 'show'])->middleware('can:plan.read');
    Route::get('units/{unit}/aims', [ArrangementController::class, 'aims'])->middleware('can:plan.read');
    Route::get('units/{unit}/drawn', [OutlookController::class, 'drawn'])->middleware('can:plan.read');
    Route::get('units/{unit}/paints', [OutlookController::class, 'paints'])->middleware('can:plan.read');
    Route::middleware('can:plan.edit')->group(function (): void {
        Route::put('units/{unit}/plan', [PlanController::class, 'edit']);
        Route::post('units/{unit}/release', [PlanController::class, 'release']);
        Route::delete('units/{unit}/release', [PlanController::class, 'takeBack']);
        Route::post('units/{unit}/taken-over', [BenchController::class, 'takeOver']);
        Route::post('batches', [BatchController::class, 'make']);
        Route::put('batches/{batch}', [BatchController::class, 'change']);
        Route::post('batches/{batch}/runs', [BatchController::class, 'layAnew']);
        Route::delete('batches/{batch}', [BatchController::class, 'end']);
        Route::put('orders/{order}/budget', [QuoteController::class, 'fitBudget']);
        Route::get('units/{unit}/extras', [QuoteController::class, 'extras']);
        Route::get('units/{unit}/schools', [ArrangementController::class, 'schools']);
        Route::get('units/{unit}/tiers', [ArrangementController::class, 'tiers']);
        Route::post('units/{unit}/spare', [ArrangementController::class, 'spare']);
        Route::post('units/{unit}/amendments', [ArrangementController::class, 'amend']);
        Route::delete('units/{unit}/amendments/{amendment}', [ArrangementController::class, 'unamend']);
        Route::put('units/{unit}/tier', [ArrangementController::class, 'move']);
        Route::put('units/{unit}/method', [ArrangementController::class, 'method']);
        Route::post('units/{unit}/move', [BendController::class, 'move']);
        Route::put('units/{unit}/sequence', [BendController::class, 'sequence']);
        Route::put('units/{unit}/step', [BendController::class, 'step']);
        Route::put('units/{unit}/practice', [BendController::class, 'practice']);
        Route::put('units/{unit}/aim', [BendController::class, 'aim']);
        Route::post('units/{unit}/overrules', [BendController::class, 'overrule']);
        Route::delete('units/{unit}/overrules/{overrule}', [BendController::class, 'uphold']);
        Route::put('units/{unit}/variants', [BendController::class, 'variants']);
        Route::put('pieces/{piece}/lacks', [BendController::class, 'lacks']);
        Route::post('units/{unit}/copy', [BendController::class, 'copy']);
        Route::get('units/{unit}/stops', [OutlookController::class, 'stops']);
        Route::get('units/{unit}/spraying', [OutlookController::class, 'spraying']);
        Route::get('units/{unit}/compare', [OutlookController::class, 'compare']);
        Route::get('units/{unit}/raise', [OutlookController::class, 'raise']);
        Route::post('units/{unit}/raise', [OutlookController::class, 'doRaise']);
        Route::get('units/{unit}/late-variants', [BendController::class, 'lateVariants']);
        Route::post('units/{unit}/late-variants', [BendController::class, 'varyLate']);
        Route::post('units/{unit}/colours', [TrayController::class, 'recolour']);
    });

    Route::middleware('can:bench.use')->group(function (): void {
        Route::get('bench', [BenchController::class, 'index']);
        Route::get('bench/day', [BatchController::class, 'day']);
        Route::get('bench/{unit}', [BenchController::class, 'show']);
        Route::get('bench/{unit}/forecast', [BenchController::class, 'forecast']);
        Route::get('bench/{unit}/time', [BenchController::class, 'time']);
        Route::put('bench/{unit}/time', [BenchController::class, 'correctTime']);
        Route::post('bench/marks', [BenchController::class, 'mark']);
        Route::delete('bench/marks', [BenchController::class, 'unmark']);
        Route::post('bench/offers', [BenchController::class, 'offer']);
        Route::get('batches', [BatchController::class, 'index']);
        Route::get('batches/{batch}', [BatchController::class, 'show']);
        Route::get('batches/{batch}/anew', [BatchController::class, 'anew']);
    });

    Route::put('checks/{check}/faults/{fault}', [CheckController::class, 'overrule'])->middleware('can:check.overrule');
    Route::get('faults/pictures', [CheckController::class, 'faultPictures'])->middleware('can:check.read');
    Route::get('units/{unit}/lot', [TrayController::class, 'lot'])->middleware('can:check.read');
    Route::get('units/{unit}/gates', [TrayController::class, 'gates'])->middleware('can:check.read');
    Route::get('units/{unit}/tray', [TrayController::class, 'show'])->middleware('can:check.read');
    Route::get('checks', [CheckController::class, 'index'])->middleware('can:check.read');
    Route::get('checks/{check}', [CheckController::class, 'show'])->middleware('can:check.read');
    Route::middleware('can:check.answer')->group(function (): void {
        Route::post('pieces/{piece}/check', [CheckController::class, 'open']);
        Route::put('checks/{check}/answers', [CheckController::class, 'answer']);
        Route::get('drill', [DrillController::class, 'show']);
        Route::post('drill', [DrillController::class, 'begin']);
        Route::put('drill/{drill}', [DrillController::class, 'call']);
        Route::post('units/{unit}/lot', [TrayController::class, 'draw']);
        Route::post('units/{unit}/gates', [TrayController::class, 'answerGate']);
        Route::put('units/{unit}/tray', [TrayController::class, 'answer']);
        Route::post('units/{unit}/tray', [TrayController::class, 'pass']);
        Route::put('checks/{check}/looks', [CheckController::class, 'answerLook']);
        Route::post('checks/{check}/hold', [CheckController::class, 'takeOver']);
        Route::post('checks/{check}/judgement', [CheckController::class, 'judge']);
        Route::delete('checks/{check}/faults/{fault}', [CheckController::class, 'takeAway']);
        Route::post('checks/{check}/verdict', [CheckController::class, 'close']);
    });

    Route::middleware('can:certificate.read')->group(function (): void {
        Route::get('sign-offs', [SignOffController::class, 'index']);
        Route::get('sign-offs/{number}', [SignOffController::class, 'show']);
        Route::get('sign-offs/{number}/record', [SignOffController::class, 'record'])->middleware('can:orders.read');
    });
    Route::middleware('can:sign')->group(function (): void {
        Route::post('checks/{check}/concession', [CheckController::class, 'askTheClient']);
        Route::post('sign-offs/preview', [SignOffController::class, 'preview']);
        Route::post('sign-offs', [SignOffController::class, 'store']);
        Route::post('sign-offs/{number}/withdrawal', [SignOffController::class, 'withdraw']);
    });
});
