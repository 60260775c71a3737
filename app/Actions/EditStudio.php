<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Studio;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\DB;

/** What holds for the studio as a whole. */
final class EditStudio
{
    public function __construct(private readonly ActivityLog $log)
    {
    }

    /** @param  string  $rate  of an hour, a decimal with two places, in the currency of the standard */
    public function hourlyRate(string $rate): Studio
    {
        return DB::transaction(function () use ($rate): Studio {
            $studio = Studio::query()->lockForUpdate()->findOrFail(1);
            $before = $studio->hourly_rate;
            $studio->update(['hourly_rate' => $rate]);
            $this->log->write('studio.changed', $studio, ['hourly_rate' => $before], ['hourly_rate' => $rate]);

            return $studio;
        });
    }
}
