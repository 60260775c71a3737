<?php

declare(strict_types=1);

namespace App\Http\Requests\Settings;

use App\Formats\Amounts;
use App\Http\Requests\StudioRequest;
use App\Models\Role;
use App\Models\Studio;
use DateTimeZone;
use Illuminate\Validation\Rule;
use Ordotype\Core\Studio\QuoteEnd;
use Ordotype\Core\Studio\QuotesSetting;

/** What the studio is, what an hour of it costs, where its day begins; only what changes. */
final class StudioFacts extends StudioRequest
{
    private const PER_CENT = 'regex:/^\d{1,3}(\.\d{1,3})?$/';

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['sometimes', 'required', 'string', 'max:100'],
            'currency' => ['sometimes', 'string', 'regex:/^[A-Z]{3}$/D'],
            'address' => ['sometimes', 'nullable', 'string', 'max:200', 'regex:#^https?://[^/?\#\s]+$#'],
            'paper_head' => ['sometimes', 'nullable', 'string', 'max:500'],
            'mark' => ['sometimes', 'nullable', 'string', Rule::exists('pictures', 'sha256')],
            'hourly_rate' => ['sometimes', 'required', 'string', 'regex:/^\d{1,6}\.\d{2}$/'],
            'time_zone' => ['sometimes', 'required', 'string', Rule::in(DateTimeZone::listIdentifiers())],
            'quotes' => ['sometimes', Rule::enum(QuotesSetting::class)],
            'wants_received' => ['sometimes', 'boolean'],
            'claim_days' => ['sometimes', 'integer', 'min:0', 'max:365'],
            'quote_end' => ['sometimes', Rule::enum(QuoteEnd::class)],
            'quote_days' => ['sometimes', 'integer', 'min:1', 'max:365'],
            'mark_up' => ['sometimes', self::PER_CENT],
            'overhead' => ['sometimes', self::PER_CENT],
            'tax_rate' => ['sometimes', 'nullable', self::PER_CENT],
            'tax_included' => ['sometimes', 'boolean'],
            'second_factor_roles' => ['sometimes', 'present', 'array', 'max:3'],
            'second_factor_roles.*' => ['distinct', Rule::enum(Role::class)],
        ];
    }

    /** As people write it: 34,50 or 34. */
    protected function prepareForValidation(): void
    {
        if ($this->has('hourly_rate')) {
            $this->merge(['hourly_rate' => Amounts::tidied($this->input('hourly_rate'))]);
        }
        foreach (['mark_up', 'overhead', 'tax_rate'] as $share) {
            if ($this->has($share)) {
                $this->merge([$share => Amounts::decimal($this->input($share))]);
            }
        }
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'hourly_rate.regex' => 'The hourly rate must be an amount such as 34, 34.50 or 34,50.',
            'mark_up.regex' => 'A mark-up is a per cent such as 25.',
            'overhead.regex' => 'Overhead is a per cent such as 10.',
            'tax_rate.regex' => 'A tax is a per cent such as 19 or 7.7.',
            'currency.regex' => 'A currency is three capital letters, such as EUR.',
            'address.regex' => 'An address such as https://studio.example, with nothing after the name.',
            'mark.exists' => 'There is no such picture. Send it again.',
            'time_zone.in' => 'There is no time zone of that name.',
        ];
    }

    /** @return array<string, mixed> only what was sent */
    public function facts(): array
    {
        return array_intersect_key((array) $this->validated(), array_flip(Studio::FACTS));
    }
}
