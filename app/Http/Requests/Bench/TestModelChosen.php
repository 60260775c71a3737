<?php

declare(strict_types=1);

namespace App\Http\Requests\Bench;

use App\Http\Requests\StudioRequest;

/** Which model of a unit the others are compared with. */
final class TestModelChosen extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['model' => ['present', 'nullable', 'integer', 'min:1']];
    }

    public function model(): ?int
    {
        return $this->numberOrNull('model');
    }
}
