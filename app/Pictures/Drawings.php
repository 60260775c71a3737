<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Exceptions\PictureRefused;
use App\Jobs\DrawPicture;
use App\Models\Drawing;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Ordotype\Core\Format\BoothFormat;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Picture\Booth\Booth;
use Ordotype\Core\Picture\Booth\BoothRequest;
use Ordotype\Core\Picture\Booth\Coat;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Sculpt\View;
use Throwable;

/**
 * Drawings of the booth: named by the hash of all they depend on, drawn by the worker when somebody first looks, and
 * never twice. Who was given an address may see what is there, signed in or not.
 */
final class Drawings
{
    public const QUEUE = 'pictures';

    /** Milliseconds too: many are asked for at once. */
    private const MOMENT = 'Y-m-d H:i:s.v';

    /** Drawings whose files are kept: about two gigabytes. */
    private const KEPT = 5000;

    /** Pixels across, in the application; beside a line of a list. */
    public const WIDTH = 720;

    public const THUMB = 240;

    public function __construct(private readonly Booth $booth)
    {
    }

    /** Where a drawing is to be had; nothing is drawn yet. */
    public function address(BoothRequest $request): string
    {
        $spec = Json::encode(BoothFormat::write($request));
        $hash = hash('sha256', $spec);
        if (! Drawing::query()->whereKey($hash)->exists()) {
            DB::table('drawings')->insertOrIgnore(['hash' => $hash, 'spec' => $spec, 'state' => 'known']);
        }

        return "$hash/".self::key($hash);
    }

    /**
     * A plan in every view that has outlines, as far as its passes are done.
     *
     * @param  int|null  $passes  the first so many; null: all
     * @param  bool  $plain  for a client: without card and scale
     * @return array<string, string> addresses by view
     */
    public function views(
        Plan $plan,
        ?int $passes = null,
        int $seed = 1,
        int $width = self::WIDTH,
        bool $plain = false,
    ): array {
        $done = [];
        foreach (array_slice($plan->work->passes, 0, $passes) as $pass) {
            foreach ($pass->steps as $i) {
                $done[] = $plan->work->steps[$i];
            }
        }

        return $this->inViews($plan->request->sculpt, Coat::all($done), $seed, $width, $plain);
    }

    /**
     * @param  list<Coat>  $coats
     * @return array<string, string> addresses by view
     */
    public function inViews(
        Sculpt $sculpt,
        array $coats,
        int $seed = 1,
        int $width = self::WIDTH,
        bool $plain = false,
    ): array {
        $views = [];
        foreach (View::drawn() as $view) {
            if (self::isOutlined($sculpt, $view)) {
                $views[$view->value] = $this->address(
                    new BoothRequest($sculpt, $coats, $view, $width, $seed, isPlain: $plain),
                );
            }
        }

        return $views;
    }

    private static function isOutlined(Sculpt $sculpt, View $view): bool
    {
        return array_filter($sculpt->areas, fn (Area $a) => ($a->outline[$view->value] ?? []) !== []) !== [];
    }

    public static function key(string $hash): string
    {
        $secret = config('app.key');

        return substr(hash_hmac('sha256', "drawing $hash", is_string($secret) ? $secret : ''), 0, 32);
    }

    /** Has it drawn, unless it is, is being or could not be; again where its file is gone, as after a restore. */
    public function want(Drawing $drawing): void
    {
        if ($drawing->state === 'ready' && ! Storage::disk()->exists(self::path($drawing->hash))) {
            $drawing->update(['state' => 'known']);
        }
        $this->queue($drawing, 'known');
    }

    /** What could not be drawn is tried once more because somebody says so, not by each look at it. */
    public function tryAgain(Drawing $drawing): void
    {
        $this->queue($drawing, 'failed');
    }

    private function queue(Drawing $drawing, string $from): void
    {
        $isNew = Drawing::query()
            ->whereKey($drawing->hash)
            ->where('state', $from)
            ->update(['state' => 'waiting', 'asked_at' => now()->format(self::MOMENT)]);
        if ($isNew === 1) {
            DrawPicture::dispatch($drawing->hash)->onQueue(self::QUEUE);
        }
        $drawing->refresh();
    }

    /** How many are drawn before it. */
    public function before(Drawing $drawing): int
    {
        return Drawing::query()
            ->whereIn('state', ['waiting', 'drawing'])
            ->where('asked_at', '<', $drawing->asked_at?->format(self::MOMENT))
            ->count();
    }

    public function draw(string $hash): void
    {
        $drawing = Drawing::query()->findOrFail($hash);
        if ($drawing->state === 'ready') {
            return;
        }
        $drawing->update(['state' => 'drawing']);
        $png = Png::of($this->booth->draw(BoothFormat::read(Json::decode($drawing->spec))));
        Storage::disk()->put(self::path($hash), $png);
        $drawing->update(['state' => 'ready', 'bytes' => strlen($png), 'ready_at' => now()]);
        $this->makeRoom();
    }

    /** Of more than are kept the oldest files go: who looks again has them drawn again. */
    public function makeRoom(int $kept = self::KEPT): void
    {
        $over = Drawing::query()->where('state', 'ready')->count() - $kept;
        if ($over <= 0) {
            return;
        }
        foreach (Drawing::query()->where('state', 'ready')->orderBy('ready_at')->limit($over)->get() as $old) {
            // What it was drawn from goes with it: whoever has a page made anew has that made anew as well.
            $old->delete();
            Storage::disk()->delete(self::path($old->hash));
        }
    }

    public function gaveUp(string $hash, ?Throwable $why): void
    {
        Drawing::query()->whereKey($hash)->update(['state' => 'failed']);
        if ($why !== null) {
            report($why);
        }
    }

    public function read(Drawing $drawing): string
    {
        return Storage::disk()->get(self::path($drawing->hash)) ?? throw PictureRefused::gone();
    }

    private static function path(string $hash): string
    {
        return 'booth/'.substr($hash, 0, 2)."/$hash.png";
    }
}
