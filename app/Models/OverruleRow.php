<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Ordotype\Core\Planning\Sequencing\Overrule;
use Ordotype\Core\Planning\Sequencing\Rule;
use Ordotype\Core\Planning\Sequencing\StepPlace;

/**
 * A rule of order that does not hold between two steps of an order's plans.
 *
 * @property int $id
 * @property int $order_id
 * @property Rule $rule
 * @property string $earlier
 * @property string $later
 * @property string $reason
 * @property string $by whoever said so, as they were called then
 * @property \Illuminate\Support\Carbon $said_at
 */
final class OverruleRow extends Model
{
    public $timestamps = false;

    protected $table = 'overrules';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['rule' => Rule::class, 'said_at' => 'datetime'];

    /** @return array{rule: string, earlier: string, later: string, reason: string, by: string, at: string} */
    public function facts(): array
    {
        return [
            'rule' => $this->rule->value,
            'earlier' => $this->earlier,
            'later' => $this->later,
            'reason' => $this->reason,
            'by' => $this->by,
            'at' => $this->said_at->toIso8601ZuluString(),
        ];
    }

    public function core(): Overrule
    {
        return new Overrule($this->rule, StepPlace::kept($this->earlier), StepPlace::kept($this->later), $this->reason);
    }
}
