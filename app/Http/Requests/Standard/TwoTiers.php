<?php

declare(strict_types=1);

namespace App\Http\Requests\Standard;

use App\Http\Requests\StudioRequest;

/** Two tiers to be held against one another on a figure. */
final class TwoTiers extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'from' => ['required', 'string'],
            'to' => ['required', 'string'],
            'sculpt' => ['required', 'string', 'exists:sculpts,slug'],
        ];
    }

    public function from(): string
    {
        return $this->text('from');
    }

    public function to(): string
    {
        return $this->text('to');
    }

    /** The slug of a figure. */
    public function sculpt(): string
    {
        return $this->text('sculpt');
    }
}
