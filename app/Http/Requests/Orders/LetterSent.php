<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Http\Requests\StudioRequest;

/** Words that somebody read and sends to a client. */
final class LetterSent extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'to' => ['required', 'string', 'email:rfc', 'max:200'],
            'subject' => ['required', 'string', 'max:200', 'not_regex:/[\r\n]/'],
            'text' => ['required', 'string', 'max:5000'],
        ];
    }

    public function to(): string
    {
        return $this->text('to');
    }

    public function subject(): string
    {
        return $this->text('subject');
    }

    public function words(): string
    {
        return $this->text('text');
    }
}
