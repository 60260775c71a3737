<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Http\Requests\StudioRequest;
use stdClass;

/** What a client answered, and what it changes. */
final class QuestionAnswered extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'answer' => ['required', 'string', 'max:2000'],
            'by' => ['required', 'string', 'max:200'],
            'amendment' => ['nullable', 'array'],
        ];
    }

    public function answer(): string
    {
        return $this->text('answer');
    }

    public function by(): string
    {
        return $this->text('by');
    }

    public function amendment(): ?stdClass
    {
        return $this->validated('amendment') === null ? null : $this->object('amendment');
    }
}
