<?php

declare(strict_types=1);

namespace App\Queries\Bench;

use App\Models\Unit;
use App\Repositories\Releases;
use Ordotype\Core\Planning\Unit\LateVariants;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Technique;

/** What finished models of a unit can still be given, area by area. */
final class LateVariantsShown
{
    public function __construct(private readonly Releases $releases)
    {
    }

    /** @return array<string, mixed> */
    public function of(Unit $unit): array
    {
        $request = $this->releases->of($unit)->request;
        $areas = array_map(
            fn (Area $a) => [
                'key' => $a->key,
                'name' => $a->name,
                'techniques' => array_map(
                    fn (Technique $t) => ['key' => $t->key, 'name' => $t->name],
                    LateVariants::on($a, $request->standard->techniques),
                ),
            ],
            $request->sculpt->areas,
        );

        return [
            'areas' => array_values(array_filter($areas, fn (array $a) => $a['techniques'] !== [])),
            'revision' => $unit->revision,
        ];
    }
}
