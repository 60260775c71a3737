<?php

declare(strict_types=1);

namespace App\Http\Requests\Bench;

use Carbon\CarbonImmutable;

/** Steps that were done on pieces, or left out with a reason. */
final class MarkSteps extends StepsUnmarked
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return parent::rules() + [
            'skipped' => ['nullable', 'string', 'max:500'],
            'minutes' => ['nullable', 'numeric', 'min:0', 'max:6000'],
            'at' => ['bail', 'nullable', 'string', 'date_format:Y-m-d\TH:i:s\Z', 'after:-3 days'],
        ];
    }

    public function skipped(): ?string
    {
        return $this->textOrNull('skipped');
    }

    /** When it was marked: a tap that waited for a connection dries from then. Nothing is marked in what is to come. */
    public function at(): CarbonImmutable
    {
        $at = $this->textOrNull('at');
        $now = CarbonImmutable::now();

        return $at === null ? $now : CarbonImmutable::parse($at)->min($now);
    }

    /** Minutes spent on all of it together, where somebody told. */
    public function minutes(): ?float
    {
        $minutes = $this->validated('minutes');

        return is_numeric($minutes) ? (float) $minutes : null;
    }
}
