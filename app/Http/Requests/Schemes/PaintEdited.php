<?php

declare(strict_types=1);

namespace App\Http\Requests\Schemes;

use App\Formats\Amounts;
use App\Http\Requests\StudioRequest;

/** What a pot of paint costs and holds, and how much is left; only what changes. */
final class PaintEdited extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'price' => ['sometimes', 'nullable', 'regex:/^\d{1,5}\.\d{2}$/'],
            'pot_ml' => ['sometimes', 'numeric', 'between:0.1,10000'],
            'ml' => ['sometimes', 'numeric', 'between:0,10000'],
        ];
    }

    protected function prepareForValidation(): void
    {
        if ($this->has('price')) {
            $this->merge(['price' => Amounts::tidied($this->input('price'))]);
        }
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['price.regex' => 'A price is a decimal such as 4 or 4.50.'];
    }

    /** @return array<string, mixed> only what was sent */
    public function facts(): array
    {
        return (array) $this->validated();
    }
}
