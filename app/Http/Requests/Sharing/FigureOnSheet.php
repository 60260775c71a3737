<?php

declare(strict_types=1);

namespace App\Http\Requests\Sharing;

use App\Http\Requests\StudioRequest;

/** The figure of a comparison sheet. */
final class FigureOnSheet extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'sculpt' => ['required', 'string', 'exists:sculpts,slug'],
        ];
    }

    /** The slug of a figure. */
    public function sculpt(): string
    {
        return $this->text('sculpt');
    }
}
