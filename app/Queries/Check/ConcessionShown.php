<?php

declare(strict_types=1);

namespace App\Queries\Check;

use App\Models\Check;
use App\Models\FaultRow;
use App\Models\ShareLink;
use App\Models\Studio;
use App\Repositories\Releases;
use App\Studio\Concession;

/** What a client is asked by a link: whether a model may leave with what was found on it. */
final class ConcessionShown
{
    public function __construct(private readonly Releases $releases)
    {
    }

    /** @return array<string, mixed> */
    public function of(ShareLink $link): array
    {
        $check = Check::query()->with(['piece.unit.order', 'faults'])->findOrFail((int) ($link->shows['check'] ?? 0));
        $release = $this->releases->ofCheck($check);
        $sculpt = $release->request->sculpt;

        return [
            'studio' => Studio::row()->name,
            'order' => $check->piece->unit->order->title,
            'figure' => $sculpt->name,
            'model' => $check->piece->number,
            'tier' => $release->request->tier->name,
            'distance_cm' => $release->request->tier->viewing->distanceCm,
            'faults' => array_values(
                $check->faults
                    ->whereIn('id', $link->shows['faults'] ?? [])
                    ->map(fn (FaultRow $f) => [
                        'name' => $release->faults->kinds[$f->fault]->name ?? 'A fault',
                        'looks' => $release->faults->kinds[$f->fault]->looks ?? '',
                        'area' => $f->area === null || ! $sculpt->has($f->area) ? null : $sculpt->area($f->area)->name,
                        'size_mm' => $f->size_mm === null ? null : (float) $f->size_mm,
                    ])
                    ->all(),
            ),
            'answer' => Concession::answer($link),
        ];
    }
}
