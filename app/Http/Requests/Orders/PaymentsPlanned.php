<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Formats\Amounts;
use App\Http\Requests\StudioRequest;
use Illuminate\Validation\Rule;
use Ordotype\Core\Studio\Payment;
use Ordotype\Core\Studio\PaymentWhen;

/** How an order is paid: up to four payments, each a sum or a share. */
final class PaymentsPlanned extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'payments' => ['present', 'array', 'max:'.Payment::MOST],
            'payments.*.when' => ['required', Rule::enum(PaymentWhen::class)],
            'payments.*.on' => ['nullable', 'date_format:Y-m-d'],
            'payments.*.amount' => ['nullable', 'regex:/^\d{1,7}(\.\d{1,2})?$/'],
            'payments.*.percent' => ['nullable', 'integer', 'min:1', 'max:100'],
        ];
    }

    protected function prepareForValidation(): void
    {
        $payments = $this->input('payments');
        if (is_array($payments)) {
            $tidied = fn (mixed $p) => is_array($p) ? ['amount' => Amounts::tidied($p['amount'] ?? null)] + $p : $p;
            $this->merge(['payments' => array_map($tidied, $payments)]);
        }
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['payments.*.amount.regex' => 'An amount is a decimal such as 40 or 40.50.'];
    }

    /** @return list<array{when: PaymentWhen, on: string|null, amount: string|null, percent: int|null}> */
    public function payments(): array
    {
        $text = fn (mixed $v): ?string => is_scalar($v) ? (string) $v : null;
        $payments = [];
        foreach ((array) $this->validated('payments') as $given) {
            $payment = (array) $given;
            $payments[] = [
                'when' => PaymentWhen::from((string) $text($payment['when'] ?? null)),
                'on' => $text($payment['on'] ?? null),
                'amount' => $text($payment['amount'] ?? null),
                'percent' => is_numeric($payment['percent'] ?? null) ? (int) $payment['percent'] : null,
            ];
        }

        return $payments;
    }
}
