<?php

declare(strict_types=1);

namespace App\Studio;

use App\Models\FaultRow;
use App\Models\Piece;
use App\Models\StepLog;
use App\Repositories\Releases;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Bench\PieceWork;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Bench\SentBack;
use Ordotype\Core\Bench\WantedStep;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\Standard;

/** What pieces want on the bench and what was done on them, as rows keep it. */
final class BenchWork
{
    /** What of a piece must be loaded for many pieces at once. */
    public const OF_PIECES = ['standing', 'lastClosed.faults'];

    public function __construct(private readonly Releases $releases)
    {
    }

    /** All that a piece wants now, as its rows say. */
    public function of(Piece $piece, Release $release): PieceWork
    {
        $standard = $release->request->standard;
        $sentBack = $this->sentBack($piece)->map(fn (FaultRow $f) => self::repairOf($f, $standard));

        return new PieceWork($release->stepsOf($piece->number), array_values($sentBack->all()));
    }

    /**
     * @return Collection<int, FaultRow> what the last check sent back; what does not count is left as it is, and what
     *     lay on paint that is painted over since is gone with it
     */
    public function sentBack(Piece $piece): Collection
    {
        $check = $piece->lastClosed;
        $isThere = fn (FaultRow $f): bool => $f->area === null ||
            $piece->standing->contains(
                fn (StepLog $log) => $log->area === $f->area && $log->done_at <= $check?->closed_at,
            ) ||
            ! $piece->logs()->where('area', $f->area)->whereNotNull('covered_by')->exists();

        return $check?->verdict === 'rework'
            ? $check->faults->where('severity', '!=', 'note')->filter($isThere)->sortBy('id')->values()
            : new Collection();
    }

    /** @return list<string> keys of the steps that are marked and stand */
    public static function done(Piece $piece): array
    {
        return array_values($piece->standing->pluck('step')->map(strval(...))->all());
    }

    /** A technique that is not in the catalogue any more is left out of what puts a fault right. */
    public static function repairOf(FaultRow $fault, Standard $standard): SentBack
    {
        $there = array_filter($fault->repair, fn (array $s) => $standard->hasTechnique($s['technique']));

        return new SentBack($fault->id, array_map(
            fn (array $s) => new WantedStep($standard->technique($s['technique']), $s['area'], (float) $s['minutes']),
            $there,
        ));
    }

    /** Hand minutes that painting a model again takes: what was spent on it since its undercoat. */
    public static function minutesOf(Piece $piece): float
    {
        $again = array_filter(Family::cases(), fn (Family $f) => ! $f->isUnderColour() && $f !== Family::Check);
        $spent = $piece
            ->logs()
            ->whereNull('skipped')
            ->whereNull('covered_by')
            ->whereIn('family', array_map(fn (Family $f) => $f->value, $again))
            ->sum(DB::raw('coalesce(spent, planned_minutes)'));

        return round((float) $spent, 2);
    }

    /** Whether varnish is on: put on, not left out, and not painted over since. */
    public function isVarnished(Piece $piece): bool
    {
        $standard = $this->releases->of($piece->unit)->request->standard;
        foreach (
            $piece->logs()->whereNull('skipped')->whereNull('covered_by')->pluck('technique')->unique() as $key
        ) {
            if ($standard->hasTechnique($key) && $standard->technique($key)->has(Effect::Protect)) {
                return true;
            }
        }

        return false;
    }
}
