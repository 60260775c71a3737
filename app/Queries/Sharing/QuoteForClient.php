<?php

declare(strict_types=1);

namespace App\Queries\Sharing;

use App\Models\Order;
use App\Models\QuoteRow;
use App\Studio\QuoteBody;
use App\Studio\Quoting;
use App\Studio\Today;
use Ordotype\Core\Studio\PaymentWhen;
use Ordotype\Core\Studio\QuoteEnd;
use Ordotype\Core\Studio\QuoteState;
use Ordotype\Core\Words\OrderLifeWords;
use Ordotype\Core\Words\QuoteWords;

/** The version of a quote that a client looks at, with what their ticks come to. */
final class QuoteForClient
{
    public function __construct(private readonly Quoting $quoting, private readonly Today $today)
    {
    }

    /**
     * @param  list<string>  $ticks  of one that waits for its answer
     * @return array<string, mixed>|null
     */
    public function of(Order $order, array $ticks): ?array
    {
        $version = $this->quoting->newest($order);
        $accepted = $this->quoting->accepted($order);
        // One that was refused is no offer any more; what was agreed before it holds.
        $shown = $version?->state === QuoteState::Refused ? $accepted ?? $version : $version;

        return $shown === null ? null : $this->version($order, $shown, $ticks) + [
            'agreed' => $accepted === null || $accepted->id === $shown->id
                ? null
                : $this->quoting->agreed($order)?->decimal(),
        ];
    }

    /**
     * @param  list<string>  $ticks
     * @return array<string, mixed>
     */
    public function version(Order $order, QuoteRow $version, array $ticks): array
    {
        $said = QuoteBody::of($version->body);
        $ticks = array_values(
            array_intersect($said->choices(), $version->state === QuoteState::Open ? $ticks : $version->ticks ?? []),
        );
        $sums = $said->sums($ticks, $version->came_true ?? []);
        $isFixed = $said->body['end'] === QuoteEnd::Fixed->value;
        // Of its own words; what an extra becomes on the bench is the studio's.
        $extra = fn (array $e) => array_diff_key($e, ['amendment' => true]) + [
            'ticked' => ! $e['choice'] || in_array($e['id'], $ticks, true),
        ];
        $agreed = $version->state === QuoteState::Accepted ? $order->agreed_total : null;

        return [
            'number' => $version->number,
            'until' => $version->valid_until->format('Y-m-d'),
            'state' => $version->state->value,
            'words' => QuoteWords::state($version->state),
            'run_out' => $version->hasRunOut($this->today->day()),
            'is_fixed' => $isFixed,
            'currency' => $said->body['currency'],
            'tax' => $said->body['tax'],
            'units' => $said->body['units'],
            'extras' => array_map($extra, array_values($said->body['extras'])),
            'lines' => $said->body['lines'],
            'discount' => $said->body['discount'],
            'contingencies' => array_map(
                fn (array $c) => $c + ['came_true' => in_array($c['id'], $version->came_true ?? [], true)],
                $said->body['contingencies'],
            ),
            'settled' => $version->settled_at !== null,
            'payments' => array_map(
                fn (array $p, string $sum) => $p + [
                    'words' => OrderLifeWords::payment(PaymentWhen::from($p['when'])),
                    'sum' => $sum,
                ],
                $said->body['payments'],
                $sums['payments'],
            ),
            'promised' => $said->body['promised'],
            'changes' => $said->body['changes'] ?? [],
            'ticks' => $ticks,
            'sums' => $sums,
            'agreed_otherwise' => $agreed === null
                ? null
                : ['amount' => $agreed, 'reason' => $order->agreed_reason],
            'answered_by' => $version->answered_by,
            'answered_at' => $version->answered_at?->toIso8601ZuluString(),
            'reason' => $version->reason,
        ];
    }
}
