<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

use InvalidArgumentException;

/** What one version of a quote has otherwise than the one before; only one side: it is new, or gone. */
final readonly class QuoteChange
{
    public function __construct(public ?QuoteItem $was, public ?QuoteItem $is)
    {
        if ($was === null && $is === null) {
            throw new InvalidArgumentException('A change has a side.');
        }
    }

    /**
     * @param  list<QuoteItem>  $before
     * @param  list<QuoteItem>  $after
     * @return list<self> in the order of the new version, what is gone last
     */
    public static function between(array $before, array $after): array
    {
        [$was, $is] = [self::byId($before), self::byId($after)];
        $changes = [];
        foreach ($is + $was as $id => $any) {
            if (($was[$id] ?? null) != ($is[$id] ?? null)) {
                $changes[] = new self($was[$id] ?? null, $is[$id] ?? null);
            }
        }

        return $changes;
    }

    /**
     * @param  list<QuoteItem>  $items
     * @return array<string, QuoteItem>
     */
    private static function byId(array $items): array
    {
        return array_combine(array_map(fn (QuoteItem $i) => $i->id, $items), $items);
    }
}
