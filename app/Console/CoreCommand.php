<?php

declare(strict_types=1);

namespace App\Console;

use App\Formats\DocumentFile;
use App\Formats\UnreadableFile;
use Illuminate\Console\Command;
use InvalidArgumentException;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Bench\ReleaseInputs;
use Ordotype\Core\Colour\Scheme;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Format\AmendmentFormat;
use Ordotype\Core\Format\MethodFormat;
use Ordotype\Core\Format\SchemeFormat;
use Ordotype\Core\Format\SculptFormat;
use Ordotype\Core\Format\ShelfFormat;
use Ordotype\Core\Format\StandardFormat;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Demand\Method;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Plan\WorkOrder;
use Ordotype\Core\Planning\Unit\PieceNeeds;
use Ordotype\Core\Planning\Unit\UnitPlan;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Amendment;
use Ordotype\Core\Standard\FaultTable;
use Ordotype\Core\Standard\Standard;
use OutOfBoundsException;

/** A command on the core alone: open files in, text or an open format out; no database, no settings, no key. */
abstract class CoreCommand extends Command
{
    private const MOST_PIECES = 10_000;

    private string $reading = '';

    final public function handle(): int
    {
        try {
            return $this->work();
        } catch (FormatException $e) {
            foreach ($e->problems as $problem) {
                $this->complain("$this->reading$problem");
            }
        } catch (UnreadableFile|OutOfBoundsException|InvalidArgumentException $e) {
            $this->complain($e->getMessage());
        }

        return self::FAILURE;
    }

    abstract protected function work(): int;

    protected function planner(): Planner
    {
        return $this->laravel->make(Planner::class);
    }

    protected function standard(string $path): Standard
    {
        return $this->reading($path, fn () => StandardFormat::read(DocumentFile::read($path, 'standard@1')));
    }

    protected function sculpt(string $path): Sculpt
    {
        return $this->reading($path, fn () => SculptFormat::read(DocumentFile::read($path, 'sculpt@1')));
    }

    protected function scheme(): ?Scheme
    {
        $path = $this->file('scheme');

        return $path === null
            ? null
            : $this->reading($path, fn () => SchemeFormat::read(DocumentFile::read($path, 'scheme@1')));
    }

    protected function method(): Method
    {
        $path = $this->file('method');

        return $path === null
            ? new Method()
            : $this->reading($path, fn () => MethodFormat::read(DocumentFile::read($path, 'method@1')));
    }

    protected function shelf(): Shelf
    {
        $path = $this->file('shelf');

        return $path === null
            ? new Shelf([])
            : $this->reading($path, fn () => ShelfFormat::readCsv(DocumentFile::text($path)));
    }

    /** @return list<Amendment> */
    protected function amendments(Standard $standard): array
    {
        $path = $this->file('amend');
        $known = $standard->techniqueKeys();

        return $path === null
            ? []
            : $this->reading($path, fn () => AmendmentFormat::read(DocumentFile::read($path, 'amendment@1'), $known));
    }

    /**
     * What the options ask to be planned.
     *
     * @param  string  $tier  the option that names the tier
     */
    protected function request(string $tier = 'tier'): PlanRequest
    {
        $standard = $this->standard($this->needed('standard'));

        return new PlanRequest(
            $standard,
            $standard->tier($this->needed($tier)),
            $this->sculpt($this->needed('sculpt')),
            $this->scheme(),
            $this->method(),
            $this->hasOption('amend') ? $this->amendments($standard) : [],
            $this->shelf(),
            $this->hasOption('pieces') ? $this->wholeNumber('pieces', 1, self::MOST_PIECES) : 1,
        );
    }

    /** What a unit of the request would be released with, without studio, order and faults. */
    protected function asReleased(PlanRequest $request): Release
    {
        $plan = UnitPlan::of($request, [new PieceNeeds(1)], planner: $this->planner());
        $edges = WorkOrder::of($request)->rules($plan->work->steps);

        return Release::of(1, $request, new ReleaseInputs(0, '', null, [], ''), $plan, $edges, new FaultTable([]));
    }

    /** A technique as it is used, in words: "edge highlight (prominent) ×2". */
    protected static function used(ChosenTechnique $used): string
    {
        return mb_strtolower($used->technique->name).
            ($used->extent->word() === 'full' ? '' : " ({$used->extent->word()})").
            ($used->passes > 1 ? " ×$used->passes" : '');
    }

    /** @throws InvalidArgumentException when the option is missing */
    protected function needed(string $option): string
    {
        return $this->file($option) ??
            throw new InvalidArgumentException("--$option is missing; see php artisan help {$this->getName()}.");
    }

    protected function file(string $option): ?string
    {
        $value = $this->option($option);

        return is_string($value) && $value !== '' ? $value : null;
    }

    protected function wholeNumber(string $option, int $min, int $max): int
    {
        $value = $this->option($option);
        $number = is_string($value)
            ? filter_var($value, FILTER_VALIDATE_INT, ['options' => ['min_range' => $min, 'max_range' => $max]])
            : false;

        return $number === false
            ? throw new InvalidArgumentException("--$option must be a whole number within $min to $max.")
            : $number;
    }

    /**
     * @template T
     *
     * @param  callable(): T  $read
     * @return T
     */
    protected function reading(string $path, callable $read): mixed
    {
        $this->reading = basename($path).' ';
        $result = $read();
        $this->reading = '';

        return $result;
    }

    private function complain(string $line): void
    {
        $this->output->getErrorStyle()->writeln(\Symfony\Component\Console\Formatter\OutputFormatter::escape($line));
    }
}
