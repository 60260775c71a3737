<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Formats\Amounts;
use App\Http\Requests\OldRevision;

/** The price that was agreed, said otherwise, with its reason. */
final class AgreedOtherwise extends OldRevision
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return parent::rules() + [
            'amount' => ['required', 'regex:/^\d{1,7}\.\d{2}$/'],
            'reason' => ['required', 'string', 'max:500'],
        ];
    }

    protected function prepareForValidation(): void
    {
        $this->merge(['amount' => Amounts::tidied($this->input('amount'))]);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'amount.regex' => 'An amount is a decimal such as 40 or 40.50.',
            'reason.required' => 'Say why another price is paid than the one that was agreed.',
        ];
    }

    public function amount(): string
    {
        return $this->text('amount');
    }

    public function reason(): string
    {
        return $this->text('reason');
    }
}
