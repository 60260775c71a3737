<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench;

/** What happens to a piece outside bench and check. */
enum StageMove: string
{
    case Hold = 'hold';
    case Resume = 'resume';
    case Lose = 'lose';
    case Cancel = 'cancel';
    case Deliver = 'deliver';
    case Claim = 'claim';

    public function isPossibleFrom(Stage $stage): bool
    {
        $underWay = [Stage::Planned, Stage::OnBench, Stage::Offered, Stage::Rework, Stage::Passed];

        return match ($this) {
            self::Hold => in_array($stage, $underWay, true),
            self::Resume => $stage === Stage::OnHold,
            self::Lose, self::Cancel => $stage === Stage::OnHold || in_array($stage, $underWay, true),
            self::Deliver => $stage === Stage::Signed,
            self::Claim => $stage === Stage::Delivered,
        };
    }

    /** A claim reopens the piece for the check; what was signed stays signed and is shown there. */
    public function leadsTo(?Stage $heldFrom): Stage
    {
        return match ($this) {
            self::Hold => Stage::OnHold,
            self::Resume => $heldFrom ?? Stage::Planned,
            self::Lose => Stage::Lost,
            self::Cancel => Stage::Cancelled,
            self::Deliver => Stage::Delivered,
            self::Claim => Stage::Offered,
        };
    }

    public function wantsAReason(): bool
    {
        return $this !== self::Deliver && $this !== self::Resume;
    }
}
