<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** What an hour of the studio costs. */
final class StudioRate extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'hourly_rate' => ['required', 'string', 'regex:/^\d{1,6}\.\d{2}$/'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['hourly_rate.regex' => 'The hourly rate must be a decimal with two places, such as 20.00.'];
    }

    public function hourlyRate(): string
    {
        return $this->text('hourly_rate');
    }
}
