<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Http\Requests\OldRevision;

/** What moved the price, after the models came in. */
final class QuoteSettled extends OldRevision
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return parent::rules() + [
            'came_true' => ['present', 'array', 'max:20'],
            'came_true.*' => ['string', 'max:40', 'distinct'],
        ];
    }

    /** @return list<string> ids */
    public function cameTrue(): array
    {
        return $this->texts('came_true');
    }
}
