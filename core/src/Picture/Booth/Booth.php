<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

use Ordotype\Core\Foundation\Dice;

/**
 * Draws a painted model as if it had been photographed on a paper sweep. The same request gives the same picture.
 */
final class Booth
{
    /** Pixels across. */
    public const LEAST = 120;

    public const MOST = 2000;

    private ?SculptForm $form = null;

    private ?Lamp $lamp = null;

    public function draw(BoothRequest $request): BoothPicture
    {
        [$form, $lamp] = $this->set($request);
        $paper = new Paper($form, $request->isPlain);
        $camera = new Camera($request->seed, $request->stops, $request->cast);
        $all = $form->width * $form->height;
        $red = $green = $blue = array_fill(0, $all, 0.0);
        $painter = new Painter($request->done, $request->seed, $request->faults);
        $truth = new Witness();
        $glows = [];
        foreach ($form->rings as $ring) {
            $patch = new Patch($form, $ring, Dice::hash($request->seed, $ring->no));
            if ($patch->count === 0) {
                continue;
            }
            $painter->paint($patch);
            $lamp->shine($patch, $red, $green, $blue);
            $truth->see($patch, $red, $green, $blue);
            if (self::glows($patch)) {
                $glows[] = Halo::of($patch);
            }
        }
        unset($patch);
        foreach ($glows as $halo) {
            $halo->fall($form, $red, $green, $blue);
        }
        (new Plants($form, $request->done, $request->seed))->grow($red, $green, $blue);
        $this->onPaper($form, $paper, $red, $green, $blue);
        $this->smooth($form, $red, $green, $blue);
        Focus::soften($form, $red, $green, $blue);

        return new BoothPicture(
            $form->pictureWidth,
            $form->pictureHeight,
            $this->exposed($form, $paper, $camera, $red, $green, $blue),
            $form->scale,
            $truth->truth(),
            $paper->cardAt(),
        );
    }

    /**
     * The body of the sculpt and the light on it, kept for the next picture of the same.
     *
     * @return array{SculptForm, Lamp}
     */
    private function set(BoothRequest $request): array
    {
        $isSame =
            $this->form !== null &&
            $this->form->sculpt == $request->sculpt &&
            $this->form->view === $request->view &&
            $this->form->pictureWidth === $request->width;
        if ($this->form === null || $this->lamp === null || ! $isSame) {
            $this->form = $this->lamp = null;
            $this->form = new SculptForm($request->sculpt, $request->view, $request->width);
            $this->lamp = new Lamp($this->form);
        }

        return [$this->form, $this->lamp];
    }

    private static function glows(Patch $patch): bool
    {
        foreach ($patch->glow as $glow) {
            if ($glow > 0.3) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  array<int, float>  $red
     * @param  array<int, float>  $green
     * @param  array<int, float>  $blue
     */
    private function onPaper(SculptForm $form, Paper $paper, array &$red, array &$green, array &$blue): void
    {
        for ($y = 0; $y < $form->height; $y++) {
            $row = $paper->row($y + $form->top, $form->left, $form->left + $form->width);
            for ($x = 0, $i = $y * $form->width; $x < $form->width; $x++, $i++) {
                if ($form->seen[$i] < 0 && $red[$i] === 0.0) {
                    $red[$i] = $green[$i] = $blue[$i] = $row[$x + $form->left];
                }
            }
        }
    }

    /**
     * Pixels on a line are shared by what lies on either side of it.
     *
     * @param  array<int, float>  $red
     * @param  array<int, float>  $green
     * @param  array<int, float>  $blue
     */
    private function smooth(SculptForm $form, array &$red, array &$green, array &$blue): void
    {
        $mixed = [];
        $around = [-1, 1, -$form->width, $form->width];
        $last = $form->width * $form->height;
        foreach ($form->partly as $i => [$ring, $share]) {
            $isOn = $form->seen[$i] === $ring;
            $n = 0;
            [$r, $g, $b] = [0.0, 0.0, 0.0];
            foreach ($around as $step) {
                $j = $i + $step;
                if ($j >= 0 && $j < $last && ($form->seen[$j] === $ring) !== $isOn) {
                    $n++;
                    $r += $red[$j];
                    $g += $green[$j];
                    $b += $blue[$j];
                }
            }
            if ($n > 0) {
                $w = ($isOn ? 1 - $share : $share) / $n;
                $own = 1 - $w * $n;
                $mixed[$i] = [$own * $red[$i] + $w * $r, $own * $green[$i] + $w * $g, $own * $blue[$i] + $w * $b];
            }
        }
        foreach ($mixed as $i => [$r, $g, $b]) {
            [$red[$i], $green[$i], $blue[$i]] = [$r, $g, $b];
        }
    }

    /**
     * @param  array<int, float>  $red
     * @param  array<int, float>  $green
     * @param  array<int, float>  $blue
     */
    private function exposed(
        SculptForm $form,
        Paper $paper,
        Camera $camera,
        array $red,
        array $green,
        array $blue,
    ): string {
        $rows = [];
        for ($y = 0; $y < $form->pictureHeight; $y++) {
            $in = $y - $form->top;
            if ($in < 0 || $in >= $form->height) {
                $r = $g = $b = $paper->row($y, 0, $form->pictureWidth);
            } else {
                $left = $paper->row($y, 0, $form->left);
                $right = $paper->row($y, $form->left + $form->width, $form->pictureWidth);
                $from = $in * $form->width;
                $r = [...$left, ...array_slice($red, $from, $form->width), ...$right];
                $g = [...$left, ...array_slice($green, $from, $form->width), ...$right];
                $b = [...$left, ...array_slice($blue, $from, $form->width), ...$right];
            }
            foreach ($paper->inFront($y) as $x => $grey) {
                if ($x < $form->pictureWidth) {
                    $r[$x] = $g[$x] = $b[$x] = $grey;
                }
            }
            $rows[] = $camera->row($y, $r, $g, $b);
        }

        return implode('', $rows);
    }
}
