<?php

declare(strict_types=1);

namespace App\Actions\Settings;

use App\Exceptions\ImportRefused;
use App\Jobs\TakeFileIn;
use App\Models\Import;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Foundation\Problem;
use stdClass;

/**
 * Files that take long are taken in by the worker, all of it or nothing. How far it is stands outside of the
 * transaction that takes it in, so that others see it meanwhile and can call it off.
 */
final class LongImports
{
    private const LONG_BYTES = 200_000;

    private const LONG_MODELS = 200;

    /** @var array{}|array{done: int, all: int} */
    private array $far = [];

    public function __construct(private readonly ImportDocument $import)
    {
    }

    public static function isLong(string $text): bool
    {
        if (strlen($text) > self::LONG_BYTES) {
            return true;
        }
        $document = str_starts_with(ltrim($text), '{') ? json_decode($text) : null;
        $models = 0;
        foreach ($document instanceof stdClass && is_array($document->units ?? null) ? $document->units : [] as $unit) {
            $models += $unit instanceof stdClass && is_int($unit->count ?? null) ? $unit->count : 0;
        }

        return $models > self::LONG_MODELS;
    }

    /** @throws FormatException where it is too large, or nothing that can be taken in */
    public function queue(string $text, User $by): Import
    {
        $this->import->judged($text);

        return DB::transaction(function () use ($text, $by): Import {
            $import = Import::query()->create(['user_id' => $by->id, 'text' => $text, 'state' => 'waiting']);
            TakeFileIn::dispatch($import->id);

            return $import->refresh();
        });
    }

    /** Called off: at once while it waits, at its next step while it runs; what is over stays as it is. */
    public function callOff(Import $import): Import
    {
        Import::query()->whereKey($import->id)->where('state', 'waiting')
            ->update(['state' => 'cancelled', 'text' => null]);
        Import::query()->whereKey($import->id)->where('state', 'running')->update(['called_off' => true]);

        return $import->refresh();
    }

    public function take(int $id): void
    {
        $import = $this->aside()->find($id);
        if ($import === null || ! in_array($import->state, ['waiting', 'running'], true)) {
            return;
        }
        $this->note($id, ['state' => 'running', 'done' => 0]);
        Auth::setUser(User::query()->findOrFail($import->user_id));
        $this->far = ['done' => 0, 'all' => 0];
        try {
            $step = fn (int $done, int $all) => $this->step($id, $done, $all);
            $said = $this->import->text((string) $import->text, $step);
            $this->far['done'] = $this->far['all'];
            $this->end($id, 'done', $said);
        } catch (ImportRefused $e) {
            $this->end($id, 'cancelled', $e->getMessage());
        } catch (FormatException $e) {
            $problems = array_map(fn (Problem $p) => ['pointer' => $p->path, 'detail' => $p->reason], $e->problems);
            $this->end($id, 'refused', $e->problems[0]->reason, array_slice($problems, 0, 50));
        }
    }

    public function gaveUp(int $id): void
    {
        $this->end($id, 'refused', 'It was cut off several times and given up. Nothing of it was taken in.');
    }

    /** @throws ImportRefused */
    private function step(int $id, int $done, int $all): void
    {
        $this->far = ['done' => $done, 'all' => $all];
        $this->note($id, $this->far);
        if ($this->aside()->whereKey($id)->where('called_off', true)->exists()) {
            throw ImportRefused::calledOff();
        }
    }

    /** @param  list<array{pointer: string, detail: string}>|null  $problems */
    private function end(int $id, string $state, string $said, ?array $problems = null): void
    {
        $this->note($id, $this->far + [
            'state' => $state,
            'said' => mb_substr($said, 0, 1000),
            'problems' => $problems === null ? null : Json::encode($problems),
            'text' => null,
        ]);
    }

    /** @param  array<string, mixed>  $facts */
    private function note(int $id, array $facts): void
    {
        $this->aside()->whereKey($id)->update($facts);
    }

    /** @return Builder<Import> on a connection of its own */
    private function aside(): Builder
    {
        return Import::on((string) config('ordotype.aside'));
    }
}
