<?php

declare(strict_types=1);

namespace App\Actions\Check;

use App\Exceptions\Refusal;
use App\Models\LotRow;
use App\Models\Piece;
use App\Models\Unit;
use App\Models\User;
use App\Studio\Checks;
use App\Studio\LeftOut;
use Illuminate\Support\Collection;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Inspection\Checkpoint;

/**
 * One look over all models of a unit that are offered, side by side. Each has its check as if it were looked at alone;
 * a model that cannot be answered for is told, and keeps none of the others back.
 */
final class CheckTray
{
    public function __construct(private readonly CheckPiece $checkPiece, private readonly Checks $checks)
    {
    }

    /**
     * One answer to all that is open of a look, on every model but some.
     *
     * @param  list<int>  $except  ids of pieces
     * @return list<LeftOut> what was not answered
     */
    public function answer(Unit $unit, User $by, string $look, string $answer, ?string $note, array $except): array
    {
        return $this->each($unit, $by, $except, function (Piece $piece) use ($by, $look, $answer, $note): void {
            $check = $this->checkPiece->open($piece, $by);
            $asks = fn (Checkpoint $c): bool => Checks::look($c) === $look;
            // After a repair a model is asked less than the others.
            if (array_filter($this->checks->questions($check), $asks) !== []) {
                $this->checkPiece->answerLook($check, $by, $look, $answer, $note);
            }
        });
    }

    /** @return list<LeftOut> what does not pass */
    public function pass(Unit $unit, User $by): array
    {
        return $this->each(
            $unit,
            $by,
            [],
            fn (Piece $piece) => $this->checkPiece->close($this->checkPiece->open($piece, $by), $by, 'passed', null),
        );
    }

    /**
     * @param  list<int>  $except
     * @param  callable(Piece): mixed  $do
     * @return list<LeftOut>
     */
    private function each(Unit $unit, User $by, array $except, callable $do): array
    {
        $left = [];
        foreach ($this->offered($unit)->whereNotIn('id', $except) as $piece) {
            try {
                $do($piece);
            } catch (Refusal $why) {
                $left[] = LeftOut::by($piece, $why);
            }
        }

        return $left;
    }

    /** @return Collection<int, Piece> where a sample is drawn, those of it */
    private function offered(Unit $unit): Collection
    {
        $drawn = LotRow::looked($unit->id);

        return Piece::query()
            ->where('unit_id', $unit->id)
            ->where('stage', Stage::Offered->value)
            ->when($drawn !== null, fn ($q) => $q->whereIn('number', $drawn ?? []))
            ->orderBy('number')
            ->get();
    }
}
