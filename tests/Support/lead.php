<?php

declare(strict_types=1);

// The one account that an installation without demo data begins with.

use App\Models\User;
use Illuminate\Contracts\Console\Kernel;

require dirname(__DIR__, 2).'/vendor/autoload.php';
$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
User::query()->create([
    'name' => 'Lone Lead',
    'email' => 'lead@studio.example',
    'password' => 'a long password',
    'role' => 'lead',
    'may_sign' => true,
    'skill' => 5,
    'joined_at' => now(),
]);
