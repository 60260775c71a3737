<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Exceptions\StandardRefused;
use App\Models\ClauseRow;
use App\Models\StandardVersion;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Facades\Cache;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\StandardFormat;
use Ordotype\Core\Foundation\CanonicalJson;
use Ordotype\Core\Ladder\Grid;
use Ordotype\Core\Standard\Standard;
use stdClass;

/**
 * Turns versions as they are kept (a frame, and a row for each clause) into documents and core standards, and back.
 */
final class Standards
{
    /** @var array<string, Standard> by version and revision: one request reads the same version many times */
    private array $read = [];

    /** @var array<int, array<string, string>> by version */
    private array $names = [];

    public function published(): ?StandardVersion
    {
        return StandardVersion::query()->where('status', 'published')->orderByDesc('number')->first();
    }

    public function draft(): ?StandardVersion
    {
        return StandardVersion::query()->where('status', 'draft')->first();
    }

    /** @throws StandardRefused */
    public function current(): StandardVersion
    {
        return $this->published() ?? throw StandardRefused::nothingPublished();
    }

    /**
     * The open draft where there is one, else the version that is published.
     *
     * @throws StandardRefused
     */
    public function open(): StandardVersion
    {
        return $this->draft() ?? ($this->published() ?? throw StandardRefused::noStandard());
    }

    /** @throws ModelNotFoundException<StandardVersion> */
    public function numbered(int $number): StandardVersion
    {
        return StandardVersion::query()->where('number', $number)->firstOrFail();
    }

    /**
     * What the tiers of a version are called. A published one never changes, so that is worked out once for all
     * requests: a list that names tiers reads no document.
     *
     * @param  StandardVersion  $version  its id, status and hash are enough
     * @return array<string, string> by key, from the lowest rung up
     */
    public function tierNames(StandardVersion $version): array
    {
        $work = function () use ($version): array {
            $names = [];
            foreach ((new Grid($this->core($version->fresh() ?? $version)))->tiers() as $tier) {
                $names[$tier->key] = $tier->name;
            }

            return $names;
        };

        return $this->names[$version->id] ??= $version->status === 'published'
            ? Cache::rememberForever("tiers.$version->sha256", $work)
            : $work();
    }

    /** @return list<array{key: string, name: string}> of the version that new orders are in; none before the first */
    public function tiersInForce(): array
    {
        $version = StandardVersion::query()
            ->where('status', 'published')
            ->orderByDesc('number')
            ->first(StandardVersion::BRIEF);
        $tiers = [];
        foreach ($version === null ? [] : $this->tierNames($version) as $key => $name) {
            $tiers[] = ['key' => $key, 'name' => $name];
        }

        return $tiers;
    }

    public function core(StandardVersion $version): Standard
    {
        if ($version->status === 'published') {
            return $this->read["$version->id $version->sha256"] ??= StandardFormat::read(
                Json::decode((string) $version->document),
            );
        }

        return StandardFormat::read($this->document($version));
    }

    /** The version as `ordotype/standard@1`. */
    public function document(StandardVersion $version): stdClass
    {
        $document = Json::decode($version->document ?? $version->frame);
        assert($document instanceof stdClass);
        if ($version->document !== null) {
            return $document;
        }
        $byTier = $version->clauses()->orderBy('position')->orderBy('id')->get()->groupBy('tier');
        foreach ($document->tiers as $tier) {
            $rows = $byTier->get($tier->key);
            $tier->clauses =
                $rows === null ? [] : $rows->map(fn (ClauseRow $row) => Json::decode($row->body))->values()->all();
        }

        return $document;
    }

    /** Brings a draft to a changed document; clauses that stay the same keep their rows and revisions. */
    public function rewrite(StandardVersion $draft, stdClass $document, ?int $by): void
    {
        $rows = $draft->clauses()->get()->keyBy(fn (ClauseRow $r) => "$r->tier $r->clause");
        $kept = [];
        foreach ($document->tiers as $tier) {
            foreach ($tier->clauses as $position => $clause) {
                $body = $this->body($clause);
                $row = $rows->get("$tier->key $clause->id");
                $kept["$tier->key $clause->id"] = true;
                if ($row === null) {
                    ClauseRow::query()->create([
                        'standard_version_id' => $draft->id,
                        'tier' => $tier->key,
                        'clause' => $clause->id,
                        'position' => $position,
                        'body' => $body,
                        'changed_by' => $by,
                    ]);
                } elseif (CanonicalJson::encode(Json::decode($row->body)) !== CanonicalJson::encode($clause)) {
                    $row->update([
                        'body' => $body,
                        'position' => $position,
                        'revision' => $row->revision + 1,
                        'changed_by' => $by,
                    ]);
                } elseif ($row->position !== $position) {
                    $row->update(['position' => $position]);
                }
            }
        }
        foreach ($rows as $place => $row) {
            if (! isset($kept[$place])) {
                $row->delete();
            }
        }
        $this->frame($draft, $document);
    }

    /** Keeps a document as the frame and clause rows of a draft. */
    public function keep(StandardVersion $draft, stdClass $document): void
    {
        $draft->clauses()->delete();
        $rows = [];
        foreach ($document->tiers as $tier) {
            foreach ($tier->clauses as $position => $clause) {
                $rows[] = [
                    'standard_version_id' => $draft->id,
                    'tier' => $tier->key,
                    'clause' => $clause->id,
                    'position' => $position,
                    'body' => $this->body($clause),
                    'created_at' => now(),
                    'updated_at' => now(),
                ];
            }
        }
        foreach (array_chunk($rows, 200) as $some) {
            ClauseRow::query()->insert($some);
        }
        $this->frame($draft, $document);
    }

    private function body(stdClass $clause): string
    {
        return json_encode($clause, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    private function frame(StandardVersion $draft, stdClass $document): void
    {
        $frame = Json::decode(Json::encode($document));
        assert($frame instanceof stdClass);
        foreach ($frame->tiers as $tier) {
            $tier->clauses = [];
        }
        $draft->update(['frame' => Json::encode($frame)]);
    }
}
