<?php

declare(strict_types=1);

namespace App\Queries\Sharing;

use App\Models\ShareLink;
use App\Models\StandardVersion;
use App\Models\Studio;
use App\Pictures\Drawings;
use App\Queries\Figures\FigureShown;
use App\Queries\Photographs\ExamplesShown;
use App\Repositories\Colours;
use App\Repositories\Figures;
use App\Repositories\Standards;
use Ordotype\Core\Ladder\ComparedRung;
use Ordotype\Core\Ladder\ComparisonSheet;
use Ordotype\Core\Planning\Plan\PlannedArea;
use Ordotype\Core\Studio\QuoteEnd;
use Ordotype\Core\Studio\UnitPrice;
use Ordotype\Core\Words\Voices;

/** One figure at every offered tier, for a client. */
final class SheetShown
{
    public function __construct(
        private readonly Standards $standards,
        private readonly Figures $figures,
        private readonly Colours $colours,
        private readonly Drawings $drawings,
    ) {
    }

    /** @return array<string, mixed> what a share link shows, with or without prices */
    public function shared(ShareLink $link): array
    {
        return $this->of(
            $this->standards->numbered((int) ($link->shows['version'] ?? 0)),
            (string) ($link->shows['sculpt'] ?? ''),
            (bool) ($link->shows['prices'] ?? false),
        );
    }

    /**
     * @param  string  $slug  of a figure
     * @return array<string, mixed>
     */
    public function of(StandardVersion $version, string $slug, bool $prices): array
    {
        $standard = $this->standards->core($version);
        $sculpt = $this->figures->named($slug);
        $scheme = $this->colours->usual();
        $shelf = $this->colours->shelf();
        $compared = (new ComparisonSheet($standard, $sculpt, $scheme, $shelf))->rungs;
        $kept = ExamplesShown::ofTiers(array_map(fn (ComparedRung $r) => $r->tier->key, $compared));

        return [
            'studio' => $standard->name,
            'version' => $version->number,
            'sculpt' => $sculpt->name,
            'slug' => $slug,
            'currency' => $standard->currency,
            'is_fixed' => Studio::row()->quote_end === QuoteEnd::Fixed,
            'crops' => UnitForClient::crops(
                array_map(fn (ComparedRung $r) => $r->plan, $compared),
                UnitForClient::CROPS_OF_ALL,
            ),
            'frame_mm' => $sculpt->frameMm ?? [60, 80],
            'figure' => FigureShown::of($sculpt, $scheme, $shelf),
            'rungs' => array_map(
                fn (ComparedRung $r) => $this->rung($r, $prices) + ['examples' => $kept[$r->tier->key] ?? []],
                $compared,
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function rung(ComparedRung $rung, bool $prices): array
    {
        $price = $prices ? UnitPrice::of($rung->price(), null, null) : null;

        return [
            'key' => $rung->tier->key,
            'name' => $rung->tier->name,
            'order' => $rung->tier->order,
            'status' => $rung->tier->status->value,
            'intent' => $rung->tier->intent,
            'distance_cm' => $rung->tier->viewing->distanceCm,
            'adds' => (new Voices($rung->fromBelow))->benefits(),
            'loses' => (new Voices($rung->fromBelow))->losses(),
            'not_here' => $rung->toNext === null ? [] : (new Voices($rung->toNext))->benefits(),
            'price' => $price === null
                ? null
                : ['price' => $price->price->decimal(), 'ceiling' => $price->ceiling->decimal()],
            'drawn' => (object) $this->drawings->views($rung->plan, plain: true),
            'large' => $this->drawings->views($rung->plan, width: UnitForClient::LARGE, plain: true)['front'] ?? null,
            'marks' => array_map(
                fn (PlannedArea $a) => ['area' => $a->demand->area->key ?? '', 'effects' => self::marks($a)],
                $rung->plan->areas,
            ),
        ];
    }

    /** @return list<string> the effects whose marks the schematic figure shows */
    private static function marks(PlannedArea $planned): array
    {
        $marks = [];
        foreach ($planned->choice->techniques ?? [] as $used) {
            foreach (array_keys($used->technique->effects) as $effect) {
                $marks[$effect] = true;
            }
        }

        return array_map(strval(...), array_keys($marks));
    }
}
