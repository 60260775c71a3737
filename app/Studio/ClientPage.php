<?php

declare(strict_types=1);

namespace App\Studio;

use App\Exceptions\RequestRefused;
use App\Models\Example;
use App\Models\Order;
use App\Models\Photograph;
use App\Models\ShareLink;
use App\Models\Studio;
use Illuminate\Database\Eloquent\Collection;
use Ordotype\Core\Bench\Stage;

/** The one address by which a client sees their order: how long it holds, and which pictures it shows. */
final class ClientPage
{
    /** Photographs that a page shows before it only says that there are more. */
    private const MOST = 40;

    /** The order behind a link, while its page holds: until the days for claims are over. */
    public static function order(ShareLink $link): Order
    {
        $order = Order::query()->find((int) ($link->shows['order'] ?? 0));
        if ($order === null || self::hasEnded($order)) {
            throw RequestRefused::linkShowsNothing();
        }

        return $order;
    }

    public static function hasEnded(Order $order): bool
    {
        if (! $order->status->hasLeft() && ! $order->status->isOver()) {
            return false;
        }
        $left = $order->moves->filter(fn ($m) => ! $m->to_status->isBeforeWork())->last();

        return $left !== null && $left->at->addDays(Studio::row()->claim_days)->isPast();
    }

    /**
     * @param  list<int>  $pieces  ids
     * @return Collection<int, Photograph> painted work, real photographs before drawn ones
     */
    public static function photographs(array $pieces): Collection
    {
        return Photograph::query()
            ->with('picture')
            ->whereIn('piece_id', $pieces)
            ->where('shows', 'painted')
            ->join('pictures', 'pictures.sha256', '=', 'photographs.sha256')
            ->orderBy('pictures.is_drawn')
            ->orderByDesc('photographs.id')
            ->limit(self::MOST)
            ->get('photographs.*');
    }

    /** Whether the page of an order shows a picture: of finished work, its test model, a question, or the mark. */
    public static function shows(Order $order, string $sha): bool
    {
        $finished = $order
            ->pieces()
            ->whereIn('stage', [Stage::Signed->value, Stage::Delivered->value])
            ->orWhereIn('pieces.id', $order->units()->whereNotNull('test_piece_id')->select('test_piece_id'))
            ->pluck('pieces.id')
            ->all();

        return Studio::row()->mark === $sha ||
            Example::query()->where('sha256', $sha)->exists() ||
            $order->questions()->where('picture', $sha)->exists() ||
            self::photographs($finished)->contains('sha256', $sha);
    }
}
