<?php

declare(strict_types=1);

namespace App\Http\Requests\Sharing;

use App\Http\Requests\StudioRequest;

/** What a client answers to something they were asked. */
final class ClientReplies extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['name' => ['required', 'string', 'max:200'], 'text' => ['required', 'string', 'max:2000']];
    }

    public function name(): string
    {
        return trim($this->text('name'));
    }

    public function words(): string
    {
        return trim($this->text('text'));
    }
}
