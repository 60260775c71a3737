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
        $this->writeAll($action, [$subject], $before, $after);
    }

    /**
     * The same change of many rows of one table.
     *
     * @param  iterable<Model>  $subjects
     */
    public function writeAll(string $action, iterable $subjects, mixed $before, mixed $after): void
    {
        $rows = [];
        foreach ($subjects as $subject) {
            $key = $subject->getKey();
            $rows[] = [
                'user_id' => Auth::id(),
                'action' => $action,
                'subject' => $subject->getTable(),
                'subject_id' => is_int($key) ? $key : 0,
                'before' => self::json($before),
                'after' => self::json($after),
                'at' => now(),
            ];
        }
        Activity::query()->insert($rows);
    }

    private static function json(mixed $value): ?string
    {
        return $value === null || is_string($value)
            ? $value
            : json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }
}
