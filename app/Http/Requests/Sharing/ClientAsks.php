<?php

declare(strict_types=1);

namespace App\Http\Requests\Sharing;

use App\Http\Requests\StudioRequest;

/** What a client asks or wishes by their page: in words, another tier of a unit, or their word on a test model. */
final class ClientAsks extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:200'],
            'text' => ['required_without_all:tier,go_ahead', 'nullable', 'string', 'max:2000'],
            'unit' => ['required_with:tier,go_ahead', 'nullable', 'integer'],
            'tier' => ['sometimes', 'string', 'max:60'],
            'go_ahead' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Say your name, so that the studio knows whom to answer.',
            'text.required_without_all' => 'Say what you would know.',
        ];
    }

    public function name(): string
    {
        return trim($this->text('name'));
    }

    public function words(): string
    {
        return trim($this->text('text'));
    }

    public function unit(): ?int
    {
        return $this->numberOrNull('unit');
    }

    public function tier(): ?string
    {
        return $this->textOrNull('tier');
    }

    public function goAhead(): ?bool
    {
        return $this->has('go_ahead') ? $this->boolean('go_ahead') : null;
    }
}
