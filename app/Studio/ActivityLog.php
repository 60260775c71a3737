<?php

declare(strict_types=1);

namespace App\Studio;

use App\Models\Activity;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Auth;

/** Writes what was changed, by whom, from what to what. */
final class ActivityLog
{
    public function write(string $action, Model $subject, mixed $before, mixed $after): void
    {
        $json = fn (mixed $v): ?string => $v === null
            ? null
            : (is_string($v)
                ? $v
                : json_encode($v, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));
        $key = $subject->getKey();
        Activity::query()->create([
            'user_id' => Auth::id(),
            'action' => $action,
            'subject' => $subject->getTable(),
            'subject_id' => is_int($key) ? $key : 0,
            'before' => $json($before),
            'after' => $json($after),
            'at' => now(),
        ]);
    }
}
