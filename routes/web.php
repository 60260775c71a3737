<?php

use Illuminate\Support\Facades\Route;

Route::view('/', 'start')->name('start');
