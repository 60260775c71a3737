<?php

declare(strict_types=1);

namespace App\Http\Requests\Check;

use App\Http\Requests\StudioRequest;

/** How a check ends. */
final class CheckClosing extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'verdict' => ['required', 'in:passed,rework,accepted'],
            'reason' => ['nullable', 'string', 'max:1000'],
            'consent' => ['nullable', 'string', 'max:1000'],
        ];
    }

    public function verdict(): string
    {
        return $this->text('verdict');
    }

    public function reason(): ?string
    {
        return $this->textOrNull('reason');
    }

    public function consent(): ?string
    {
        return $this->textOrNull('consent');
    }
}
