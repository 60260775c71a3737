<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Models\Picture;
use App\Models\Sculpt;
use App\Repositories\Figures;
use App\Studio\Pictures;
use InvalidArgumentException;
use Ordotype\Core\Picture\Photo\CardFinder;
use Ordotype\Core\Picture\Photo\FigureFinder;
use Ordotype\Core\Picture\Photo\Reduced;
use Ordotype\Core\Sculpt\View;

/** Looks for the figure and the grey card in a photograph, so that a person has only to look whether it is right. */
final class Finding
{
    /** Share of the card's middle field that is left out along its sides. */
    private const INSET = 0.27;

    public function __construct(private readonly Pictures $pictures, private readonly Figures $figures)
    {
    }

    /**
     * @return array{base_left: array{float, float}, base_right: array{float, float}, top: array{float, float},
     *     card: list<int>|null}|null null where the figure is not found
     */
    public function in(Picture $picture, Sculpt $sculpt, View $view): ?array
    {
        try {
            $small = new Reduced(GdPixels::ofBytes($this->pictures->read($picture)));
            $card = (new CardFinder($small))->find();
            $found = (new FigureFinder($small))->find($this->figures->of($sculpt), $view, $card);
        } catch (InvalidArgumentException) {
            // Without outlines in the view, or of a picture that cannot be read, it is laid by hand.
            return null;
        }
        if ($found === null) {
            return null;
        }
        [$left, $right, $top] = $found;

        return ['base_left' => $left, 'base_right' => $right, 'top' => $top, 'card' => self::inside($card)];
    }

    /**
     * @param  array{int, int, int}|null  $card
     * @return list<int>|null
     */
    private static function inside(?array $card): ?array
    {
        if ($card === null) {
            return null;
        }
        [$left, $top, $side] = $card;
        $in = (int) ceil(self::INSET * $side);

        return [$left + $in, $top + $in, $left + $side - $in, $top + $side - $in];
    }
}
