<?php

declare(strict_types=1);

namespace App\Http\Requests\Standard;

/** Changes of the draft, to be tried on a figure at a tier. */
final class EditsOnFigure extends DraftEdits
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'tier' => ['required', 'string'],
            'sculpt' => ['required', 'string', 'exists:sculpts,slug'],
        ] + parent::rules();
    }

    public function tier(): string
    {
        return $this->text('tier');
    }

    /** The slug of a figure. */
    public function sculpt(): string
    {
        return $this->text('sculpt');
    }
}
