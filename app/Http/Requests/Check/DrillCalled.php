<?php

declare(strict_types=1);

namespace App\Http\Requests\Check;

use App\Http\Requests\StudioRequest;

/** What somebody saw in a picture of a drill. */
final class DrillCalled extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['picture' => ['required', 'integer', 'between:0,100'], 'area' => ['nullable', 'string', 'max:64']];
    }

    public function picture(): int
    {
        return $this->number('picture');
    }

    /** The area that was pressed; null: nothing that counts. */
    public function area(): ?string
    {
        return $this->textOrNull('area');
    }
}
