<?php

return [
    // Further names and addresses under which this machine is asked, besides the one of app.url and its own loopback.
    'hosts' => array_values(array_filter(explode(',', (string) env('ORDOTYPE_HOSTS', '')))),

    // The connection on which it stands how far a long piece of work is, while its transaction is open.
    'aside' => env('ORDOTYPE_ASIDE', 'aside'),

    // A sum of the code that runs: what was read by other code is read again. Empty: nothing is remembered.
    'build' => (string) env('ORDOTYPE_BUILD', ''),

    // Where the studio is kept before its tables change.
    'backups' => env('ORDOTYPE_BACKUPS', base_path('var/backups')),
];
