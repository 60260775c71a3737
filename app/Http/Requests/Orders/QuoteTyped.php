<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Formats\Amounts;
use App\Http\Requests\StudioRequest;
use Illuminate\Validation\Rule;
use Ordotype\Core\Studio\QuoteLineKind;

/** What is typed beside the units for the next version of a quote. */
final class QuoteTyped extends StudioRequest
{
    private const AMOUNT = ['required', 'regex:/^\d{1,7}\.\d{2}$/'];

    private const PER_CENT = 'regex:/^\d{1,3}(\.\d{1,3})?$/';

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $id = ['required', 'string', 'max:40', 'regex:/^[a-z0-9-]+$/D', 'not_regex:/^agreed-/'];

        return [
            'revision' => ['required', 'integer', 'min:0'],
            'extras' => ['present', 'array', 'max:40'],
            'extras.*.id' => $id,
            'extras.*.unit' => ['required', 'integer'],
            'extras.*.words' => ['required', 'string', 'max:200'],
            'extras.*.from' => ['nullable', 'string', 'max:60'],
            'extras.*.count' => ['required', 'integer', 'min:1', 'max:500'],
            'extras.*.price' => self::AMOUNT,
            'extras.*.amendment' => ['nullable', 'array'],
            'lines' => ['present', 'array', 'max:20'],
            'lines.*.id' => $id,
            'lines.*.kind' => [
                'required',
                Rule::in(array_map(fn (QuoteLineKind $k) => $k->value, QuoteLineKind::beside())),
            ],
            'lines.*.words' => ['required', 'string', 'max:200'],
            'lines.*.amount' => self::AMOUNT,
            'lines.*.tax' => ['nullable', self::PER_CENT],
            'discount' => ['present', 'nullable', 'array'],
            'discount.percent' => ['nullable', self::PER_CENT, 'prohibits:discount.amount'],
            'discount.amount' => ['nullable', 'regex:/^\d{1,7}\.\d{2}$/'],
            'discount.reason' => ['required_with:discount', 'nullable', 'string', 'max:200'],
            'contingencies' => ['present', 'array', 'max:20'],
            'contingencies.*.id' => $id,
            'contingencies.*.unit' => ['nullable', 'integer'],
            'contingencies.*.words' => ['required', 'string', 'max:200'],
            'contingencies.*.amount' => self::AMOUNT,
        ];
    }

    protected function prepareForValidation(): void
    {
        $tidied = function (mixed $things, string $field): mixed {
            return ! is_array($things) ? $things : array_map(
                fn (mixed $t) => is_array($t) ? [$field => Amounts::tidied($t[$field] ?? null)] + $t : $t,
                $things,
            );
        };
        $discount = $this->input('discount');
        if (is_array($discount)) {
            $discount['amount'] = Amounts::tidied($discount['amount'] ?? null);
            $discount['percent'] = Amounts::decimal($discount['percent'] ?? null);
        }
        $this->merge([
            'extras' => $tidied($this->input('extras'), 'price'),
            'lines' => $tidied($this->input('lines'), 'amount'),
            'contingencies' => $tidied($this->input('contingencies'), 'amount'),
            'discount' => $discount,
        ]);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $amount = 'An amount is a decimal such as 40 or 40.50.';

        return [
            'extras.*.price.regex' => $amount,
            'lines.*.amount.regex' => $amount,
            'contingencies.*.amount.regex' => $amount,
            'discount.amount.regex' => $amount,
            'discount.percent.regex' => 'A per cent is a number such as 5 or 7.5.',
            'discount.percent.prohibits' => 'A discount is a share or an amount, one of them.',
            'discount.reason.required_with' => 'Say why there is a discount.',
            'lines.*.tax.regex' => 'A tax is a per cent such as 19 or 7.7.',
        ];
    }

    /** @return array<string, mixed> as it is kept */
    public function typed(): array
    {
        $rows = fn (string $key): array => array_values((array) $this->validated($key));
        $text = fn (mixed $v): ?string => is_scalar($v) ? (string) $v : null;
        $discount = (array) $this->validated('discount');
        [$percent, $amount] = [$text($discount['percent'] ?? null), $text($discount['amount'] ?? null)];

        return [
            'extras' => array_map(fn (mixed $e) => [
                'id' => $e['id'],
                'unit' => (int) $e['unit'],
                'words' => $e['words'],
                'from' => $e['from'] ?? null,
                'count' => (int) $e['count'],
                'price' => $e['price'],
                'choice' => true,
                'amendment' => $e['amendment'] ?? null,
            ], $rows('extras')),
            'lines' => array_map(fn (mixed $l) => [
                'id' => $l['id'],
                'kind' => $l['kind'],
                'words' => $l['words'],
                'amount' => $l['amount'],
                'tax' => $text($l['tax'] ?? null),
            ], $rows('lines')),
            'discount' => $percent === null && $amount === null
                ? null
                : ['percent' => $percent, 'amount' => $amount, 'reason' => (string) $text($discount['reason'] ?? null)],
            'contingencies' => array_map(fn (mixed $c) => [
                'id' => $c['id'],
                'unit' => isset($c['unit']) ? (int) $c['unit'] : null,
                'words' => $c['words'],
                'amount' => $c['amount'],
            ], $rows('contingencies')),
        ];
    }
}
