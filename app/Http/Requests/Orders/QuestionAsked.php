<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Http\Requests\StudioRequest;

/** Something that the client is asked, with a picture and a place on it where there is one. */
final class QuestionAsked extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'text' => ['required', 'string', 'max:2000'],
            'unit' => ['nullable', 'integer'],
            'piece' => ['nullable', 'integer'],
            'blocks' => ['required', 'boolean'],
            'waits_until' => ['nullable', 'date_format:Y-m-d'],
            'picture' => ['nullable', 'string', 'exists:pictures,sha256'],
            'pin' => ['nullable', 'array:x,y'],
            'pin.x' => ['required_with:pin', 'numeric', 'min:0', 'max:1'],
            'pin.y' => ['required_with:pin', 'numeric', 'min:0', 'max:1'],
        ];
    }

    /** @return array<string, mixed> as it is kept */
    public function asked(): array
    {
        $pin = (array) $this->validated('pin');

        return [
            'text' => $this->text('text'),
            'unit_id' => $this->numberOrNull('unit'),
            'piece_id' => $this->numberOrNull('piece'),
            'blocks' => $this->boolean('blocks'),
            'waits_until' => $this->textOrNull('waits_until'),
            'picture' => $this->textOrNull('picture'),
            'pin' => $pin === [] ? null : ['x' => (float) $pin['x'], 'y' => (float) $pin['y']],
        ];
    }
}
