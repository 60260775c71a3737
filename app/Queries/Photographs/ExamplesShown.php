<?php

declare(strict_types=1);

namespace App\Queries\Photographs;

use App\Models\Example;
use App\Models\Photograph;
use App\Repositories\Figures;
use App\Repositories\Standards;
use Illuminate\Database\Eloquent\Builder;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Words\Terms;

/** Details of signed-off work by tier, and the photographs that more can be taken from. */
final class ExamplesShown
{
    private const MOST = 60;

    public function __construct(private readonly Standards $standards, private readonly Figures $figures)
    {
    }

    /** @return array<string, mixed> */
    public function all(): array
    {
        $published = $this->standards->published();
        $tiers = $published === null ? [] : $this->standards->tierNames($published);

        return [
            'kept' => array_values(
                Example::query()
                    ->with('photograph.piece.unit.sculpt')
                    ->latest('id')
                    ->limit(self::MOST)
                    ->get()
                    ->map(fn (Example $e) => [
                        'id' => $e->id,
                        'tier' => $tiers[$e->tier] ?? 'a tier that is gone',
                        'material' => Terms::material(Material::from($e->material)),
                        'area' => $e->area,
                        'figure' => $e->photograph->figure()->name,
                        'sha256' => $e->sha256,
                    ])
                    ->all(),
            ),
            'from' => array_values(
                Photograph::query()
                    ->with(['piece.unit.sculpt', 'picture'])
                    ->whereNotNull('placement')
                    ->whereHas(
                        'piece',
                        fn (Builder $q) => $q->whereIn('stage', [Stage::Signed->value, Stage::Delivered->value]),
                    )
                    ->latest('id')
                    ->limit(self::MOST)
                    ->get()
                    ->map(fn (Photograph $p) => $this->photograph($p, $tiers))
                    ->all(),
            ),
        ];
    }

    /**
     * Kept details of some tiers, as they stand beside work that is looked at.
     *
     * @param  list<string>  $tiers  keys
     * @return array<string, list<array{area: string, material: string, figure: string, sha256: string,
     *     drawn: bool}>> by tier key
     */
    public static function ofTiers(array $tiers): array
    {
        $kept = array_fill_keys($tiers, []);
        $rows = Example::query()
            ->with(['photograph.piece.unit.sculpt', 'photograph.picture'])
            ->whereIn('tier', $tiers)
            ->latest('id')
            ->limit(self::MOST)
            ->get();
        foreach ($rows as $e) {
            $kept[$e->tier][] = [
                'area' => $e->area,
                'material' => Terms::material(Material::from($e->material)),
                'figure' => $e->photograph->figure()->name,
                'sha256' => $e->sha256,
                'drawn' => $e->photograph->picture->is_drawn,
            ];
        }

        return $kept;
    }

    /**
     * @param  array<string, string>  $tiers
     * @return array<string, mixed>
     */
    private function photograph(Photograph $p, array $tiers): array
    {
        $seen = array_filter(
            $this->figures->of($p->figure())->areas,
            fn (Area $a) => ($a->outline[$p->view] ?? []) !== [],
        );

        return [
            'id' => $p->id,
            'sha256' => $p->sha256,
            'view' => $p->view,
            'figure' => $p->figure()->name,
            'model' => $p->piece?->number,
            'tier' => $tiers[$p->piece->unit->tier ?? ''] ?? 'a tier that is gone',
            'areas' => array_values(array_map(fn (Area $a) => ['key' => $a->key, 'name' => $a->name], $seen)),
        ];
    }
}
