<?php

return [
    // Further names and addresses under which this machine is asked, besides the one of app.url and its own loopback.
    'hosts' => array_values(array_filter(explode(',', (string) env('ORDOTYPE_HOSTS', '')))),

    // The connection on which it stands how far a long piece of work is, while its transaction is open.
    'aside' => env('ORDOTYPE_ASIDE', 'aside'),

    // A sum of the code that runs: what was read by other code is read again. Empty: nothing is remembered.
    'build' => (string) env('ORDOTYPE_BUILD', ''),

    // Which database and key are the studio's, where a restored one took the place of the first.
    'studio' => (string) env('ORDOTYPE_STUDIO', ''),

    // What backups are sealed with: a file that whoever serves the application cannot read.
    'backup_key' => env('ORDOTYPE_BACKUP_KEY', base_path('var/backup.key')),

    // Hours between backups that are made by themselves, and how many of them stay. 0 hours: none are made.
    'backup_hours' => (int) env('ORDOTYPE_BACKUP_HOURS', 24),
    'backups_kept' => (int) env('ORDOTYPE_BACKUPS_KEPT', 14),

    // So much room the studio has for pictures, in thousand million bytes.
    'pictures_gb' => (float) env('ORDOTYPE_PICTURES_GB', 20),

    // Where less than so many MB are free on a disk that the studio writes to, nothing more is written there.
    'least_mb' => (int) env('ORDOTYPE_LEAST_MB', 50),

    // Where backups are that are made by themselves: each day, and before tables change.
    'backups' => env('ORDOTYPE_BACKUPS', base_path('var/backups')),
];
