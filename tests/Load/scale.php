<?php

declare(strict_types=1);

// Called by ./ordotype scale with the number of copies, the seconds of load, and the folder and address of a running copy.

use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Tests\Load\Cost;
use Tests\Load\Load;
use Tests\Load\Scale;
use Tests\Load\Walk;

[, $copies, $seconds, $root, $url] = $argv;
require "$root/vendor/autoload.php";
ini_set('memory_limit', '1G');
$app = require "$root/bootstrap/app.php";
$app->make(Kernel::class)->bootstrap();

$one = fn (string $sql) => DB::scalar($sql);
$unit = $one('select id from units where released_at is not null order by id limit 1');
$planned = $one('select id from units where released_at is null order by id limit 1');
$order = $one('select order_id from units where released_at is not null order by id limit 1');
$check = $one('select id from checks where closed_at is null order by id limit 1');
$piece = $one("select piece_id from checks where id = $check");
$signed = $one('select min(number) from sign_offs');
$cost = new Cost($root, $url, [
    'orders' => 'orders',
    'orders, found' => 'orders?find=warden',
    'order' => "orders/$order",
    'bench' => 'bench',
    'batch' => "bench/$unit",
    'checks' => 'checks',
    'check' => "checks/$check",
    'standard' => 'standard',
    'sign-offs' => 'sign-offs',
    'certificate' => "sign-offs/$signed",
    'figures' => 'sculpts',
    'schemes' => 'schemes',
    'paints' => 'paints',
    'photographs' => "pieces/$piece/photographs",
    'studio' => 'studio',
    'plan' => "units/$planned/plan",
    'plan, released' => "units/$unit/plan",
    'schools' => "units/$planned/schools",
    'tiers of a unit' => "units/$planned/tiers",
    'raise' => "units/$planned/raise?tier=banner",
    'stops' => "units/$planned/stops",
    'spraying' => "units/$planned/spraying",
    'tray' => "units/$unit/tray",
    'gates' => "units/$unit/gates",
    'comparison' => 'standard/comparison?sculpt=sluice-warden',
]);
$before = $cost->table();

$since = microtime(true);
$app->make(Scale::class)->grow((int) $copies);
$count = fn (string $table) => number_format(DB::table($table)->count());
printf("%s orders, %s pieces, %s log entries, made in %.0f s\n", $count('orders'), $count('pieces'), $count('step_logs'),
    microtime(true) - $since);

printf("%-18s %7s %7s %9s %11s   before; the same with the studio grown\n", 'of one request', 'PHP', 'database', 'together', 'rows read');
foreach ($cost->table() as $page => $now) {
    foreach ([$before[$page], $now] as $row => $of) {
        printf("%-18s %4.0f ms %5.0f ms %6.0f ms %11d\n", $row === 0 ? $page : '', $of['php'], $of['mariadb'],
            $of['php'] + $of['mariadb'], $of['rows']);
    }
}
$wrong = (new Walk($url))->run();

$ids = fn (string $sql) => array_map(intval(...), array_column(DB::select($sql), 'id'));
$seen = [
    'units' => $ids("select distinct unit_id as id from pieces join units on units.id = unit_id
        where released_at is not null and stage in ('planned', 'on_bench') order by rand(1) limit 200"),
    'orders' => $ids('select id from orders order by rand(2) limit 200'),
    'checks' => $ids('select id from checks order by rand(3) limit 200'),
    'plans' => $ids('select id from units order by rand(4) limit 200'),
];
['waited' => $waited, 'errors' => $errors] = (new Load($url, $seen, 5))->run((int) $seconds);
$tell = function (string $name, array $times): void {
    sort($times);
    $at = fn (float $share) => 1000 * ($times[(int) floor($share * (count($times) - 1))] ?? 0);
    printf("%-14s %5d requests   median %4.0f ms   95 of 100 under %4.0f ms   longest %5.0f ms\n",
        $name, count($times), $at(0.5), $at(0.95), $at(1));
};
ksort($waited);
foreach ($waited as $what => $times) {
    $tell($what, $times);
}
$tell('all', array_merge(...array_values($waited)));
foreach (array_slice([...$wrong, ...$errors], 0, 20) as $line) {
    fwrite(STDERR, "$line\n");
}
exit($wrong === [] && $errors === [] ? 0 : 1);
