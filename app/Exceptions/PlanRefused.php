<?php

declare(strict_types=1);

namespace App\Exceptions;

use Ordotype\Core\Standard\Technique;

/** Plans, and what is bent in them by hand. */
final class PlanRefused extends Refusal
{
    /** Neither a paint on the shelf nor a colour. */
    public static function noSuchPaint(string $paint): self
    {
        return new self("\"$paint\" is neither a paint on the shelf nor a colour of the form #rrggbb.", '/paint');
    }

    /** No rule of order has that key. */
    public static function noSuchRule(string $rule, string $pointer): self
    {
        return new self("There is no rule \"$rule\".", $pointer);
    }

    /** The plan has no such step. */
    public static function noSuchStep(string $step, string $pointer): self
    {
        return new self('That is no step of this plan.', $pointer);
    }

    /** No technique of the catalogue has that key. */
    public static function noSuchTechnique(string $technique, string $pointer): self
    {
        return new self("There is no technique \"$technique\".", $pointer);
    }

    /** The plan cannot be held against what was named. */
    public static function notComparable(string $why): self
    {
        return new self($why, '/with');
    }

    /** A piece lacks some of its areas, never all. */
    public static function nothingLeft(): self
    {
        return new self('Something must be left of it.', '/lacks');
    }

    /**
     * A plan with conflicts cannot be released.
     *
     * @param  list<string>  $why sentences
     */
    public static function inConflict(array $why): self
    {
        return new self(
            'The plan has conflicts that want an amendment first: '.implode(' ', $why),
            '/conflicts',
        );
    }

    /** Only a rule that was set aside can be upheld again. */
    public static function ruleNotSetAside(): self
    {
        return new self('That rule is not set aside.', '', 404);
    }

    /** A technique of the whole model cannot be chosen for an area. */
    public static function wholeModelTechnique(Technique $technique, string $pointer): self
    {
        return new self("$technique->name is done on the whole model, not on an area.", $pointer);
    }
}
