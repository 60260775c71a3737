<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Studio\Payment;
use Ordotype\Core\Studio\PaymentWhen;

/**
 * One of the payments of an order.
 *
 * @property int $id
 * @property int $order_id
 * @property int $place
 * @property PaymentWhen $due_when
 * @property \Illuminate\Support\Carbon|null $due_on
 * @property string|null $amount
 * @property int|null $percent
 * @property \Illuminate\Support\Carbon|null $noted_on
 * @property string|null $noted_way
 * @property int|null $noted_by
 */
final class PaymentRow extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $table = 'order_payments';

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = [
        'due_when' => PaymentWhen::class,
        'due_on' => 'date',
        'noted_on' => 'date',
    ];

    public function core(): Payment
    {
        return new Payment(
            $this->due_when,
            $this->amount === null ? null : Money::of($this->amount),
            $this->percent,
        );
    }
}
