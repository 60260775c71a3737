<?php

declare(strict_types=1);

namespace App\Studio;

use App\Models\Check;
use App\Models\FaultRow;
use App\Models\ShareLink;

/** What a client was asked by a link about the faults of a check, and what they said. */
final class Concession
{
    /** The last link by which the client was asked about a check. */
    public static function link(Check $check): ?ShareLink
    {
        return ShareLink::query()
            ->where('what', 'concession')
            ->where('check_id', $check->id)
            ->latest('id')
            ->first();
    }

    /**
     * What the client said to just the faults that count now.
     *
     * @return array{agrees: bool, name: string, at: string}|null
     */
    public static function said(Check $check): ?array
    {
        $link = self::link($check);

        return $link !== null && ($link->shows['faults'] ?? []) === self::counting($check)
            ? self::answer($link)
            : null;
    }

    /**
     * What was said first behind a link; a name that was erased is told as one.
     *
     * @return array{agrees: bool, name: string, at: string}|null
     */
    public static function answer(ShareLink $link): ?array
    {
        $answer = $link->shows['answer'] ?? null;

        return $answer === null ? null : ['name' => $answer['name'] ?? NamesApart::ERASED] + $answer;
    }

    /** @return list<int> ids of the faults that count */
    public static function counting(Check $check): array
    {
        return array_values(
            FaultRow::query()
                ->where('check_id', $check->id)
                ->where('severity', '!=', 'note')
                ->orderBy('id')
                ->pluck('id')
                ->map(fn ($id) => (int) $id)
                ->all(),
        );
    }
}
