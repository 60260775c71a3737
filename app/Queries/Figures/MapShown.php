<?php

declare(strict_types=1);

namespace App\Queries\Figures;

use App\Models\Sculpt;
use App\Models\Unit;
use App\Queries\Keyset;
use App\Queries\Like;
use App\Repositories\Colours;
use App\Repositories\Figures;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\Cache;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\MapCheck;
use Ordotype\Core\Sculpt\MapFinding;
use Ordotype\Core\Sculpt\Sculpt as CoreSculpt;
use Ordotype\Core\Words\MapWords;

/** Maps of figures: all of them, and one with what is odd about it. */
final class MapShown
{
    private const PAGE = 60;

    public function __construct(
        private readonly Figures $figures,
        private readonly Colours $colours,
    ) {
    }

    /**
     * Figures by name.
     *
     * @return array{data: list<array<string, mixed>>, next_cursor: string|null}
     */
    public function page(?string $find, ?string $cursor): array
    {
        $sculpts = Sculpt::query()->when($find, function (Builder $q, string $find): void {
            $like = Like::holding($find);
            $q->where(
                fn (Builder $any) => $any
                    ->where('name', 'like', $like)
                    ->orWhere('role', 'like', $like)
                    ->orWhere('size', 'like', $like),
            );
        });
        [$page, $next] = (new Keyset('figures', ['sculpts.name' => false, 'sculpts.id' => false]))
            ->page($sculpts, $cursor, self::PAGE);
        $shelf = $this->colours->shelf();

        return [
            'data' => array_map(fn (Sculpt $s) => $this->brief($s, $shelf), $page),
            'next_cursor' => $next,
        ];
    }

    /** @return array<string, mixed> read once for each state of the map: a list reads no document */
    private function brief(Sculpt $sculpt, Shelf $shelf): array
    {
        $read = fn (): array => $this->read($sculpt, $shelf);

        return Cache::rememberForever('figure.'.hash('sha256', $sculpt->document), $read);
    }

    /** @return array<string, mixed> */
    private function read(Sculpt $sculpt, Shelf $shelf): array
    {
        $core = $this->figures->of($sculpt);

        return [
            'slug' => $sculpt->slug,
            'name' => $sculpt->name,
            'role' => $sculpt->role,
            'size' => $sculpt->size,
            'areas' => count($core->areas),
            'outlined' => count(array_filter($core->areas, fn (Area $a) => $a->outline !== [])),
            'frame_mm' => $core->frameMm ?? [60, 80],
            'figure' => FigureShown::of($core, null, $shelf),
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
