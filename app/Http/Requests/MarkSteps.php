<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\StepLog;
use Illuminate\Foundation\Http\FormRequest;

/** Steps that were done on pieces, or left out with a reason. */
final class MarkSteps extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'pieces' => ['required', 'array', 'min:1', 'max:500'],
            'pieces.*' => ['integer'],
            'steps' => ['required', 'array', 'min:1', 'max:500'],
            'steps.*' => ['string', 'max:'.StepLog::KEY_LENGTH],
            'skipped' => ['nullable', 'string', 'max:500'],
            'minutes' => ['nullable', 'numeric', 'min:0', 'max:6000'],
        ];
    }

    /** @return list<int> ids */
    public function pieces(): array
    {
        return array_map(intval(...), array_values((array) $this->validated('pieces')));
    }

    /** @return list<string> keys */
    public function steps(): array
    {
        return array_map(strval(...), array_values((array) $this->validated('steps')));
    }

    public function skipped(): ?string
    {
        $why = $this->validated('skipped');

        return is_string($why) ? $why : null;
    }

    /** Minutes spent on all of it together, where somebody told. */
    public function minutes(): ?float
    {
        $minutes = $this->validated('minutes');

        return is_numeric($minutes) ? (float) $minutes : null;
    }
}
