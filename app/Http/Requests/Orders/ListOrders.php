<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Http\Requests\ListAsked;
use Illuminate\Validation\Rule;
use Ordotype\Core\Studio\OrderStatus;

/** Which orders a list shows, and in which order. */
final class ListOrders extends ListAsked
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return parent::rules() + [
            'status' => ['nullable', 'string', Rule::enum(OrderStatus::class)],
            'client' => ['nullable', 'string', 'max:200'],
            'tier' => ['nullable', 'string', 'max:64'],
            'due' => ['nullable', 'string', Rule::in(['late', 'week', 'month', 'none'])],
            'sort' => ['nullable', 'string', Rule::in(['due', 'latest', 'client', 'title'])],
        ];
    }

    public function status(): ?OrderStatus
    {
        return OrderStatus::tryFrom($this->textOrNull('status') ?? '');
    }

    public function client(): ?string
    {
        return $this->textOrNull('client');
    }

    /** The key of a tier that a unit of the order is at. */
    public function tier(): ?string
    {
        return $this->textOrNull('tier');
    }

    /** @return 'late'|'week'|'month'|'none'|null */
    public function due(): ?string
    {
        $due = $this->textOrNull('due');

        return in_array($due, ['late', 'week', 'month', 'none'], true) ? $due : null;
    }

    /** @return 'due'|'latest'|'client'|'title' */
    public function sort(): string
    {
        $sort = $this->textOrNull('sort');

        return in_array($sort, ['latest', 'client', 'title'], true) ? $sort : 'due';
    }
}
