<?php

declare(strict_types=1);

namespace App\Http\Requests\Photographs;

use App\Http\Requests\StudioRequest;
use Illuminate\Validation\Rule;
use Ordotype\Core\Sculpt\View;

/** A picture that was sent, as the photograph of a figure in undercoat or bare. */
final class NewFigurePhotograph extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'sha256' => ['required', 'string', 'exists:pictures,sha256'],
            'view' => ['required', 'string', Rule::in(array_map(fn (View $v) => $v->value, View::drawn()))],
            'shows' => ['required', 'string', 'in:undercoated,bare'],
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

    /** @return 'undercoated'|'bare' */
    public function shows(): string
    {
        return $this->text('shows') === 'bare' ? 'bare' : 'undercoated';
    }
}
