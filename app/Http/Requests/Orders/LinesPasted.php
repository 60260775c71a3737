<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Http\Requests\StudioRequest;

/** Lines such as “12 Sluice Warden, Company”: to be read, or to be made units of. */
final class LinesPasted extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'lines' => ['required', 'string', 'max:20000'],
            'keep' => ['required', 'boolean'],
        ];
    }

    public function lines(): string
    {
        return $this->text('lines');
    }

    public function keep(): bool
    {
        return $this->boolean('keep');
    }
}
