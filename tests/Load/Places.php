<?php

declare(strict_types=1);

namespace Tests\Load;

use Illuminate\Support\Facades\DB;

/** Things that are there, for addresses of the contract: what a parameter of a path can stand for. */
final class Places
{
    /** SQL of its values, by parameter, or by the first words of a path and parameter where its name says too little. */
    private const SOURCES = [
        'unit' => 'select id from units',
        'check' => 'select id from checks',
        'drill' => 'select id from drills',
        'fault' => 'select id from faults',
        'import' => 'select id from imports',
        'order' => 'select id from orders',
        'photograph' => 'select id from photographs',
        'piece' => 'select id from pieces',
        'amendment' => 'select id from amendments',
        'overrule' => 'select id from overrules',
        'example' => 'select id from examples',
        'link' => 'select id from share_links',
        'token' => 'select id from personal_access_tokens',
        // Never the ones who send the requests.
        'person' => "select id from users where email like '%odd.test'",
        'sha' => 'select sha256 as id from pictures',
        'payment' => 'select id from order_payments',
        'question' => 'select id from questions',
        'client' => 'select id from clients',
        'paint' => 'select id from paints',
        'parcel' => 'select id from parcels',
        'code' => 'select code as id from pieces',
        'table' => "select 'orders' as id",
        'tier' => "select 'company' as id",
        'pack' => "select 'five-rungs' as id",
        '/schemes slug' => 'select slug as id from schemes',
        '/sculpts slug' => 'select slug as id from sculpts',
        '/orders number' => 'select number as id from quotes',
        '/sign-offs number' => 'select number as id from sign_offs',
        '/standard number' => 'select number as id from standard_versions where number is not null',
    ];

    /** @param  list<string>  $secrets  of links that were made */
    public function __construct(private readonly array $secrets)
    {
    }

    /** @return list<string> */
    public function of(string $path, string $parameter): array
    {
        if ($parameter === 'secret') {
            return $this->secrets;
        }
        $words = '/'.explode('/', $path)[1]." $parameter";
        $sql = self::SOURCES[$words] ?? self::SOURCES[$parameter];

        return array_map(strval(...), array_column(DB::select("$sql order by 1 limit 40"), 'id'));
    }
}
