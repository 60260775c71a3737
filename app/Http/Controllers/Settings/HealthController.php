<?php

declare(strict_types=1);

namespace App\Http\Controllers\Settings;

use App\Studio\Heartbeat;
use App\Studio\Room;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Throwable;

/**
 * Whether the studio can work, for whoever watches the machine: without signing in, and without saying more than that.
 */
final class HealthController
{
    public function __invoke(Heartbeat $worker): JsonResponse
    {
        $database = $this->database();
        $disk = Room::left() === 'enough';
        // A worker that rests keeps nobody from working; it is said, and that is all.
        $pictures = $this->pictures();
        $health = [
            'database' => $database,
            'disk' => $disk,
            'pictures' => $pictures,
            'worker' => $database && $worker->isFresh(),
        ];

        return new JsonResponse($health, $database && $disk && $pictures ? 200 : 503);
    }

    private function database(): bool
    {
        try {
            DB::select('select 1');

            return true;
        } catch (Throwable $e) {
            report($e);

            return false;
        }
    }

    /** Whether one could be kept: where they lie is often another disk, or another machine. */
    private function pictures(): bool
    {
        try {
            $name = 'up/'.gethostname();

            return Storage::disk()->put($name, 'up') && Storage::disk()->delete($name);
        } catch (Throwable $e) {
            report($e);

            return false;
        }
    }
}
