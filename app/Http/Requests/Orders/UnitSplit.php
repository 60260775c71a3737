<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Http\Requests\StudioRequest;

/** Models that become a unit of their own. */
final class UnitSplit extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'pieces' => ['required', 'array', 'max:500'],
            'pieces.*' => ['integer', 'distinct'],
            'label' => ['nullable', 'string', 'max:200'],
        ];
    }

    /** @return list<int> */
    public function pieces(): array
    {
        return array_map(intval(...), $this->texts('pieces'));
    }

    public function label(): ?string
    {
        return $this->textOrNull('label');
    }
}
