<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\StudioRequest;

/** How pieces of a unit differ from one another. */
final class VariantsOfUnit extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'variants' => ['present', 'array', 'max:20'],
        ];
    }

    /** @return list<mixed> as they were sent */
    public function variants(): array
    {
        return $this->list('variants');
    }
}
