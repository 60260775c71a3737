<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Foundation\NoticingSize;
use Ordotype\Core\Planning\Demand\Method;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\FaultKind;
use Ordotype\Core\Standard\School;
use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Standard\Tier;

/** Whether a fault counts at a tier, and how much, with what that rests on. */
final readonly class Judgement
{
    /** Faults that a worn or filthy look may want. */
    private const WANTED = ['pooling', 'ground_on_feet'];

    /** A dark miss reads as shadow, a white one shouts: ΔE00 above which half the size is noticed, and below double. */
    private const SHOUTS = 40.0;

    private const HIDES = 10.0;

    /** What is looked at first of all. */
    private const FOCAL = 3;

    /**
     * @param  Severity|null  $severity  null: a note
     * @param  bool  $raised  whether a minor fault is major because it is on what is looked at first
     * @param  Sighting|null  $sighting  where its size decides
     */
    private function __construct(
        public ?Severity $severity,
        public Basis $basis,
        public Tier $tier,
        public bool $raised = false,
        public ?Sighting $sighting = null,
    ) {
    }

    /**
     * @param  Severity|null  $clause  what the clause in question says, if anything
     * @param  float|null  $mm  its size where it was measured; else what the spread stands for
     * @param  float|null  $contrast  ΔE00 from what it lies on, where both colours are known
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
        ?float $contrast = null,
    ): self {
        $isWeathered = in_array($method->answer(School::Look), ['worn', 'filthy'], true);
        if ($isWeathered && in_array($fault->key, self::WANTED, true)) {
            return new self(null, Basis::Wanted, $tier);
        }
        $basis = self::basis($fault, $tier, $sculpt, $clause);
        $severity = self::severityOf($fault, $tier, $sculpt, $clause);
        $raised = $severity === Severity::Minor && $area?->focus === self::FOCAL;
        $severity = $raised ? Severity::Major : $severity;
        if (! $fault->bySize || $area === null) {
            return new self($severity, $basis, $tier, $raised);
        }
        $noticed = NoticingSize::mm($tier->viewing->distanceCm, $tier->viewing->angleArcmin) * match (true) {
            $contrast !== null && $contrast > self::SHOUTS => 0.5,
            $contrast !== null && $contrast < self::HIDES => 2.0,
            default => 1.0,
        };
        $sighting = new Sighting($mm ?? FaultSize::mm($area, $sculpt, $spread), $noticed, $tier->viewing->distanceCm);
        $counts = match (true) {
            ! $sighting->isNoticed() => null,
            ! $sighting->isPlain() => Severity::Minor,
            default => $severity,
        };

        return new self($counts, $basis, $tier, $raised, $sighting);
    }

    /** What it counts before place and size decide: by the tier's table, else the clause, else the studio's table. */
    public static function severityOf(
        FaultKind $fault,
        Tier $tier,
        Sculpt $sculpt,
        ?Severity $clause = null,
    ): Severity {
        return match (self::basis($fault, $tier, $sculpt, $clause)) {
            Basis::Tier => $tier->faults[$fault->key] ?? $fault->severity,
            Basis::Clause => $clause ?? $fault->severity,
            Basis::TableForHeroes => $fault->heroSeverity ?? $fault->severity,
            Basis::Table, Basis::Wanted => $fault->severity,
        };
    }

    private static function basis(FaultKind $fault, Tier $tier, Sculpt $sculpt, ?Severity $clause): Basis
    {

        return match (true) {
            isset($tier->faults[$fault->key]) => Basis::Tier,
            $clause !== null => Basis::Clause,
            $sculpt->role->isHero() && $fault->heroSeverity !== null => Basis::TableForHeroes,
            default => Basis::Table,
        };
    }
}
