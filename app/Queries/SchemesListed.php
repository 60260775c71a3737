<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Scheme;

/** Every scheme by name, with how its test model came out and how many orders are painted in it. */
final class SchemesListed
{
    /** @return list<array<string, mixed>> */
    public function all(): array
    {
        $schemes = Scheme::query()
            ->with('versions:id,scheme_id,number,outcome')
            ->withCount('orders')
            ->orderBy('name')
            ->get();

        return array_values(
            $schemes
                ->map(
                    fn (Scheme $s) => [
                        'slug' => $s->slug,
                        'name' => $s->name,
                        'number' => $s->number,
                        'orders' => (int) $s->orders_count,
                        'outcome' => $s->versions->firstWhere('number', $s->number)->outcome ?? 'untried',
                    ],
                )
                ->all(),
        );
    }
}
