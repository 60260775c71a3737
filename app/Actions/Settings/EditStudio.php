<?php

declare(strict_types=1);

namespace App\Actions\Settings;

use App\Models\Studio;
use App\Repositories\Standards;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\DB;

/** What holds for the studio as a whole. */
final class EditStudio
{
    public function __construct(private readonly Standards $standards, private readonly ActivityLog $log)
    {
    }

    /** @param  array<string, mixed>  $facts  of name, hourly_rate, time_zone, second_factor_roles what changes */
    public function __invoke(array $facts): Studio
    {
        return DB::transaction(function () use ($facts): Studio {
            $studio = Studio::query()->lockForUpdate()->findOrFail(1);
            $before = $studio->only(array_keys($facts));
            $studio->update($facts);
            $this->log->write('studio.changed', $studio, $before, $facts);
            $draft = $this->standards->draft();
            if (isset($facts['currency']) && $draft !== null) {
                $document = $this->standards->document($draft);
                $document->currency = $facts['currency'];
                $this->standards->keep($draft, $document);
                $draft->increment('revision');
            }

            return $studio->refresh();
        });
    }
}
