<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Formats\Amounts;
use App\Http\Requests\StudioRequest;

/** A parcel that came or goes, and what is in it. */
final class ParcelSent extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'direction' => ['required', 'in:in,out'],
            'on_day' => ['required', 'date_format:Y-m-d'],
            'way' => ['required', 'string', 'max:100'],
            'tracking' => ['nullable', 'string', 'max:100'],
            'recipient' => ['nullable', 'string', 'max:200'],
            'insured' => ['nullable', 'regex:/^\d{1,7}(\.\d{1,2})?$/'],
            'pieces' => ['sometimes', 'array', 'max:500'],
            'pieces.*' => ['integer', 'distinct'],
            'reason' => ['nullable', 'string', 'max:500'],
        ];
    }

    protected function prepareForValidation(): void
    {
        $this->merge(['insured' => Amounts::tidied($this->input('insured'))]);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['insured.regex' => 'The insured sum is a decimal such as 200 or 200.50.'];
    }

    public function direction(): string
    {
        return $this->text('direction');
    }

    /** @return array<string, string|null> */
    public function facts(): array
    {
        $facts = [];
        foreach (['on_day', 'way', 'tracking', 'recipient', 'insured'] as $fact) {
            $facts[$fact] = $this->textOrNull($fact);
        }

        return $facts;
    }

    /** @return list<int> */
    public function pieces(): array
    {
        return array_map(intval(...), $this->texts('pieces'));
    }

    public function reason(): string
    {
        return $this->text('reason');
    }
}
