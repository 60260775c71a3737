<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Piece;
use App\Studio\ActivityLog;
use App\Studio\Refusal;
use Illuminate\Support\Facades\DB;

/**
 * What happens to a piece outside bench and check: put on hold, taken up again, lost, cancelled, delivered, claimed.
 */
final class MovePiece
{
    private const UNDER_WAY = ['planned', 'on_bench', 'offered', 'rework', 'passed'];

    /** @var array<string, list<string>> move to the stages it starts from */
    private const FROM = [
        'hold' => self::UNDER_WAY,
        'resume' => ['on_hold'],
        'lose' => [...self::UNDER_WAY, 'on_hold'],
        'cancel' => [...self::UNDER_WAY, 'on_hold'],
        'deliver' => ['signed'],
        'claim' => ['delivered'],
    ];

    /** @return list<string> every move there is */
    public static function moves(): array
    {
        return array_keys(self::FROM);
    }

    public function __invoke(Piece $piece, string $move, string $reason): Piece
    {
        return DB::transaction(function () use ($piece, $move, $reason): Piece {
            $piece = Piece::query()->with('unit.order')->lockForUpdate()->findOrFail($piece->id);
            $before = $piece->stage;
            if (! in_array($before, self::FROM[$move] ?? [], true)) {
                throw new Refusal(
                    "Model $piece->number ($piece->code) is ".
                        str_replace('_', ' ', $before).
                        ": that does not go with \"$move\".",
                    '/move',
                    409,
                );
            }
            if (trim($reason) === '' && $move !== 'deliver' && $move !== 'resume') {
                throw new Refusal('Say why.', '/reason');
            }
            // A claim reopens the piece for the check; what was signed stays signed and is shown there.
            $stage = match ($move) {
                'hold' => 'on_hold',
                'resume' => $piece->held_from ?? 'planned',
                'lose' => 'lost',
                'cancel' => 'cancelled',
                'deliver' => 'delivered',
                default => 'offered',
            };
            $piece->update([
                'stage' => $stage,
                'held_from' => $move === 'hold' ? $before : null,
                'revision' => $piece->revision + 1,
            ]);
            $this->order($piece, $move);
            ActivityLog::write("piece.$move", $piece, ['stage' => $before], ['stage' => $stage, 'reason' => $reason]);

            return $piece;
        });
    }

    /** An order whose last piece is delivered is delivered; a claim takes it up again. */
    private function order(Piece $piece, string $move): void
    {
        $order = $piece->unit->order;
        if ($move === 'claim' && in_array($order->status, ['delivered', 'closed'], true)) {
            $order->update(['status' => 'in_work']);
        }
        $left = Piece::query()
            ->whereHas('unit', fn ($q) => $q->where('order_id', $order->id))
            ->whereNotIn('stage', ['delivered', 'lost', 'cancelled'])
            ->exists();
        if ($move === 'deliver' && ! $left) {
            $order->update(['status' => 'delivered']);
        }
    }
}
