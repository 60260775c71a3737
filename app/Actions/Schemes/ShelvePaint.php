<?php

declare(strict_types=1);

namespace App\Actions\Schemes;

use App\Models\Paint;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Puts a paint on the shelf by hand, and writes down what a pot of it costs and what is left. */
final class ShelvePaint
{
    public function __construct(private readonly ActivityLog $log)
    {
    }

    /** @param  array{name: string, kind: string, hex: string, hiding: string, ml: float}  $facts */
    public function __invoke(array $facts): Paint
    {
        return DB::transaction(function () use ($facts): Paint {
            $paint = Paint::query()->create($facts);
            $this->log->write('paint.shelved', $paint, null, $facts);

            return $paint;
        });
    }

    /** @param  array<string, mixed>  $facts  price, pot_ml, ml: what changes */
    public function edit(Paint $paint, array $facts): Paint
    {
        return DB::transaction(function () use ($paint, $facts): Paint {
            $paint = Paint::query()->lockForUpdate()->findOrFail($paint->id);
            $before = $paint->only(array_keys($facts));
            $paint->update($facts);
            $this->log->write('paint.changed', $paint, $before, $facts);

            return $paint->refresh();
        });
    }
}
