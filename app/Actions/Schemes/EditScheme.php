<?php

declare(strict_types=1);

namespace App\Actions\Schemes;

use App\Exceptions\Conflict;
use App\Exceptions\RequestRefused;
use App\Exceptions\SchemeRefused;
use App\Models\GateAnswer;
use App\Models\Piece;
use App\Models\Scheme;
use App\Models\SchemeVersion;
use App\Models\Unit;
use App\Studio\ActivityLog;
use App\Studio\BenchWork;
use App\Studio\GateKeeper;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\SchemeFormat;
use Ordotype\Core\Foundation\CanonicalJson;
use Ordotype\Core\Standard\Gate;
use stdClass;

/**
 * Keeps the colours of armies in versions: one that has been painted from, or judged on a test model, stays as it
 * was.
 */
final class EditScheme
{
    public function __construct(private readonly ActivityLog $log)
    {
    }

    public function create(stdClass $document): Scheme
    {
        $document->format = SchemeFormat::WORD;
        $read = SchemeFormat::read($document);

        return DB::transaction(function () use ($read, $document): Scheme {
            $slug = Str::slug($read->name);
            if ($slug === '' || Scheme::query()->where('slug', $slug)->exists()) {
                throw SchemeRefused::nameTaken($read->name);
            }
            $scheme = Scheme::query()->create([
                'slug' => $slug,
                'name' => $read->name,
                'document' => Json::encode($document),
                'number' => 1,
            ]);
            $this->keep($scheme, 1, $document, null);
            $this->log->write('scheme.made', $scheme, null, CanonicalJson::encode($document));

            return $scheme->refresh();
        });
    }

    /** Changes the version in force where nothing has been painted from it, else makes the next one. */
    public function edit(Scheme $scheme, stdClass $document, int $number, ?string $note): Scheme
    {
        $document->format = SchemeFormat::WORD;
        $read = SchemeFormat::read($document);

        return DB::transaction(function () use ($scheme, $document, $number, $note, $read): Scheme {
            $scheme = Scheme::query()->lockForUpdate()->findOrFail($scheme->id);
            if ($scheme->number !== $number) {
                throw Conflict::scheme($scheme);
            }
            $version = $this->current($scheme);
            $before = $scheme->document;
            if ($version->outcome !== 'untried' || $this->isPaintedFrom($scheme)) {
                $number++;
                $this->keep($scheme, $number, $document, $note);
            } else {
                $version->update(['document' => Json::encode($document), 'note' => $note ?? $version->note]);
            }
            $scheme->update(['document' => Json::encode($document), 'number' => $number, 'name' => $read->name]);
            $this->log->write('scheme.edited', $scheme, $before, $scheme->document);

            return $scheme->refresh();
        });
    }

    /**
     * How the test model came out. Rejected: the scheme gets a new version with the same colours to be changed, what
     * is not on the bench waits until they are, and the minutes of painting the test model again are known. Colours
     * that one figure settled can still be rejected on another.
     */
    public function judge(Scheme $scheme, bool $accepted, ?string $note, ?Piece $test): Scheme
    {
        return DB::transaction(function () use ($scheme, $accepted, $note, $test): Scheme {
            $scheme = Scheme::query()->lockForUpdate()->findOrFail($scheme->id);
            $version = $this->current($scheme);
            if ($version->outcome === 'rejected' || ($accepted && $version->outcome === 'accepted')) {
                throw SchemeRefused::judged($version);
            }
            if (! $accepted && trim((string) $note) === '') {
                throw RequestRefused::reasonMissing('/note', 'Say what is wrong with it.');
            }
            $minutes = $test === null ? null : BenchWork::minutesOf($test);
            $version->update([
                'outcome' => $accepted ? 'accepted' : 'rejected',
                'outcome_note' => $note,
                'outcome_by' => Auth::id(),
                'outcome_at' => now(),
                'repaint_minutes' => $accepted ? null : $minutes,
            ]);
            if ($test !== null) {
                $this->atTheGate($test, $accepted, $note);
            }
            if (! $accepted) {
                $document = Json::decode($scheme->document);
                assert($document instanceof stdClass);
                $this->keep(
                    $scheme,
                    $scheme->number + 1,
                    $document,
                    "After the test model of version $scheme->number: $note",
                );
                $scheme->update(['number' => $scheme->number + 1]);
            }
            $this->log->write('scheme.judged', $scheme, null, [
                'version' => $version->number,
                'outcome' => $version->outcome,
                'note' => $note,
            ]);

            return $scheme->refresh();
        });
    }

    /** What is said of a unit's test model where its scheme stands is said at its gate, too. */
    private function atTheGate(Piece $test, bool $accepted, ?string $note): void
    {
        $unit = Unit::query()->whereKey($test->unit_id)->where('test_piece_id', $test->id)->first();
        $last = $unit === null ? null : GateKeeper::onTestModel($unit);
        if ($unit !== null && $last?->passed !== $accepted) {
            GateAnswer::query()->create([
                'piece_id' => $test->id,
                'gate' => Gate::TestModel->value,
                'passed' => $accepted,
                'note' => $note,
                'user_id' => (int) Auth::id(),
                'answered_at' => now(),
            ]);
        }
    }

    public function current(Scheme $scheme): SchemeVersion
    {
        return $scheme->versions()->where('number', $scheme->number)->firstOrFail();
    }

    private function isPaintedFrom(Scheme $scheme): bool
    {
        return Unit::query()
            ->whereNotNull('released_at')
            ->where('scheme_number', $scheme->number)
            ->whereHas('order', fn ($q) => $q->where('scheme_id', $scheme->id))
            ->exists();
    }

    private function keep(Scheme $scheme, int $number, stdClass $document, ?string $note): void
    {
        SchemeVersion::query()->create([
            'scheme_id' => $scheme->id,
            'number' => $number,
            'document' => Json::encode($document),
            'note' => $note,
            'made_by' => Auth::id(),
        ]);
    }
}
