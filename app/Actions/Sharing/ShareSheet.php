<?php

declare(strict_types=1);

namespace App\Actions\Sharing;

use App\Models\Check;
use App\Models\Order;
use App\Models\ShareLink;
use App\Models\User;
use App\Repositories\Standards;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\DB;

/**
 * Makes links to comparison sheets and to orders, and withdraws them. A link's secret is told once: only its hash is
 * kept.
 */
final class ShareSheet
{
    /** Longer than any order takes: its page ends with the order's claims. */
    private const DAYS_OF_A_LIFE = 3650;

    public function __construct(private readonly Standards $standards, private readonly ActivityLog $log)
    {
    }

    /**
     * @param  string  $sculpt  the slug of a figure
     * @return array{ShareLink, string} the link and its secret, 128 random bits in hexadecimal
     */
    public function make(string $sculpt, bool $prices, int $days, User $by): array
    {
        return $this->made(
            'comparison',
            ['sculpt' => $sculpt, 'prices' => $prices, 'version' => $this->standards->current()->number],
            $days,
            $by,
        );
    }

    /**
     * The one address by which a client sees the order for its whole life; made anew, the one before ends.
     *
     * @return array{ShareLink, string} the link and its secret
     */
    public function ofOrder(Order $order, User $by): array
    {
        return DB::transaction(function () use ($order, $by): array {
            $before = ShareLink::query()->where('what', 'order')->where('shows->order', $order->id);
            $before->whereNull('withdrawn_at')->update(['withdrawn_at' => now()]);

            return $this->made('order', ['order' => $order->id], self::DAYS_OF_A_LIFE, $by);
        });
    }

    /**
     * @param  list<int>  $faults  ids of those that the client is asked about
     * @return string the secret of a link by which they are asked
     */
    public function ofCheck(Check $check, array $faults, int $days, User $by): string
    {
        return $this->made('concession', ['check' => $check->id, 'faults' => $faults], $days, $by)[1];
    }

    /**
     * @param  array<string, mixed>  $shows
     * @return array{ShareLink, string}
     */
    private function made(string $what, array $shows, int $days, User $by): array
    {
        $secret = bin2hex(random_bytes(16));
        $link = DB::transaction(function () use ($what, $shows, $days, $by, $secret): ShareLink {
            $link = ShareLink::query()->create([
                'hash' => hash('sha256', $secret),
                'what' => $what,
                'shows' => $shows,
                'made_by' => $by->id,
                'expires_at' => now()->addDays($days),
            ]);
            $this->log->write('share.made', $link, null, $link->shows);

            return $link;
        });

        return [$link, $secret];
    }

    public function withdraw(ShareLink $link): void
    {
        DB::transaction(function () use ($link): void {
            $link->update(['withdrawn_at' => $link->withdrawn_at ?? now()]);
            $this->log->write('share.withdrawn', $link, null, null);
        });
    }
}
