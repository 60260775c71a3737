<?php

declare(strict_types=1);

namespace App\Queries\Standard;

use App\Models\StandardVersion;
use App\Models\User;

/** Every version of the standard, the newest first, with who published it. */
final class VersionsListed
{
    /** @return list<array<string, mixed>> */
    public function all(): array
    {
        $versions = StandardVersion::query()
            ->orderByDesc('number')
            ->get(['id', 'number', 'status', 'note', 'sha256', 'published_at', 'published_by']);
        $names = User::query()
            ->whereIn('id', $versions->pluck('published_by')->filter())
            ->pluck('name', 'id');

        return array_values(
            $versions
                ->map(
                    fn (StandardVersion $v) => [
                        'number' => $v->number,
                        'status' => $v->status,
                        'note' => $v->note,
                        'sha256' => $v->sha256,
                        'published_at' => $v->published_at?->toIso8601ZuluString(),
                        'published_by' => $names[$v->published_by] ?? null,
                    ],
                )
                ->all(),
        );
    }
}
