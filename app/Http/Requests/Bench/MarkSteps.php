<?php

declare(strict_types=1);

namespace App\Http\Requests\Bench;

/** Steps that were done on pieces, or left out with a reason. */
final class MarkSteps extends StepsUnmarked
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return parent::rules() + [
            'skipped' => ['nullable', 'string', 'max:500'],
            'minutes' => ['nullable', 'numeric', 'min:0', 'max:6000'],
        ];
    }

    public function skipped(): ?string
    {
        return $this->textOrNull('skipped');
    }

    /** Minutes spent on all of it together, where somebody told. */
    public function minutes(): ?float
    {
        $minutes = $this->validated('minutes');

        return is_numeric($minutes) ? (float) $minutes : null;
    }
}
