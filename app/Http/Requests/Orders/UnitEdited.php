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
            'ceiling' => ['sometimes', 'nullable', 'regex:/^\d{1,7}(\.\d{1,2})?$/'],
            'count' => ['sometimes', 'integer', 'min:1', 'max:500'],
        ];
    }

    protected function prepareForValidation(): void
    {
        foreach (['price', 'ceiling'] as $amount) {
            if ($this->has($amount)) {
                $this->merge([$amount => Amounts::tidied($this->input($amount))]);
            }
        }
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $amount = 'A price is a decimal such as 22 or 22.50.';

        return ['price.regex' => $amount, 'ceiling.regex' => $amount];
    }

    /**
     * @return array{label?: string|null, price?: string|null, ceiling?: string|null, count?: int} only what was sent
     */
    public function facts(): array
    {
        $sent = (array) $this->validated();
        $facts = [];
        if (array_key_exists('label', $sent)) {
            $facts['label'] = $this->textOrNull('label');
        }
        foreach (['price', 'ceiling'] as $amount) {
            if (array_key_exists($amount, $sent)) {
                $facts[$amount] = $this->textOrNull($amount);
            }
        }

        return $facts + (isset($sent['count']) ? ['count' => $this->number('count')] : []);
    }
}
