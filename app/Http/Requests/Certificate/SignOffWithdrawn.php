<?php

declare(strict_types=1);

namespace App\Http\Requests\Certificate;

use App\Http\Requests\StudioRequest;

/** A sign-off withdrawn. */
final class SignOffWithdrawn extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'reason' => ['required', 'string', 'max:1000'],
        ];
    }

    public function reason(): string
    {
        return $this->text('reason');
    }
}
