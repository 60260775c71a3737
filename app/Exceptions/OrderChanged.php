<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Order;

/** Somebody else has changed the facts of an order since they were read. */
final class OrderChanged extends Conflict
{
    public function __construct(public readonly Order $order)
    {
        parent::__construct('Somebody else has changed this order in the meantime.', [
            'revision' => $order->revision,
            ...$order->facts(),
        ]);
    }
}
