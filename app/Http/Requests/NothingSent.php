<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A request that says all by its address. */
final class NothingSent extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [];
    }
}
