<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Demand\ReasonKind;
use Ordotype\Core\Standard\School;

/** The words under which the formats name reasons. */
final class ReasonFormat
{
    public static function read(string $id): Reason
    {
        if (preg_match('/^amend\.(\d{1,9})$/D', $id, $m) === 1) {
            return Reason::amendment((int) $m[1]);
        }
        $school = str_starts_with($id, 'method.') ? School::tryFrom(substr($id, strlen('method.'))) : null;

        return match (true) {
            $school !== null => Reason::method($school),
            $id === ReasonKind::Base->value => Reason::base(),
            $id === ReasonKind::Tidying->value => Reason::tidying(),
            $id === ReasonKind::Parts->value => Reason::parts(),
            $id === ReasonKind::TouchUp->value => Reason::touchUp(),
            default => Reason::clause($id),
        };
    }

    /** @return list<Reason> */
    public static function readList(Node $node, string $key): array
    {
        return array_map(self::read(...), $node->strings($key));
    }
}
