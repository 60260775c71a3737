<?php

declare(strict_types=1);

// Called by ./ordotype odd with the number of requests, a seed, and the folder and address of a running copy.

use Illuminate\Contracts\Console\Kernel;
use Tests\Load\Odd;

[, $requests, $seed, $root, $url] = $argv;
require "$root/vendor/autoload.php";
$app = require "$root/bootstrap/app.php";
$app->make(Kernel::class)->bootstrap();
$odd = new Odd($url, $root, (int) $seed);
$wrong = $odd->run((int) $requests);
ksort($odd->statuses);
$told = array_map(fn (int $status, int $n) => "$n × $status", array_keys($odd->statuses), $odd->statuses);
printf("%d requests, seed %d: %s; longest %.2f s\n", $requests, $seed, implode(', ', $told), $odd->longest);
$never = array_keys($odd->reached, false, true);
printf("%d operations, %d of them never reached%s\n", count($odd->reached), count($never), $never === [] ? '' : ': '.implode(', ', $never));
foreach (array_slice($wrong, 0, 20) as $line) {
    fwrite(STDERR, "$line\n");
}
echo $wrong === [] ? "No 500, no page, none over two seconds.\n" : count($wrong)." that should not have been.\n";
exit($wrong === [] ? 0 : 1);
