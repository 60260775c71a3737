<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Http\Requests\StudioRequest;
use App\Models\Sculpt;

/** A number of one figure at one tier, for an order. */
final class NewUnit extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'sculpt' => ['required', 'string', 'exists:sculpts,slug'],
            'tier' => ['required', 'string'],
            'count' => ['required', 'integer', 'min:1', 'max:500'],
            'label' => ['nullable', 'string', 'max:200'],
        ];
    }

    public function sculpt(): Sculpt
    {
        return Sculpt::query()->where('slug', $this->text('sculpt'))->firstOrFail();
    }

    public function tier(): string
    {
        return $this->text('tier');
    }

    /** How many. */
    public function pieces(): int
    {
        return $this->number('count');
    }

    public function label(): ?string
    {
        return $this->textOrNull('label');
    }
}
