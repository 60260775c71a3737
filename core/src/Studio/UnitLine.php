<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

/** A line such as “12 Sluice Warden, Company” as it was understood; with a fault it makes no unit. */
final readonly class UnitLine
{
    /** More of one kind than any studio paints at once. */
    public const MOST = 500;

    /**
     * @param  int  $number  of the line, from 1
     * @param  string|null  $figure  key
     * @param  string|null  $tier  key
     * @param  string|null  $price  of a model, as a decimal with two places
     */
    private function __construct(
        public int $number,
        public string $text,
        public ?LineFault $fault,
        public int $count = 0,
        public ?string $figure = null,
        public ?string $tier = null,
        public ?string $label = null,
        public ?string $price = null,
    ) {
    }

    /**
     * Reads lines of a number, a figure, a tier and, where there are, a name for the unit and the price of a model,
     * parted by commas; empty lines are passed over. Figures and tiers are named as they are called or by what only
     * one of them begins with.
     *
     * @param  array<string, string>  $figures  names by key
     * @param  array<string, string>  $tiers  names by key
     * @return list<self>
     */
    public static function read(string $text, array $figures, array $tiers): array
    {
        $lines = [];
        foreach (preg_split('/\R/u', $text) ?: [] as $i => $line) {
            if (trim($line) !== '') {
                $lines[] = self::one($i + 1, trim($line), $figures, $tiers);
            }
        }

        return $lines;
    }

    /**
     * @param  array<string, string>  $figures
     * @param  array<string, string>  $tiers
     */
    private static function one(int $number, string $line, array $figures, array $tiers): self
    {
        if (preg_match('/^(\d{1,6})\s*[x×]?\s*(\D.*)$/iu', $line, $m) !== 1) {
            return new self($number, $line, LineFault::NoNumber);
        }
        [$rest, $price] = self::priced($m[2]);
        $parts = array_map(trim(...), explode(',', $rest, 3));
        $count = (int) $m[1];
        $figure = self::named($parts[0], $figures);
        $tier = self::named($parts[1] ?? '', $tiers);
        $fault = match (true) {
            $count < 1 || $count > self::MOST => LineFault::Count,
            $figure === null => LineFault::Figure,
            ! isset($parts[1]) => LineFault::NoTier,
            $tier === null => LineFault::Tier,
            default => null,
        };

        $label = ($parts[2] ?? '') === '' ? null : $parts[2];

        return new self($number, $line, $fault, $count, $figure, $tier, $label, $price);
    }

    /** @return array{string, string|null} what stands before a price at the end of a line, and the price */
    private static function priced(string $text): array
    {
        return preg_match('/^(.*),\s*(\d{1,6})(?:\.(\d{1,2}))?$/u', $text, $m) === 1
            ? [$m[1], $m[2].'.'.str_pad($m[3] ?? '', 2, '0')]
            : [$text, null];
    }

    /** @param  array<string, string>  $names */
    private static function named(string $text, array $names): ?string
    {
        $text = mb_strtolower($text);
        $begin = [];
        foreach ($names as $key => $name) {
            if (mb_strtolower($name) === $text) {
                return (string) $key;
            }
            // One of many may be written in the plural.
            if ($text !== '' && (str_starts_with(mb_strtolower($name), $text) || mb_strtolower($name).'s' === $text)) {
                $begin[] = (string) $key;
            }
        }

        return count($begin) === 1 ? $begin[0] : null;
    }
}
