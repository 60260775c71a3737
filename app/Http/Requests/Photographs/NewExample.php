<?php

declare(strict_types=1);

namespace App\Http\Requests\Photographs;

use App\Http\Requests\StudioRequest;
use App\Models\Photograph;

/** An area of a photograph, to be kept as an example of its tier. */
final class NewExample extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'photograph' => ['required', 'integer', 'exists:photographs,id'],
            'area' => ['required', 'string', 'max:100'],
        ];
    }

    public function photograph(): Photograph
    {
        return Photograph::query()->findOrFail($this->number('photograph'));
    }

    public function area(): string
    {
        return $this->text('area');
    }
}
