<?php

declare(strict_types=1);

namespace App\Http\Requests\Sharing;

use App\Http\Requests\StudioRequest;

/** A link by which a client sees their order. */
final class NewOrderLink extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['days' => ['required', 'integer', 'min:1', 'max:365']];
    }

    /** How long it holds. */
    public function days(): int
    {
        return $this->number('days');
    }
}
