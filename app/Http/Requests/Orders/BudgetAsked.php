<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Formats\Amounts;
use App\Http\Requests\StudioRequest;
use Ordotype\Core\Foundation\Money;

/** An amount that an order is to fit, and on doing it the revision that was looked at. */
final class BudgetAsked extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'amount' => ['required', 'regex:/^\d{1,7}\.\d{2}$/'],
            'revision' => ['sometimes', 'integer', 'min:0'],
        ];
    }

    protected function prepareForValidation(): void
    {
        $this->merge(['amount' => Amounts::tidied($this->input('amount'))]);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['amount.regex' => 'An amount is a decimal such as 400 or 400.50.'];
    }

    public function amount(): Money
    {
        return Money::of($this->text('amount'));
    }
}
