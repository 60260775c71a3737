<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Actions\Orders\MovePiece;
use App\Http\Requests\StudioRequest;
use Illuminate\Validation\Rule;
use Ordotype\Core\Bench\StageMove;

/** A piece put on hold, taken up again, lost, cancelled, delivered or claimed. */
final class PieceMove extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'move' => ['required', Rule::in(MovePiece::moves())],
            'reason' => ['nullable', 'string', 'max:500'],
        ];
    }

    public function move(): StageMove
    {
        return StageMove::from($this->text('move'));
    }

    public function reason(): string
    {
        return $this->text('reason');
    }
}
