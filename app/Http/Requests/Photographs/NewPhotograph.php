<?php

declare(strict_types=1);

namespace App\Http\Requests\Photographs;

use App\Http\Requests\StudioRequest;
use Illuminate\Validation\Rule;
use Ordotype\Core\Sculpt\View;

/** A picture that was sent, as the photograph of a model from one side. */
final class NewPhotograph extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'sha256' => ['required', 'string', 'exists:pictures,sha256'],
            'view' => ['required', 'string', Rule::enum(View::class)],
        ];
    }

    public function sha256(): string
    {
        return $this->text('sha256');
    }

    public function view(): View
    {
        return View::from($this->text('view'));
    }
}
