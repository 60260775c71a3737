<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Method\Method;
use Ordotype\Core\Method\School;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Role;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Seeing\NoticingSize;
use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Standard\Tier;

/** Whether a fault counts at a tier, and how much: null severity is a note. `why` says what it rests on. */
final readonly class Judgement
{
    /** From three times the size that is noticed on, a fault has its own severity; below, it is minor at most. */
    private const PLAIN = 3.0;

    private function __construct(public ?Severity $severity, public string $why)
    {
    }

    /**
     * @param  Severity|null  $clause  what the clause in question says, if anything
     * @param  float|null  $mm  its size where it was measured; else the share of the area that the spread stands for
     */
    public static function of(
        FaultKind $fault,
        Tier $tier,
        Sculpt $sculpt,
        ?Area $area,
        Method $method,
        ?Severity $clause,
        Spread $spread,
        ?float $mm,
    ): self {
        if (
            in_array($method->answer(School::Look), ['worn', 'filthy'], true) &&
            in_array($fault->key, ['pooling', 'ground_on_feet'], true)
        ) {
            return new self(null, 'The look that was agreed wants it.');
        }
        $hero = in_array($sculpt->role, [Role::Hero, Role::Centrepiece], true);
        [$severity, $why] = match (true) {
            isset($tier->faults[$fault->key]) => [$tier->faults[$fault->key], "$tier->name says so of this fault"],
            $clause !== null => [$clause, 'the clause says so'],
            $hero && $fault->heroSeverity !== null => [$fault->heroSeverity, 'the fault table, for heroes'],
            default => [$fault->severity, 'the fault table'],
        };
        if ($severity === Severity::Minor && $area !== null && $area->focus === 3) {
            [$severity, $why] = [Severity::Major, "$why; on what is looked at first a minor fault is major"];
        }
        if (! $fault->bySize || $area === null) {
            return new self($severity, ucfirst("$why."));
        }

        $size = $mm ?? self::sizeOf($area, $sculpt, $spread);
        $noticed = NoticingSize::mm($tier->viewing->distanceCm, $tier->viewing->angleArcmin);
        $seen = sprintf('at %s cm one notices %.2f mm, this is %.2f mm', $tier->viewing->distanceCm, $noticed, $size);

        return match (true) {
            $size < $noticed => new self(null, ucfirst("$seen: not noticed.")),
            $size < self::PLAIN * $noticed && $severity !== Severity::Minor => new self(
                Severity::Minor,
                ucfirst("$seen: noticed, just, so minor at most."),
            ),
            default => new self($severity, ucfirst("$why; $seen.")),
        };
    }

    /** Millimetres across a fault that was given as spot, patch or whole: √(f × area mm² ÷ count). */
    public static function sizeOf(Area $area, Sculpt $sculpt, Spread $spread): float
    {
        return sqrt(($spread->areaShare() * $sculpt->areaCm2($area) * 100) / max(1, $area->count));
    }
}
