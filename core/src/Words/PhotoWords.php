<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Picture\Photo\HeldFigure;
use Ordotype\Core\Picture\Photo\Unmeasured;
use Ordotype\Core\Standard\Criterion;

/** What a photograph does not say, in words. */
final class PhotoWords
{
    public static function why(?Unmeasured $why): string
    {
        return match ($why) {
            null => '',
            Unmeasured::TooSmall => 'too small',
            Unmeasured::Clipped => 'overexposed',
            Unmeasured::Dark => 'too dark',
            Unmeasured::Hidden => 'hidden',
            Unmeasured::Shiny => 'shines',
            Unmeasured::Marked => 'marks lie on it',
            Unmeasured::TooFewLines => 'no line',
            Unmeasured::Uneven => 'too uneven',
            Unmeasured::Alike => 'cannot be told apart',
            Unmeasured::NoPatch => 'no grey card',
            Unmeasured::Moved => 'moved',
            Unmeasured::Blurred => 'blurred',
        };
    }

    public static function noCard(): string
    {
        return self::why(Unmeasured::NoPatch);
    }

    public static function withoutCard(): string
    {
        return 'No grey card is given: colours hold only against one another, and bare undercoat is not looked for.';
    }

    /** What a figure means for what the tier asks. */
    public static function held(HeldFigure $h): string
    {
        [$met, $not] = match ($h->asked->criterion) {
            Criterion::TonalSpan => ['enough contrast', 'less contrast than the tier asks'],
            Criterion::Tones => ['the tones can be told apart', 'fewer tones than the tier asks'],
            Criterion::LightFromAbove => ['light from above', 'the light seems not to come from above'],
            Criterion::LineShare => ['lines along the edges', 'edges without a line'],
            Criterion::BaseColour => ['the planned colour', 'not the planned colour'],
            Criterion::ColourDrift => ['like the rest of the unit', 'drifts from the rest of the unit'],
            Criterion::HardStep => ['no stark layer', 'a stark layer'],
            Criterion::BarePrimer => ['no bare undercoat', 'undercoat shows'],
            Criterion::LineWidth => ['lines fine enough', 'lines wider than the tier allows'],
            Criterion::LastLight => ['a bright last light', 'the last light is too dark'],
        };

        return $h->isMet ? $met : $not;
    }

    /** The figure and what it is held against, for whoever asks. */
    public static function figures(HeldFigure $h): string
    {
        $criterion = $h->asked->criterion;
        $written = fn (float $n): string => self::figure($criterion, $n);

        return $written($h->value).', '.($criterion->isFloor() ? 'at least ' : 'at most ').$written($h->limit);
    }

    /** What an example of finish shows. */
    public static function example(string $example): string
    {
        return match ($example) {
            'undercoat' => 'bare undercoat',
            'flat' => 'one flat coat',
            'washed' => 'a coat and a wash',
            'one_light' => 'one stark light',
            'two_lights' => 'two lights',
            'four_lights' => 'four lights',
            'blended' => 'blended',
            'from_below' => 'light from below',
            'line_fine' => 'a fine line',
            'line_middle' => 'a wider line',
            'line_wide' => 'a wide line',
            'line_widest' => 'a very wide line',
            'bare_small' => 'a small bare spot',
            'bare_middle' => 'a bare spot',
            'bare_large' => 'a large bare spot',
            'off_little' => 'a little off',
            'off_some' => 'off',
            default => 'another colour',
        };
    }

    /** A figure by itself. */
    public static function figure(Criterion $criterion, float $value): string
    {
        $decimals = match ($criterion) {
            Criterion::LineWidth, Criterion::HardStep, Criterion::LightFromAbove => 2,
            Criterion::Tones => 0,
            Criterion::TonalSpan, Criterion::LineShare, Criterion::BaseColour, Criterion::ColourDrift,
            Criterion::BarePrimer, Criterion::LastLight => 1,
        };

        return number_format($value, $decimals).Terms::unit($criterion);
    }
}
