<?php

declare(strict_types=1);

// Called by ./ordotype race with how many at once, and the folder and address of a running copy.

use Tests\Load\Race;

require dirname(__DIR__, 2).'/vendor/autoload.php';

[, $atOnce, $root, $url] = $argv;
$wrong = 0;
foreach ((new Race($url, $root, (int) $atOnce))->run() as $what => $why) {
    printf("%-8s %s%s\n", $why === null ? 'ok' : 'WRONG', $what, $why === null ? '' : ": $why");
    $wrong += $why === null ? 0 : 1;
}
exit($wrong === 0 ? 0 : 1);
