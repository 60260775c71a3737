<?php

declare(strict_types=1);

namespace App\Actions\Check;

use App\Actions\Sharing\ShareSheet;
use App\Exceptions\CheckClosed;
use App\Exceptions\NothingToRepair;
use App\Models\Check;
use App\Models\FaultRow;
use App\Models\ShareLink;
use App\Models\User;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Asks a client by a link whether a model may leave with its faults, and keeps what they say. */
final class AskTheClient
{
    private const DAYS = 14;

    public function __construct(private readonly ShareSheet $share, private readonly ActivityLog $log)
    {
    }

    /** @return string the secret of the link; one that was made before holds no longer */
    public function ask(Check $check, User $by): string
    {
        if ($check->closed_at !== null) {
            throw new CheckClosed();
        }
        $faults = self::counting($check);
        if ($faults === []) {
            throw new NothingToRepair();
        }
        $before = self::link($check);
        if ($before !== null && $before->holds()) {
            $this->share->withdraw($before);
        }

        return $this->share->ofCheck($check, $faults, self::DAYS, $by);
    }

    /** What was said first stays. */
    public function answer(ShareLink $link, string $name, bool $agrees): void
    {
        DB::transaction(function () use ($link, $name, $agrees): void {
            $link = ShareLink::query()->lockForUpdate()->findOrFail($link->id);
            if (isset($link->shows['answer'])) {
                return;
            }
            $answer = ['agrees' => $agrees, 'name' => $name, 'at' => now()->toIso8601ZuluString()];
            $link->update(['shows' => $link->shows + ['answer' => $answer]]);
            $this->log->write('share.answered', $link, null, $answer);
        });
    }

    /** The last link by which the client was asked about a check. */
    public static function link(Check $check): ?ShareLink
    {
        return ShareLink::query()
            ->where('what', 'concession')
            ->where('check_id', $check->id)
            ->latest('id')
            ->first();
    }

    /**
     * What the client said to just the faults that count now.
     *
     * @return array{agrees: bool, name: string, at: string}|null
     */
    public static function said(Check $check): ?array
    {
        $link = self::link($check);

        return $link !== null && ($link->shows['faults'] ?? []) === self::counting($check)
            ? $link->shows['answer'] ?? null
            : null;
    }

    /** @return list<int> ids of the faults that count */
    private static function counting(Check $check): array
    {
        return array_values(
            FaultRow::query()
                ->where('check_id', $check->id)
                ->where('severity', '!=', 'note')
                ->orderBy('id')
                ->pluck('id')
                ->map(fn ($id) => (int) $id)
                ->all(),
        );
    }
}
