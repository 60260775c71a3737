<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Piece;
use App\Models\StepLog;

/** A mark on the bench taken back. */
final class StepUnmarked extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'piece' => ['required', 'integer'],
            'step' => ['required', 'string', 'max:'.StepLog::KEY_LENGTH],
        ];
    }

    public function piece(): Piece
    {
        return Piece::query()->findOrFail($this->number('piece'));
    }

    public function step(): string
    {
        return $this->text('step');
    }
}
