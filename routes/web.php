<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;

// Every address belongs to the interface, which finds its own way from there.
Route::view('/{any?}', 'app')->where('any', '^(?!api/|build/|up$).*$');
