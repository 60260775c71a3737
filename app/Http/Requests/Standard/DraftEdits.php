<?php

declare(strict_types=1);

namespace App\Http\Requests\Standard;

use App\Formats\Amounts;
use App\Http\Requests\StudioRequest;
use Ordotype\Core\Format\DocumentEdit;
use stdClass;

/** Changes of the draft, each from what it was to what it is to be. */
class DraftEdits extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'changes' => ['present', 'array', 'max:500'],
            'changes.*.what' => ['required', 'in:clause,tier,technique,price'],
            'changes.*.tier' => ['nullable', 'string'],
            'changes.*.before' => ['nullable', 'array'],
            'changes.*.after' => ['nullable', 'array'],
        ];
    }

    /** @return list<DocumentEdit> */
    public function edits(): array
    {
        $edits = [];
        foreach ($this->list('changes') as $change) {
            assert($change instanceof stdClass);
            $edits[] = new DocumentEdit(
                $change->what,
                $change->tier ?? null,
                self::thing($change->before ?? null),
                Amounts::in(self::thing($change->after ?? null)),
            );
        }

        return $edits;
    }

    private static function thing(mixed $value): ?stdClass
    {
        return $value instanceof stdClass ? $value : null;
    }
}
