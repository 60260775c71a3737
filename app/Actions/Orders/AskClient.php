<?php

declare(strict_types=1);

namespace App\Actions\Orders;

use App\Actions\Plan\ArrangeUnit;
use App\Exceptions\OrderRefused;
use App\Models\AmendmentRow;
use App\Models\Order;
use App\Models\Piece;
use App\Models\Question;
use App\Models\Unit;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Questions to the client, and the answers that come back; an answer can become an amendment in the same act. */
final class AskClient
{
    public function __construct(private readonly ArrangeUnit $arrange, private readonly ActivityLog $log)
    {
    }

    /** @param  array<string, mixed>  $asked  unit_id, piece_id, text, blocks, waits_until, picture, pin */
    public function ask(Order $order, array $asked): Question
    {
        return DB::transaction(function () use ($order, $asked): Question {
            $order->locked();
            $units = $order->units()->pluck('id');
            if (isset($asked['unit_id']) && ! $units->contains($asked['unit_id'])) {
                throw OrderRefused::notOfOrder('/unit');
            }
            if (isset($asked['piece_id'])) {
                $of = Piece::query()->whereKey($asked['piece_id'])->value('unit_id');
                if (! $units->contains($of)) {
                    throw OrderRefused::notOfOrder('/piece');
                }
            }
            $question = Question::query()->create(
                $asked + ['order_id' => $order->id, 'asked_by' => Auth::id(), 'asked_at' => now()],
            );
            $this->log->write('question.asked', $question, null, $asked);

            return $question;
        });
    }

    /**
     * @param  string  $by  who said so
     * @param  stdClass|null  $amendment  what it changes, of the unit that the question is about
     */
    public function answer(Question $question, string $text, string $by, ?stdClass $amendment): Question
    {
        return DB::transaction(function () use ($question, $text, $by, $amendment): Question {
            $question = Question::query()->with('order')->lockForUpdate()->findOrFail($question->id);
            $question->order->locked();
            if ($question->answered_at !== null) {
                throw OrderRefused::answered();
            }
            $made = null;
            if ($amendment !== null) {
                $piece = $question->piece_id === null ? null : Piece::query()->findOrFail($question->piece_id);
                $unit = Unit::query()->findOrFail(
                    $question->unit_id ?? ($piece->unit_id ?? throw OrderRefused::notOfOrder('/amendment')),
                );
                $this->arrange->amend($unit, $amendment, $unit->revision, $piece);
                $made = AmendmentRow::query()->where('made_by', Auth::id())->max('id');
            }
            $question->update([
                'answer' => $text,
                'answered_by' => $by,
                'answered_at' => now(),
                'amendment_id' => $made,
            ]);
            $this->log->write('question.answered', $question, null, ['answer' => $text]);

            return $question;
        });
    }
}
