<?php

declare(strict_types=1);

namespace App\Http\Requests\Sharing;

use App\Http\Requests\StudioRequest;

/** A look at a client's page, with the extras that are ticked on it. */
final class PageLookedAt extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['ticks' => ['sometimes', 'nullable', 'string', 'max:1000']];
    }

    /** @return list<string> ids, parted by commas in the address */
    public function ticks(): array
    {
        return array_values(array_filter(explode(',', $this->text('ticks')), fn (string $id) => $id !== ''));
    }
}
