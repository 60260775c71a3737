<?php

declare(strict_types=1);

namespace App\Http\Requests\Bench;

use App\Http\Requests\StudioRequest;
use App\Models\Piece;

/** How the test model of a scheme came out. */
final class TestModelJudged extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'outcome' => ['required', 'in:accepted,rejected'],
            'note' => ['nullable', 'string', 'max:1000'],
            'piece' => ['nullable', 'integer'],
        ];
    }

    public function accepted(): bool
    {
        return $this->text('outcome') === 'accepted';
    }

    public function note(): ?string
    {
        return $this->textOrNull('note');
    }

    /** The test model, where it was one of the studio's pieces. */
    public function piece(): ?Piece
    {
        $id = $this->numberOrNull('piece');

        return $id === null ? null : Piece::query()->findOrFail($id);
    }
}
