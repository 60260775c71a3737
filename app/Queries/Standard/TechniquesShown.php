<?php

declare(strict_types=1);

namespace App\Queries\Standard;

use App\Repositories\Standards;
use Ordotype\Core\Format\TechniqueFormat;
use Ordotype\Core\Ladder\Grid;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\TechniqueClause;
use Ordotype\Core\Standard\Tier;

/** The catalogue, each technique with what every tier says of it. */
final class TechniquesShown
{
    public function __construct(private readonly Standards $standards)
    {
    }

    /** @return array<string, mixed> */
    public function all(): array
    {
        $version = $this->standards->open();
        $standard = $this->standards->core($version);
        $said = [];
        foreach ((new Grid($standard))->tiers() as $tier) {
            foreach (self::saidAt($tier, $standard) as $technique => $words) {
                $said[$technique][] = $words;
            }
        }

        return [
            'version' => [
                'number' => $version->number,
                'status' => $version->status,
                'revision' => $version->revision,
            ],
            'data' => array_map(
                fn (Technique $t) => [
                    'technique' => TechniqueFormat::write($t),
                    'used_by' => $said[$t->key] ?? [],
                ],
                $standard->techniques,
            ),
        ];
    }

    /** @return array<string, array<string, mixed>> by key of a technique; what is said last decides */
    private static function saidAt(Tier $tier, Standard $standard): array
    {
        $said = [];
        foreach (Clause::only(TechniqueClause::class, $standard->clausesOf($tier)) as $clause) {
            foreach ($standard->techniques as $technique) {
                if ($clause->names($technique)) {
                    // A scope only narrows where.
                    $said[$technique->key] = [
                        'tier' => $tier->key,
                        'name' => $tier->name,
                        'status' => $clause->status->value,
                        'clause' => $clause->id,
                        'everywhere' => $clause->scope === null,
                    ];
                }
            }
        }

        return $said;
    }
}
