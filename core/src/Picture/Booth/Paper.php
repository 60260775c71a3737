<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

use Ordotype\Core\Sculpt\Rank;

/** The paper sweep that the model stands on, with its shadow, a grey card, a scale in millimetres and the mark. */
final class Paper
{
    /** Linear light of L* 90, 50 and 20 (CIE 15: Y = ((L* + 16) / 116)³). */
    private const CARD = [0.7630, 0.1842, 0.0299];

    /** The letters of the mark, five by seven, a row a number. */
    private const MARK = [
        'D' => [30, 17, 17, 17, 17, 17, 30],
        'R' => [30, 17, 17, 30, 20, 18, 17],
        'A' => [14, 17, 17, 31, 17, 17, 17],
        'W' => [17, 17, 17, 21, 21, 27, 17],
        'N' => [17, 25, 21, 19, 17, 17, 17],
    ];

    /** @var array{float, float, float, float} middle and half sizes of what stands on the paper, pixels */
    private array $foot;

    /** @param  bool  $isPlain  without card and scale */
    public function __construct(private readonly SculptForm $form, private readonly bool $isPlain = false)
    {
        $this->foot = $this->foot();
    }

    /** @return array{float, float, float, float} */
    private function foot(): array
    {
        $form = $this->form;
        $lying = array_values(array_filter($form->rings, fn (Ring $r) => $r->area->rank === Rank::Ground));
        $rings = $lying === [] ? $form->rings : $lying;
        if ($rings === []) {
            return [$form->pictureWidth / 2, $form->pictureHeight * 0.9, 1.0, 1.0];
        }
        $left = min(array_map(fn (Ring $r) => $r->left, $rings));
        $right = max(array_map(fn (Ring $r) => $r->left + $r->width, $rings));
        $bottom = max(array_map(fn (Ring $r) => $r->top + $r->height, $rings));
        $half = ($right - $left) / 2;

        return [($left + $right) / 2, $bottom - 0.16 * $half, $half, 0.2 * $half];
    }

    /**
     * The light of a part of one row of the paper.
     *
     * @return array<int, float> linear, grey, by column
     */
    public function row(int $y, int $from, int $to): array
    {
        $form = $this->form;
        [$fx, $fy, $fw, $fh] = $this->foot;
        $v = $y / $form->pictureHeight;
        // The sweep: a wall that darkens upwards, a floor that comes forward.
        $rise = 1 / (1 + exp(-($v - 0.78) * 16));
        $even = 0.40 + 0.12 * $v - 0.085 * $rise;
        $row = [];
        for ($x = $from; $x < $to; $x++) {
            $u = $x / $form->pictureWidth - 0.5;
            $grey = $even * (1 - 0.42 * (($u + 0.06) ** 2) - 0.3 * (($v - 0.5) ** 2));
            $dx = ($x - $fx - 0.10 * $fw) / (1.06 * $fw);
            $dy = ($y - $fy - 0.05 * $fw) / (1.5 * $fh);
            $d = $dx * $dx + $dy * $dy;
            if ($d < 3.5) {
                $grey *= 1 - 0.78 * exp(-($d ** 3) * 0.8);
            }
            $dx = ($x - $fx - 0.62 * $fw) / (1.35 * $fw);
            $dy = ($y - $fy + 0.02 * $fw) / (2.6 * $fh);
            $d = $dx * $dx + $dy * $dy;
            if ($d < 5.0) {
                $grey *= 1 - 0.3 * exp(-1.4 * $d);
            }
            $row[$x] = $grey;
        }

        return $row;
    }

    /**
     * Card, scale and mark in front of all: what they are at a pixel, or null.
     *
     * @return array<int, float> by column of a row
     */
    public function inFront(int $y): array
    {
        return ($this->isPlain ? [] : $this->card($y) + $this->scale($y)) + $this->mark($y);
    }

    /** @return array{int, int, int} left, top and side of one field of the card */
    public function cardAt(): array
    {
        $side = max(4, (int) round(2.4 * $this->form->scale));
        $margin = (int) round(0.9 * $this->form->scale);

        return [$margin, $this->form->pictureHeight - $margin - 3 * $side, $side];
    }

    /** @return array<int, float> */
    private function card(int $y): array
    {
        [$left, $top, $side] = $this->cardAt();
        $rim = max(1, (int) round(0.18 * $this->form->scale));
        if ($y < $top - $rim || $y >= $top + 3 * $side + $rim) {
            return [];
        }
        $row = array_fill($left - $rim, $side + 2 * $rim, 0.72);
        $field = intdiv(max(0, min(3 * $side - 1, $y - $top)), $side);
        if ($y >= $top && $y < $top + 3 * $side) {
            for ($x = $left; $x < $left + $side; $x++) {
                $row[$x] = self::CARD[$field];
            }
        }

        return array_filter($row, fn (int $x) => $x >= 0, ARRAY_FILTER_USE_KEY);
    }

    /** @return array<int, float> ten millimetres, black and white in turn */
    private function scale(int $y): array
    {
        $scale = $this->form->scale;
        $margin = 0.9 * $scale;
        $bottom = $this->form->pictureHeight - $margin;
        if ($y < $bottom - 0.7 * $scale || $y >= $bottom) {
            return [];
        }
        $left = $this->form->pictureWidth - $margin - 10 * $scale;
        $row = [];
        for ($x = (int) round($left); $x < (int) round($left + 10 * $scale); $x++) {
            $row[$x] = ((int) floor(($x + 0.5 - $left) / $scale)) % 2 === 0 ? 0.02 : 0.8;
        }

        return array_filter($row, fn (int $x) => $x >= 0, ARRAY_FILTER_USE_KEY);
    }

    /** @return array<int, float> the word that says that it is no photograph */
    private function mark(int $y): array
    {
        $dot = max(1, (int) round(0.09 * $this->form->scale));
        $margin = (int) round(0.9 * $this->form->scale);
        $line = $y < $margin ? -1 : intdiv($y - $margin, $dot);
        if ($line < 0 || $line > 6) {
            return [];
        }
        $left = $this->form->pictureWidth - $margin - 29 * $dot;
        $row = [];
        foreach (array_values(self::MARK) as $n => $letter) {
            for ($bit = 0; $bit < 5; $bit++) {
                for ($k = 0; (($letter[$line] >> (4 - $bit)) & 1) === 1 && $k < $dot; $k++) {
                    $row[$left + (6 * $n + $bit) * $dot + $k] = 0.62;
                }
            }
        }

        return $row;
    }
}
