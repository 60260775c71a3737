<?php

declare(strict_types=1);

namespace App\Queries\Schemes;

use App\Http\Resources\Schemes\PaintBrief;
use App\Models\Paint;
use App\Queries\Keyset;
use App\Queries\Like;
use Illuminate\Database\Eloquent\Builder;

/** The shelf by name. */
final class PaintsListed
{
    private const PAGE = 60;

    /** @return array{data: list<mixed>, next_cursor: string|null} */
    public function page(?string $find, ?string $cursor): array
    {
        $paints = Paint::query()->when(
            $find,
            fn (Builder $q, string $find) => $q->where('name', 'like', Like::holding($find)),
        );
        [$page, $next] = (new Keyset('paints', ['paints.name' => false, 'paints.id' => false]))
            ->page($paints, $cursor, self::PAGE);

        return ['data' => array_map(fn (Paint $p) => (new PaintBrief($p))->resolve(), $page), 'next_cursor' => $next];
    }
}
