<?php

declare(strict_types=1);

namespace App\Http\Requests\Check;

use App\Http\Requests\StudioRequest;

/** A lead's word on how much a fault counts. */
final class FaultOverruled extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'severity' => ['required', 'in:critical,major,minor,note'],
            'reason' => ['required', 'string', 'max:1000'],
        ];
    }

    public function severity(): string
    {
        return $this->text('severity');
    }

    public function reason(): string
    {
        return $this->text('reason');
    }
}
