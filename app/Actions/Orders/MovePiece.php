<?php

declare(strict_types=1);

namespace App\Actions\Orders;

use App\Exceptions\BenchRefused;
use App\Exceptions\RequestRefused;
use App\Jobs\FollowBatch;
use App\Models\Order;
use App\Models\Piece;
use App\Repositories\Releases;
use App\Studio\ActivityLog;
use App\Studio\OrderLife;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Bench\StageMove;
use Ordotype\Core\Studio\Mover;
use Ordotype\Core\Studio\OrderStatus;

/**
 * What happens to a piece outside bench and check: put on hold, taken up again, lost, cancelled, delivered, claimed.
 */
final class MovePiece
{
    public function __construct(
        private readonly Releases $releases,
        private readonly OrderLife $life,
        private readonly ActivityLog $log,
    ) {
    }

    /** @return list<string> every move there is */
    public static function moves(): array
    {
        return array_map(fn (StageMove $m) => $m->value, StageMove::cases());
    }

    public function __invoke(Piece $piece, StageMove $move, string $reason): Piece
    {
        return DB::transaction(function () use ($piece, $move, $reason): Piece {
            $piece = Piece::query()->with('unit.order')->lockForUpdate()->findOrFail($piece->id);
            $before = Stage::from($piece->stage);
            if (! $move->isPossibleFrom($before)) {
                throw BenchRefused::stageForbidsMove($piece, $move);
            }
            if (trim($reason) === '' && $move->wantsAReason()) {
                throw RequestRefused::reasonMissing('/reason');
            }
            $stage = $move->leadsTo(Stage::tryFrom((string) $piece->held_from));
            $piece->update([
                'stage' => $stage->value,
                'held_from' => $move === StageMove::Hold ? $before->value : null,
                'revision' => $piece->revision + 1,
            ]);
            if (! $stage->isThere()) {
                $this->releases->dropPiece($piece, Auth::id());
            }
            if ($move === StageMove::Claim) {
                $this->takeUp($piece->unit->lockedOrder(), $reason);
            }
            FollowBatch::ofPieces([$piece]);
            $this->life->settle($piece->unit->order_id);
            $this->log->write(
                "piece.$move->value",
                $piece,
                ['stage' => $before->value],
                ['stage' => $stage->value, 'reason' => $reason],
            );

            return $piece;
        });
    }

    /** A claim takes up again what has left the studio: the order is locked. */
    private function takeUp(Order $order, string $reason): void
    {
        if ($order->status->hasLeft()) {
            $situation = $this->life->situation($order, $reason, claim: true);
            $this->life->move($order, OrderStatus::InWork, Mover::Lead, $situation, ['reason' => $reason]);
        }
    }
}
