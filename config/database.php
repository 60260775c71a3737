<?php

// Only who may read this file changes tables; whoever serves the application may not.
$file = (string) env('DB_MIGRATE_FILE', '');
$migrating = env('DB_MIGRATE_PASSWORD') ?? (is_readable($file) ? trim((string) file_get_contents($file)) : null);

$connection = [
    'driver' => 'mariadb',
    'host' => env('DB_HOST', '127.0.0.1'),
    'port' => env('DB_PORT', '3306'),
    'database' => studio_in_use((string) env('ORDOTYPE_STUDIO', ''))['database'] ?? env('DB_DATABASE', 'ordotype'),
    'charset' => 'utf8mb4',
    'collation' => 'utf8mb4_unicode_ci',
    'prefix' => '',
    'strict' => true,
    'engine' => 'InnoDB',
    'timezone' => '+00:00',
];

return [
    'default' => env('DB_CONNECTION', 'mariadb'),

    'connections' => [
        // What the application works with: it may read and write rows, and change no table.
        'mariadb' => $connection + [
            'username' => env('DB_USERNAME', 'ordotype_app'),
            'password' => env('DB_PASSWORD', ''),
        ],

        // The same beside a transaction that is open: how far it is, for others to see.
        'aside' => $connection + [
            'username' => env('DB_USERNAME', 'ordotype_app'),
            'password' => env('DB_PASSWORD', ''),
        ],

        // What migrations run with.
        'migrate' => $connection + [
            'username' => env('DB_MIGRATE_USERNAME', env('DB_USERNAME', 'ordotype_migrate')),
            'password' => $migrating ?? env('DB_PASSWORD', ''),
        ],
    ],

    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];
