<?php

declare(strict_types=1);

namespace App\Actions\Standard;

use App\Exceptions\Conflict;
use App\Exceptions\StandardRefused;
use App\Models\ClauseRow;
use App\Models\StandardVersion;
use App\Models\Studio;
use App\Repositories\Standards;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Format\DocumentEdit;
use Ordotype\Core\Format\DocumentEdits;
use Ordotype\Core\Format\EditClash;
use Ordotype\Core\Format\NewTechniques;
use Ordotype\Core\Format\StandardFormat;
use Ordotype\Core\Foundation\CanonicalJson;
use Ordotype\Core\Foundation\FormatException;
use stdClass;

/** Opens a draft, writes single clauses into it, and publishes it. */
final class EditStandard
{
    public function __construct(private readonly Standards $standards, private readonly ActivityLog $log)
    {
    }

    /** The open draft, made from the last published version where there is none. */
    public function open(): StandardVersion
    {
        return DB::transaction(function (): StandardVersion {
            $draft = StandardVersion::query()->where('status', 'draft')->lockForUpdate()->first();
            if ($draft !== null) {
                return $draft;
            }
            $published = $this->standards->current();
            $draft = StandardVersion::query()->create([
                'standard_id' => $published->standard_id,
                'number' => $published->number + 1,
                'status' => 'draft',
                'frame' => '{}',
            ]);
            $document = $this->standards->document($published);
            $document->currency = Studio::row()->currency;
            $this->standards->keep($draft, $document);
            $this->log->write('standard.draft_opened', $draft, null, ['from' => $published->number]);

            return $draft->refresh();
        });
    }

    /**
     * Writes a clause into the draft. Revision 0 says that the tier has no clause of its own there yet.
     *
     * @throws Conflict when somebody else has written that clause in the meantime
     * @throws FormatException when the clause does not fit
     */
    public function write(string $tier, stdClass $clause, int $revision): ClauseRow
    {
        return DB::transaction(function () use ($tier, $clause, $revision): ClauseRow {
            $draft = $this->locked();
            $id = is_string($clause->id ?? null) ? $clause->id : '';
            $row = ClauseRow::query()
                ->where(['standard_version_id' => $draft->id, 'tier' => $tier, 'clause' => $id])
                ->lockForUpdate()
                ->first();
            if (($row === null ? 0 : $row->revision) !== $revision) {
                throw Conflict::clause($row, $clause);
            }
            $before = $row?->body;
            $body = json_encode($clause, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
            if ($row === null) {
                $row = ClauseRow::query()->create([
                    'standard_version_id' => $draft->id,
                    'tier' => $tier,
                    'clause' => $id,
                    'body' => $body,
                    'changed_by' => Auth::id(),
                    'position' => (int) ClauseRow::query()
                        ->where(['standard_version_id' => $draft->id, 'tier' => $tier])
                        ->max('position') + 1,
                ]);
            } else {
                $row->update(['body' => $body, 'revision' => $row->revision + 1, 'changed_by' => Auth::id()]);
            }
            $this->validate($draft);
            $draft->increment('revision');
            $this->log->write('clause.written', $row, $before, $body);

            return $row->refresh();
        });
    }

    /** Takes a tier's own clause out; what it extends holds again. */
    public function remove(string $tier, string $clause, int $revision): void
    {
        DB::transaction(function () use ($tier, $clause, $revision): void {
            $draft = $this->locked();
            $row = ClauseRow::query()
                ->where(['standard_version_id' => $draft->id, 'tier' => $tier, 'clause' => $clause])
                ->lockForUpdate()
                ->firstOrFail();
            if ($row->revision !== $revision) {
                throw Conflict::clause($row);
            }
            $row->delete();
            $this->validate($draft);
            $draft->increment('revision');
            $this->log->write('clause.removed', $row, $row->body, null);
        });
    }

    /**
     * Makes several changes of the draft at once, all or none; the same list undone and turned round takes them back.
     *
     * A new technique comes with the clauses that keep it off the tiers whose default would take it at once.
     *
     * @param  list<DocumentEdit>  $edits
     * @return array{StandardVersion, list<DocumentEdit>, list<string>} the draft, what was changed all in all, and
     * the
     *     names of tiers on which a new technique is not offered until somebody says so
     *
     * @throws Conflict when something is not as an edit says it was
     * @throws FormatException when the result is no standard
     */
    public function change(array $edits): array
    {
        return DB::transaction(function () use ($edits): array {
            $draft = $this->locked();
            $before = $this->standards->document($draft);
            try {
                $after = DocumentEdits::apply($before, $edits);
            } catch (EditClash $e) {
                throw Conflict::edits($e);
            }
            $standard = StandardFormat::read($after);
            $kept = NewTechniques::keptOff($standard, $edits);
            if ($kept !== []) {
                $after = DocumentEdits::apply($after, array_column($kept, 'edit'));
                StandardFormat::read($after);
                $edits = [...$edits, ...array_column($kept, 'edit')];
            }
            $this->standards->rewrite($draft, $after, Auth::id());
            $draft->update(['revision' => $draft->revision + 1]);
            foreach ($edits as $edit) {
                $this->log->write(
                    "standard.$edit->what",
                    $draft,
                    $edit->before === null ? null : CanonicalJson::encode($edit->before),
                    $edit->after === null ? null : CanonicalJson::encode($edit->after),
                );
            }
            $names = array_values(array_unique(array_map(fn (array $k) => $k['tier'], $kept)));

            return [$draft->refresh(), $edits, $names];
        });
    }

    /** Throws the open draft away; published versions stay. */
    public function discard(int $revision): void
    {
        DB::transaction(function () use ($revision): void {
            $draft = $this->locked();
            if ($draft->revision !== $revision) {
                throw Conflict::draft($draft, 'look at what would be lost');
            }
            $this->log->write(
                'standard.draft_discarded',
                $draft,
                CanonicalJson::encode($this->standards->document($draft)),
                null,
            );
            $draft->clauses()->delete();
            $draft->delete();
        });
    }

    /** @throws Conflict when the draft is not the one that was looked at */
    public function publish(int $revision, string $note): StandardVersion
    {
        return DB::transaction(function () use ($revision, $note): StandardVersion {
            $draft = $this->locked();
            if ($draft->revision !== $revision) {
                throw Conflict::draft($draft, 'read what changes');
            }
            $document = $this->validate($draft);
            $text = CanonicalJson::encode($document);
            $draft->update([
                'status' => 'published',
                'document' => $text,
                'sha256' => hash('sha256', $text),
                'note' => $note,
                'published_by' => Auth::id(),
                'published_at' => now(),
            ]);
            $this->log->write('standard.published', $draft, null, [
                'number' => $draft->number,
                'sha256' => $draft->sha256,
                'note' => $note,
            ]);

            return $draft->refresh();
        });
    }

    private function locked(): StandardVersion
    {
        return StandardVersion::query()->where('status', 'draft')->lockForUpdate()->first() ??
            throw StandardRefused::noDraftOpen();
    }

    private function validate(StandardVersion $draft): stdClass
    {
        $document = $this->standards->document($draft);
        StandardFormat::read($document);

        return $document;
    }
}
