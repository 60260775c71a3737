<?php

declare(strict_types=1);

// Called by ./ordotype chaos with the number of kills, a seed, the seconds after which all must be back, and the folder and the address of a running copy.

use Tests\Load\Chaos;

require dirname(__DIR__, 2).'/vendor/autoload.php';

[, $kills, $seed, $seconds, $root, $url] = $argv;
echo "$kills kills, seed $seed\n";
$wrong = (new Chaos($root, $url, (int) $seed, (float) $seconds))->run((int) $kills);
foreach ($wrong as $line) {
    fwrite(STDERR, "$line\n");
}
echo $wrong === [] ? "Nothing was lost, nothing is there twice, the chain of sign-offs is whole.\n" : '';
exit($wrong === [] ? 0 : 1);
