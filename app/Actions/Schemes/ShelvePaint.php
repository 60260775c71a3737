<?php

declare(strict_types=1);

namespace App\Actions\Schemes;

use App\Models\Paint;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Puts a paint on the shelf by hand. */
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
}
