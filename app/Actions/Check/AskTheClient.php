<?php

declare(strict_types=1);

namespace App\Actions\Check;

use App\Actions\Sharing\ShareSheet;
use App\Exceptions\CheckRefused;
use App\Models\Check;
use App\Models\ShareLink;
use App\Models\User;
use App\Studio\ActivityLog;
use App\Studio\Concession;
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
        return DB::transaction(function () use ($check, $by): string {
            // Of several links that are asked for at once one is the last.
            $check = Check::query()->lockForUpdate()->findOrFail($check->id);
            if ($check->closed_at !== null) {
                throw CheckRefused::closed();
            }
            $faults = Concession::counting($check);
            if ($faults === []) {
                throw CheckRefused::nothingToRepair();
            }
            $before = Concession::link($check);
            if ($before !== null && $before->holds()) {
                $this->share->withdraw($before);
            }

            return $this->share->ofCheck($check, $faults, self::DAYS, $by);
        });
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
            // The log is for ever, and a name can be erased.
            $this->log->write('share.answered', $link, null, ['agrees' => $agrees, 'at' => $answer['at']]);
        });
    }
}
