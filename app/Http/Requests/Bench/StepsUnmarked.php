<?php

declare(strict_types=1);

namespace App\Http\Requests\Bench;

use App\Models\StepLog;

/** Marks on the bench taken back together. */
class StepsUnmarked extends PiecesOffered
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return parent::rules() + [
            'steps' => ['required', 'array', 'min:1', 'max:500'],
            'steps.*' => ['string', 'max:'.StepLog::KEY_LENGTH],
        ];
    }

    /** @return list<string> keys */
    final public function steps(): array
    {
        return $this->texts('steps');
    }
}
