<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Sculpt;
use App\Models\Unit;
use App\Repositories\Colours;
use App\Repositories\Figures;
use App\Studio\Templates;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\MapCheck;
use Ordotype\Core\Sculpt\MapFinding;
use Ordotype\Core\Sculpt\Sculpt as CoreSculpt;
use Ordotype\Core\Words\MapWords;

/** Maps of figures: all of them, and one with what is odd about it. */
final class MapShown
{
    public function __construct(
        private readonly Figures $figures,
        private readonly Colours $colours,
        private readonly Templates $templates,
    ) {
    }

    /** @return array<string, mixed> by name, and the templates that a new one can start from */
    public function all(): array
    {
        $shelf = $this->colours->shelf();

        return [
            'data' => array_values(
                Sculpt::query()
                    ->orderBy('name')
                    ->get()
                    ->map(function (Sculpt $s) use ($shelf): array {
                        $core = $this->figures->of($s);

                        return [
                            'slug' => $s->slug,
                            'name' => $s->name,
                            'role' => $s->role,
                            'size' => $s->size,
                            'areas' => count($core->areas),
                            'outlined' => count(array_filter($core->areas, fn (Area $a) => $a->outline !== [])),
                            'frame_mm' => $core->frameMm ?? [60, 80],
                            'figure' => FigureShown::of($core, null, $shelf),
                        ];
                    })
                    ->all(),
            ),
            'templates' => $this->templates->all(),
        ];
    }

    /** @return array<string, mixed> */
    public function of(Sculpt $sculpt): array
    {
        return [
            'slug' => $sculpt->slug,
            'name' => $sculpt->name,
            'revision' => $sculpt->revision,
            'document' => Json::decode($sculpt->document),
            'pictures' => ['front' => $sculpt->picture_front, 'back' => $sculpt->picture_back],
            'on_bench' => Unit::query()->where('sculpt_id', $sculpt->id)->whereNotNull('released_at')->count(),
            'findings' => self::findings($this->figures->of($sculpt)),
        ];
    }

    /** @return list<array{kind: string, area: string|null, text: string}> what is odd about a map */
    public static function findings(CoreSculpt $sculpt): array
    {
        return array_map(
            fn (MapFinding $f) => [
                'kind' => $f->kind->value,
                'area' => $f->area?->key,
                'text' => MapWords::of($f),
            ],
            (new MapCheck($sculpt))->findings(),
        );
    }
}
