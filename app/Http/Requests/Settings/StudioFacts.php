<?php

declare(strict_types=1);

namespace App\Http\Requests\Settings;

use App\Http\Requests\StudioRequest;
use App\Models\Role;
use App\Models\Studio;
use DateTimeZone;
use Illuminate\Validation\Rule;

/** What the studio is, what an hour of it costs, where its day begins; only what changes. */
final class StudioFacts extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['sometimes', 'required', 'string', 'max:100'],
            'hourly_rate' => ['sometimes', 'required', 'string', 'regex:/^\d{1,6}\.\d{2}$/'],
            'time_zone' => ['sometimes', 'required', 'string', Rule::in(DateTimeZone::listIdentifiers())],
            'second_factor_roles' => ['sometimes', 'present', 'array', 'max:3'],
            'second_factor_roles.*' => ['distinct', Rule::enum(Role::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'hourly_rate.regex' => 'The hourly rate must be a decimal with two places, such as 20.00.',
            'time_zone.in' => 'There is no time zone of that name.',
        ];
    }

    /** @return array<string, mixed> only what was sent */
    public function facts(): array
    {
        return array_intersect_key((array) $this->validated(), array_flip(Studio::FACTS));
    }
}
