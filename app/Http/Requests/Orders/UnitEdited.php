<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Formats\Amounts;
use App\Http\Requests\StudioRequest;

/** What changes of a unit: its name, the price of a model, how many there are. */
final class UnitEdited extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'label' => ['sometimes', 'nullable', 'string', 'max:200'],
            'price' => ['sometimes', 'nullable', 'regex:/^\d{1,7}(\.\d{1,2})?$/'],
            'count' => ['sometimes', 'integer', 'min:1', 'max:500'],
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
        return ['price.regex' => 'A price is a decimal such as 22 or 22.50.'];
    }

    /** @return array{label?: string|null, price?: string|null, count?: int} only what was sent */
    public function facts(): array
    {
        $sent = (array) $this->validated();
        $facts = [];
        if (array_key_exists('label', $sent)) {
            $facts['label'] = $this->textOrNull('label');
        }
        if (array_key_exists('price', $sent)) {
            $facts['price'] = $this->textOrNull('price');
        }

        return $facts + (isset($sent['count']) ? ['count' => $this->number('count')] : []);
    }
}
