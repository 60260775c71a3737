<?php

declare(strict_types=1);

namespace App\Queries\Orders;

use App\Models\Piece;
use App\Models\User;
use App\Policies\Rights;
use Ordotype\Core\Bench\Stage;

/** Where the mark on a label leads: to the model's check, its bench or its order, as whoever reads it may. */
final class PieceByCode
{
    /** @return array{code: string, to: string} */
    public static function of(string $code, User $user): array
    {
        $piece = Piece::query()->with('unit')->where('code', mb_strtoupper($code))->firstOrFail();
        $stage = Stage::from($piece->stage);
        $check = $piece->checks()->whereNull('closed_at')->value('id');
        $tray = "/check/tray/$piece->unit_id";
        $isForCheck = $stage === Stage::Offered && $piece->unit->released_at !== null;

        return ['code' => $piece->code, 'to' => match (true) {
            $isForCheck && Rights::has($user, 'check.answer') => is_numeric($check) ? "/check/$check" : $tray,
            Rights::has($user, 'bench.use') => "/bench/$piece->unit_id",
            default => "/orders/{$piece->unit->order_id}",
        }];
    }
}
