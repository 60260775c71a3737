<?php

declare(strict_types=1);

namespace App\Studio;

use App\Models\Drawing;
use App\Models\Photograph;
use Illuminate\Support\Facades\DB;

/** Work behind the pages that was tried three times and given up. */
final class Failures
{
    /** @return array{drawings: int, photographs: int, imports: int} */
    public static function counted(): array
    {
        return [
            'drawings' => Drawing::query()->where('state', 'failed')->count(),
            'photographs' => Photograph::query()->where('state', 'failed')->count(),
            'imports' => DB::table('imports')->where('state', 'refused')->whereNull('problems')->count(),
        ];
    }
}
