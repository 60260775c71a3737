<?php

declare(strict_types=1);

namespace App\Http\Requests\Check;

use App\Http\Requests\StudioRequest;
use App\Models\Sculpt;

/** A drill on a figure at a tier. */
final class DrillWanted extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['sculpt' => ['required', 'string', 'max:190'], 'tier' => ['required', 'string', 'max:64']];
    }

    public function sculpt(): Sculpt
    {
        return Sculpt::query()->where('slug', $this->text('sculpt'))->firstOrFail();
    }

    public function tier(): string
    {
        return $this->text('tier');
    }
}
