<?php

declare(strict_types=1);

// Changes the tables of the test database with the migrations in a folder besides the application's own.

use App\Backup\Upgrade;
use Illuminate\Contracts\Console\Kernel;

require dirname(__DIR__, 2).'/vendor/autoload.php';
$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
config(['ordotype.backups' => "$argv[1]/backups", 'ordotype.backup_key' => "$argv[1]/backup.key"]);
$app->make(Upgrade::class)->run(
    fn (string $line) => print("$line\n"),
    [database_path('migrations'), "$argv[1]/migrations"],
);
