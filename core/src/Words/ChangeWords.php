<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Ladder\StandardChange;
use Ordotype\Core\Sculpt\Relief;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\PriceRange;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\Tier;

/** What differs between two versions of a standard, in words. */
final readonly class ChangeWords
{
    private ClauseWords $before;

    private ClauseWords $after;

    public function __construct(private Standard $from, private Standard $to)
    {
        $this->before = new ClauseWords($from);
        $this->after = new ClauseWords($to);
    }

    /** What kind of thing it is. */
    public static function what(StandardChange $change): string
    {
        $subject = $change->subject();

        return match (true) {
            $subject instanceof Clause => 'clause',
            $subject instanceof Tier => 'tier',
            $subject instanceof Technique => 'technique',
            default => 'price',
        };
    }

    /** What it is called on the ladder. */
    public function label(StandardChange $change): string
    {
        $subject = $change->subject();

        return match (true) {
            $subject instanceof Clause => (new RowNames($change->after === null ? $this->from : $this->to))->of(
                $subject,
            ),
            $subject instanceof Tier, $subject instanceof Technique => $subject->name,
            $subject instanceof PriceRange => "{$subject->size->value} {$subject->role->value} at ".
                $this->tierName($subject->tier),
            default => '',
        };
    }

    public function before(StandardChange $change): ?string
    {
        return $this->words($change->before, $change->after, $this->before);
    }

    public function after(StandardChange $change): ?string
    {
        return $this->words($change->after, $change->before, $this->after);
    }

    private function tierName(string $key): string
    {
        $standard = $this->to->hasTier($key) ? $this->to : $this->from;

        return $standard->hasTier($key) ? $standard->tier($key)->name : Terms::plain($key);
    }

    private function words(
        Clause|Tier|Technique|PriceRange|null $one,
        Clause|Tier|Technique|PriceRange|null $other,
        ClauseWords $clauses,
    ): ?string {
        return match (true) {
            $one instanceof Clause => $clauses->sentence($one),
            $one instanceof Tier => $this->head($one),
            $one instanceof PriceRange => $one->low.($one->high === null ? ' and up' : " to $one->high"),
            $one instanceof Technique && $other instanceof Technique => self::technique($one, $other),
            default => null,
        };
    }

    private function head(Tier $t): string
    {
        return "$t->name, {$t->status->value}, pace {$t->pace->value}, looked at from ".
            Terms::number($t->viewing->distanceCm).
            " cm, aim {$t->aim->value}, what no clause names is ".
            Terms::status($t->defaultStatus()).
            ($t->extends === null ? '' : ', takes the clauses of '.$this->tierName($t->extends));
    }

    /** What of a technique is not as in another version of it. */
    private static function technique(Technique $one, Technique $other): string
    {
        [$mine, $theirs] = [self::figures($one), self::figures($other)];
        $said = [];
        foreach ($mine as $name => $value) {
            if ($value !== $theirs[$name]) {
                $said[] = "$name $value";
            }
        }

        return $said === [] ? 'its notes' : implode(', ', $said);
    }

    /** @return array<string, string> */
    private static function figures(Technique $t): array
    {
        $suits = [];
        foreach ($t->suits as $relief => $suit) {
            $suits[] = Terms::relief(Relief::from($relief))." $suit";
        }
        $effects = array_map(fn (string $e) => Terms::effect(Effect::from($e)), array_keys($t->effects));

        return [
            'name' => $t->name,
            'family' => Terms::family($t->family),
            'gives' => implode(' and ', $effects),
            'colour steps' => (string) $t->credit,
            'suits' => implode(' and ', $suits),
            'grade' => $t->grade === null ? 'none' : (string) $t->grade,
            'coats' => (string) $t->coats,
            'most passes' => (string) $t->maxPasses,
            'handling' => Terms::number($t->handling).' min',
            'hand' => Terms::number($t->hand).' min',
            'minutes apiece' => Terms::number($t->perPiece),
            'setting up' => Terms::number($t->setup).' min',
            'drying' => Terms::number($t->dry).' min',
            'drying between coats' => Terms::number($t->coatDry).' min',
            'skill' => (string) $t->skill,
            'mess' => (string) $t->mess,
            'only on' => implode(' and ', array_map(Terms::material(...), $t->onlyOn)),
            'never on' => implode(' and ', array_map(Terms::material(...), $t->neverOn)),
            'needs' => implode(' and ', array_map(Terms::effect(...), $t->needs)),
            'in use' => $t->retired === true ? 'no longer' : 'yes',
            'mark' => $t->markMm === null ? 'of any width' : Terms::number($t->markMm).' mm',
        ];
    }
}
