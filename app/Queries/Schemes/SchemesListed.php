<?php

declare(strict_types=1);

namespace App\Queries\Schemes;

use App\Models\Scheme;
use App\Queries\Keyset;
use App\Queries\Like;
use Illuminate\Database\Eloquent\Builder;

/** Every scheme by name, with how its test model came out and how many orders are painted in it. */
final class SchemesListed
{
    private const PAGE = 50;

    /** @return array{data: list<array<string, mixed>>, next_cursor: string|null} */
    public function page(?string $find, ?string $cursor): array
    {
        $schemes = Scheme::query()
            ->select(['id', 'slug', 'name', 'number'])
            ->with('versions:id,scheme_id,number,outcome')
            ->withCount('orders')
            ->when($find, fn (Builder $q, string $find) => $q->where('name', 'like', Like::holding($find)));
        [$page, $next] = (new Keyset('schemes', ['schemes.name' => false, 'schemes.id' => false]))
            ->page($schemes, $cursor, self::PAGE);

        return ['data' => array_map(self::brief(...), $page), 'next_cursor' => $next];
    }

    /** @return array<string, mixed> */
    private static function brief(Scheme $s): array
    {
        return [
            'slug' => $s->slug,
            'name' => $s->name,
            'number' => $s->number,
            'orders' => (int) $s->orders_count,
            'outcome' => $s->versions->firstWhere('number', $s->number)->outcome ?? 'untried',
        ];
    }
}
