<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Exceptions\BenchRefused;
use App\Models\Check;
use App\Models\Piece;
use App\Models\ReleaseRow;
use App\Models\Unit;
use Illuminate\Support\Facades\Cache;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\PlanFormat;
use Ordotype\Core\Format\ReleaseFormat;
use Ordotype\Core\Format\ReleaseReader;
use stdClass;

/** The records of what units went to the bench with. A record is read once for each request that looks at it. */
final class Releases
{
    /** @var array<int, Release> by id of the row */
    private array $read = [];

    /** The release in force of a unit; null while it is not on the bench. */
    public function rowOf(Unit $unit): ?ReleaseRow
    {
        return ReleaseRow::query()
            ->where('unit_id', $unit->id)
            ->whereNull('taken_back_at')
            ->orderByDesc('number')
            ->first();
    }

    /** @throws BenchRefused */
    public function of(Unit $unit): Release
    {
        return $this->find($unit) ?? throw BenchRefused::notReleased($unit);
    }

    public function find(Unit $unit): ?Release
    {
        // The document is long: it is fetched only where it was not read before.
        $row = ReleaseRow::query()
            ->where('unit_id', $unit->id)
            ->whereNull('taken_back_at')
            ->orderByDesc('number')
            ->first(['id', 'sha256']);

        return $row === null ? null : $this->read[$row->id] ??= $this->remembered(
            $row->sha256,
            fn () => (string) ReleaseRow::query()->whereKey($row->id)->value('document'),
        );
    }

    /** What a check is made against: the release it was opened with. */
    public function ofCheck(Check $check): Release
    {
        $id = $check->release_id;
        if (isset($this->read[(int) $id])) {
            return $this->read[(int) $id];
        }
        $row = $id === null ? null : ReleaseRow::query()->find($id);

        return $row === null ? $this->of($check->piece->unit) : $this->read($row);
    }

    public function read(ReleaseRow $row): Release
    {
        return $this->read[$row->id] ??= $this->remembered($row->sha256, fn () => $row->document);
    }

    /**
     * A record never changes, so what was read of it serves every later request on this machine, as long as the same
     * code reads it.
     *
     * @param  callable(): string  $document
     */
    private function remembered(string $sha256, callable $document): Release
    {
        $build = (string) config('ordotype.build');
        $read = fn (): Release => ReleaseReader::read(Json::decode($document()));

        return $build === '' ? $read() : Cache::store('file')->rememberForever("release.$build.$sha256", $read);
    }

    /** The plan of a piece, or of one that differs in nothing, as it was released. */
    public function planDocument(Unit $unit, ?Piece $piece): stdClass
    {
        $row = $this->rowOf($unit) ?? throw BenchRefused::notReleased($unit);
        $release = $this->read($row);
        $number = $piece->number ?? $release->plan->plainKind()->pieces[0];
        $document = Json::decode($row->document);
        foreach ($document instanceof stdClass ? $document->kinds : [] as $kind) {
            if (in_array($number, $kind->pieces, true)) {
                return $kind->plan;
            }
        }

        return PlanFormat::write($release->plan->plain());
    }

    public function nextNumber(Unit $unit): int
    {
        return 1 + (int) ReleaseRow::query()->where('unit_id', $unit->id)->max('number');
    }

    /** @param  bool|null  $isSampled  null: not known, of a time when no tier had samples checked */
    public function keep(Unit $unit, stdClass $document, ?int $by, ?bool $isSampled): ReleaseRow
    {
        $text = Json::compact($document);

        return ReleaseRow::query()->create(($isSampled === null ? [] : ['is_sampled' => $isSampled]) + [
            'unit_id' => $unit->id,
            'number' => $document->number,
            'document' => $text,
            'sha256' => hash('sha256', $text),
            'steps' => count($document->steps),
            'passes' => count($document->passes),
            'reconstructed' => $document->reconstructed,
            'released_by' => $by,
            'released_at' => now(),
        ]);
    }

    /** The next release of the unit, without a piece that is lost or cancelled; nothing is planned anew. */
    public function dropPiece(Piece $piece, ?int $by): void
    {
        $row = $this->rowOf($piece->unit);
        $document = $row === null ? null : Json::decode($row->document);
        if ($document instanceof stdClass) {
            $next = ReleaseFormat::withoutPiece($document, $piece->number);
            $next->number = $this->nextNumber($piece->unit);
            $this->keep($piece->unit, $next, $by, $row->is_sampled);
        }
    }
}
