<?php

declare(strict_types=1);

namespace App\Studio;

use App\Models\Check;
use App\Models\FaultRow;
use App\Models\Photograph;
use App\Models\Piece;
use App\Models\User;
use App\Repositories\Releases;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Inspection\Aspect;
use Ordotype\Core\Inspection\CheckList;
use Ordotype\Core\Inspection\Checkpoint;
use Ordotype\Core\Inspection\CheckpointKey;
use Ordotype\Core\Inspection\LastRound;
use Ordotype\Core\Inspection\Mended;
use Ordotype\Core\Inspection\Verdict;
use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Words\CheckWords;

/** Reads checks as they are kept. */
final class Checks
{
    public function __construct(private readonly Releases $releases)
    {
    }

    /** What is read of pieces here, in one go for many. */
    public const OF_PIECES = [
        'painters:id,name',
        'photographs.picture',
        'lastPaintedOver',
        'checks.answers',
        'checks.faults',
        'checks.holder',
        'checks.release:id,number',
    ];

    /** Whether somebody else has to look at it: they painted on it, and are not the only person in the studio. */
    public function isOwnWork(Piece $piece, User $user): bool
    {
        // Asked once for all the models of a unit.
        return $piece->painters->contains('id', $user->id) && ! once(fn () => $user->isAlone());
    }

    /** @return array<string, mixed> */
    public function written(Checkpoint $q, CheckWords $words): array
    {
        return [
            'key' => $q->key->id,
            'view' => $q->view?->value,
            'aspect' => $q->aspect?->value,
            'text' => $words->checkpoint($q),
            'areas' => $q->areas,
            'clauses' => $q->clauses,
            'faults' => $q->faults,
            'mandatory' => $q->mandatory,
            'severity' => $q->severity?->value,
            'notice' => $q->notice,
        ];
    }

    /** @return list<Checkpoint> as the check was opened with them, without what was asked one by one */
    public function questions(Check $check): array
    {
        return array_map(
            fn (array $q) => new Checkpoint(
                CheckpointKey::kept($q['key']),
                $q['view'] === null ? null : View::from($q['view']),
                $q['areas'],
                $q['clauses'],
                $q['faults'],
                $q['mandatory'],
                $q['severity'] === null ? null : Severity::from($q['severity']),
                $q['notice'],
                aspect: isset($q['aspect']) ? Aspect::from($q['aspect']) : null,
            ),
            $check->questions,
        );
    }

    public function question(Check $check, string $key): ?Checkpoint
    {
        foreach ($this->questions($check) as $question) {
            if ($question->key->id === $key) {
                return $question;
            }
        }

        return null;
    }

    /** What a checkpoint asks for, worked out anew from the release its check rests on; null: it looks for faults. */
    public function requirement(Check $check, Checkpoint $asked): ?Requirement
    {
        $release = $this->releases->ofCheck($check);
        $list = self::listOf($check->piece, $release);
        foreach ($list->checkpoints() as $checkpoint) {
            if ($checkpoint->key->is($asked->key)) {
                return $checkpoint->asked;
            }
        }

        return null;
    }

    private static function listOf(Piece $piece, Release $release): CheckList
    {
        return new CheckList(
            $release->kindOf($piece->number)->plan,
            $release->faults,
            $release->acceptance()->views ?? [],
            $piece->unit->order->reference !== null,
        );
    }

    /**
     * @return list<Checkpoint> what a check of it asks now: everything, or after a repair only what that touched and
     *     what was never asked; all again where it was painted over since
     */
    public function asking(Piece $piece, Release $release): array
    {
        $list = self::listOf($piece, $release);
        $last = $piece->checks->whereNotNull('closed_at')->sortByDesc('round')->first();
        $last?->loadMissing(['answers', 'faults', 'release:id,number']);

        $all = $list->checkpoints();

        return $last?->verdict !== 'rework'
            ? $all
            : $this->lastRound($piece, $last, $release->request->standard)->asksAgain($all);
    }

    private function lastRound(Piece $piece, Check $last, Standard $standard): LastRound
    {
        $key = fn (mixed $id): CheckpointKey => CheckpointKey::kept((string) $id);
        $mended = $last->faults
            ->where('severity', '!=', 'note')
            ->map(fn (FaultRow $f) => Mended::by($f->fault, $f->area, self::steps($f, $standard)));

        return new LastRound(
            array_map($key, array_column($last->questions, 'key')),
            array_values($last->answers->pluck('question')->map($key)->all()),
            array_map($key, array_column(array_merge(...$piece->checks->pluck('questions')->all()), 'key')),
            array_values($mended->all()),
            $last->release !== null && ($piece->lastPaintedOver->covered_by ?? 0) > $last->release->number,
        );
    }

    /** @return list<array{Technique, string|null}> */
    private static function steps(FaultRow $fault, Standard $standard): array
    {
        $there = array_filter($fault->repair, fn (array $s) => $standard->hasTechnique($s['technique']));

        return array_values(
            array_map(fn (array $s) => [$standard->technique($s['technique']), $s['area']], $there),
        );
    }

    /** Which look a checkpoint belongs to; those of a check from before there were looks, to their view. */
    public static function look(Checkpoint $c): string
    {
        return $c->aspect === null ? ($c->view->value ?? 'whole') : $c->aspect->in($c->view);
    }

    /** Whether the client has to agree before it is accepted as it is. */
    public function wantsConsent(Check $check): bool
    {
        return $this->releases->ofCheck($check)->acceptance()?->consent->isWantedFor(self::found($check)) === true;
    }

    /** @return list<Severity> of the faults that count */
    private static function found(Check $check): array
    {
        $severities = $check->faults->map(fn (FaultRow $f) => Severity::tryFrom($f->severity));

        return array_values(array_filter($severities->all(), fn (?Severity $s) => $s !== null));
    }

    /** @return list<View> from which there is a photograph of the piece, drawn pictures apart */
    private function photographed(Check $check): array
    {
        $painted = $check->piece->photographs
            ->where('shows', 'painted')
            ->filter(fn (Photograph $p) => ! $p->picture->is_drawn);

        return array_values($painted->pluck('view')->unique()->map(fn ($view) => View::from((string) $view))->all());
    }

    public function verdict(Check $check): Verdict
    {
        return Verdict::of(
            $this->questions($check),
            array_values($check->answers->pluck('question')->map(fn ($q) => CheckpointKey::kept((string) $q))->all()),
            self::found($check),
            $this->releases->ofCheck($check)->acceptance(),
            $this->photographed($check),
        );
    }
}
