<?php

declare(strict_types=1);

namespace App\Http\Requests\Standard;

use App\Http\Requests\StudioRequest;

/** Two versions to be held against one another. */
final class TwoVersions extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'from' => ['required', 'integer', 'min:1'],
            'to' => ['required', 'integer', 'min:1'],
        ];
    }

    public function from(): int
    {
        return $this->number('from');
    }

    public function to(): int
    {
        return $this->number('to');
    }
}
